import { daysBetween, type DayNumber } from "../calendar/dayNumber.js";
import { hasReached, LIFE_TOLERANCE } from "./life.js";
import type { Point } from "./points.js";
import { EVERY_DAY, type RunningDays } from "./runningDays.js";

/** Absorbs the last digit of a division before it is rounded up to a whole day. */
const WHOLE_DAY_TOLERANCE = 1e-9;

/** The last of the points, in order of date, dated on or before `day`: its position, or −1. */
export function lastPositionUpTo(points: readonly Point[], day: number): number {
  let low = 0;
  let high = points.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((points[middle] as Point).day <= day) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/**
 * The life on a date, in the meter's unit: linear by running day between kept points, past the last one
 * reckoned at `perDay` (flat where null), unknown (null) before the first (due rules §2).
 */
export function lifeOn(
  kept: readonly Point[],
  perDay: number | null,
  day: DayNumber,
  running: RunningDays = EVERY_DAY,
): number | null {
  const position = lastPositionUpTo(kept, day);
  const before = kept[position];
  if (before === undefined) return null;
  const after = kept[position + 1];
  if (after === undefined) return before.life + (perDay ?? 0) * running.between(before.day, day);
  const share = shareOfDays(before.day, day, after.day, running);
  return before.life + share * (after.life - before.life);
}

/** How much of the running days between two dates has passed by a day; of all days where the machine was laid up throughout. */
function shareOfDays(from: DayNumber, day: DayNumber, to: DayNumber, running: RunningDays): number {
  const days = running.between(from, to);
  return days > 0
    ? running.between(from, day) / days
    : daysBetween(from, day) / daysBetween(from, to);
}

/**
 * The first date on which the life was at `life` or past it, for a life that has been reached by `today`:
 * rounded up to a whole day, the first point's date if life was past it already (due rules §6).
 */
export function dayReached(
  kept: readonly Point[],
  perDay: number | null,
  life: number,
  today: DayNumber,
  running: RunningDays = EVERY_DAY,
): DayNumber {
  const position = kept.findIndex((point) => hasReached(point.life, life));
  const after = kept[position];
  const before = position < 0 ? kept[kept.length - 1] : kept[position - 1];
  if (before === undefined) return after?.day ?? today;
  const target = life - LIFE_TOLERANCE - before.life;
  const between = after === undefined ? 0 : running.between(before.day, after.day);
  // Laid up throughout, and yet it ran: then by the date alone.
  const days = after !== undefined && between === 0 ? EVERY_DAY : running;
  const perDayHere =
    after === undefined
      ? (perDay ?? 0)
      : (after.life - before.life) / days.between(before.day, after.day);
  const count = Math.ceil(target / perDayHere - WHOLE_DAY_TOLERANCE);
  if (!Number.isFinite(count)) return today;
  const reached = days.after(before.day, Math.max(count, 0));
  return reached === null || reached > today ? today : reached;
}
