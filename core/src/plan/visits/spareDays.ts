import type { Machine } from "../../book/records/machine.js";
import type { Planning } from "../../book/records/settings.js";
import type { Needed } from "../../book/records/service.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";

const DAYS_A_WEEK = 7;
/** 1 January 1970 was a Thursday, the fourth day of the week. */
const WEEKDAY_OF_DAY_ZERO = 4;

/** The day of the week: 1 Monday to 7 Sunday. */
export function weekdayOf(day: DayNumber): number {
  const shifted = (day + WEEKDAY_OF_DAY_ZERO - 1) % DAYS_A_WEEK;
  return ((shifted + DAYS_A_WEEK) % DAYS_A_WEEK) + 1;
}

/** The Monday of the week a day is in. */
export function mondayOf(day: DayNumber): DayNumber {
  return addDays(day, 1 - weekdayOf(day));
}

/** The days on which work is done. */
export type WorkDays = Pick<Planning, "workdays" | "closed">;

/** Why no work is done on a machine on a day. */
export type Blocked =
  /** The workshop is closed, with the reason where there is one. */
  | { readonly code: "closed"; readonly reason: string | null }
  /** Nobody works on that day of the week. */
  | { readonly code: "not-a-workday" }
  /** The machine cannot be spared, with the reason where there is one. */
  | { readonly code: "needed"; readonly reason: string | null };

function isNeeded({ weekdays, from, to }: Needed, day: DayNumber): boolean {
  const hasWeekdays = (weekdays ?? []).length > 0;
  const hasDates = (from ?? null) !== null || (to ?? null) !== null;
  if (!hasWeekdays && !hasDates) return false;
  const onWeekday = !hasWeekdays || (weekdays ?? []).includes(weekdayOf(day));
  const within = (!from || day >= dayOf(from)) && (!to || day <= dayOf(to));
  return onWeekday && within;
}

/** Why nobody works on a day, null where somebody does. */
export function closedOn({ workdays, closed }: WorkDays, day: DayNumber): Blocked | null {
  if (!workdays.includes(weekdayOf(day))) return { code: "not-a-workday" };
  const closure = closed.find(({ from, to }) => day >= from && day <= to);
  return closure === undefined ? null : { code: "closed", reason: closure.reason };
}

/** Why no work is done on a machine on a day, null where it can be: it is needed then (the weekdays and the dates of one line both hold), or nobody works. */
export function blockedOn(
  { needed }: Pick<Machine, "needed">,
  work: WorkDays,
  day: DayNumber,
): Blocked | null {
  const need = (needed ?? []).find((one) => isNeeded(one, day));
  if (need !== undefined) return { code: "needed", reason: need.reason ?? null };
  return closedOn(work, day);
}

/** The days from `from` up to and with `until` on which a machine can be worked on, in order. */
export function spareDays(
  machine: Pick<Machine, "needed">,
  work: WorkDays,
  from: DayNumber,
  until: DayNumber,
): DayNumber[] {
  const days: DayNumber[] = [];
  for (let day = from; day <= until; day = addDays(day, 1)) {
    if (blockedOn(machine, work, day) === null) days.push(day);
  }
  return days;
}
