import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import type { Turn } from "./turn.js";

/** The position of the first of some rising days that is not before a day. */
function firstFrom(days: readonly DayNumber[], day: DayNumber): number {
  let low = 0;
  let high = days.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((days[middle] as DayNumber) < day) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** The last of some rising days that is not after a day, null where there is none. */
export function lastUpTo(days: readonly DayNumber[], day: DayNumber): DayNumber | null {
  return days[firstFrom(days, (day + 1) as DayNumber) - 1] ?? null;
}

/** The first of some rising days that is not before a day, null where there is none. */
export function firstOn(days: readonly DayNumber[], day: DayNumber): DayNumber | null {
  return days[firstFrom(days, day)] ?? null;
}

/**
 * Of the days a machine can be worked on (rising), those that a cheapest plan needs to look at. What a
 * turn costs is convex in the day, with corners where it falls due, where its grace and where its days
 * begin and end (also beside a day it is left out on); a set of turns done together is cheapest at a corner of one of them, so the spare day
 * at or before and the one at or after each corner are enough.
 */
export function candidateDays(spare: readonly DayNumber[], turns: readonly Turn[]): DayNumber[] {
  const found = new Set<DayNumber>();
  const corners = turns.flatMap((turn) => [
    turn.due,
    turn.graceEnd,
    turn.earliest,
    ...(turn.latest === null ? [] : [turn.latest]),
    ...(turn.avoided ?? []).flatMap((day) => [addDays(day, -1), addDays(day, 1)]),
  ]);
  const first = spare[0];
  if (first !== undefined) found.add(first);
  for (const corner of new Set(corners)) {
    const before = lastUpTo(spare, corner);
    const after = firstOn(spare, corner);
    if (before !== null) found.add(before);
    if (after !== null) found.add(after);
  }
  return [...found].sort((one, other) => one - other);
}
