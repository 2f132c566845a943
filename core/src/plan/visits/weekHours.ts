import type { Closure } from "../../book/records/booking.js";
import type { Bay, Person } from "../../book/records/workshop.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { closedOn, mondayOf, type WorkDays } from "./spareDays.js";

const DAYS_A_WEEK = 7;

/** Who works, where, and when they do not. */
export interface Workshop {
  readonly people: readonly Person[];
  readonly bays: readonly Bay[];
  readonly closures: readonly Closure[];
}

/** The hours of work there are in one week. */
export interface WeekHours {
  /** Its Monday. */
  readonly monday: DayNumber;
  /** Those of the people who are there; null where none has any recorded. */
  readonly people: number | null;
  /** Those of the bays; null where none has any recorded. */
  readonly bays: number | null;
  /** The lesser of the two: work needs both hands and a place; null where neither is known. */
  readonly hours: number | null;
}

/** The days of the week of a Monday, from `today` on, on which somebody works. */
export function openDays(work: WorkDays, monday: DayNumber, today: DayNumber): DayNumber[] {
  const week = Array.from({ length: DAYS_A_WEEK }, (_, day) => addDays(monday, day));
  return week.filter((day) => day >= today && closedOn(work, day) === null);
}

/** Somebody or a bay, as the hours of a week are counted. */
export type Hand = Pick<Person | Bay, "id" | "hoursAWeek">;

/** The closures of people, or of bays. */
export function closuresOf(closures: readonly Closure[], what: "person" | "bay"): Closure[] {
  return closures.filter((one) => one.what === what);
}

/**
 * The hours of a person or a bay in a week of some open days: those of a week, spread evenly over the days on which work
 * is done, less those on which they are away or out of use (of the `closures` of their kind); null where none are recorded.
 */
export function handHours(
  { id, hoursAWeek }: Hand,
  days: readonly DayNumber[],
  { workdays }: Pick<WorkDays, "workdays">,
  closures: readonly Closure[],
): number | null {
  if (hoursAWeek === null || hoursAWeek === undefined) return null;
  if (workdays.length === 0) return 0;
  const own = closures.filter(({ person, bay }) => person === id || bay === id);
  const there = days.filter(
    (day) => !own.some(({ from, to }) => day >= dayOf(from) && day <= dayOf(to)),
  );
  return (hoursAWeek * there.length) / new Set(workdays).size;
}

/** The hours of some people or bays together; null where none of them has any recorded. */
export function sumOfHours(hours: readonly (number | null)[]): number | null {
  const known = hours.filter((one) => one !== null);
  return known.length === 0 ? null : known.reduce((sum, one) => sum + one, 0);
}

/**
 * The hours of work there are in each of `count` weeks from the one that `today` is in: of people who are there, and of
 * bays, without closed days, absences and bays out of use. Of this week only what is left of it, today included.
 */
export function weekHoursOf(
  { people, bays, closures }: Workshop,
  work: WorkDays,
  today: DayNumber,
  count: number,
): WeekHours[] {
  const staff = people.filter(({ hasLeft }) => hasLeft !== true);
  return Array.from({ length: count }, (_, week) => {
    const monday = addDays(mondayOf(today), week * DAYS_A_WEEK);
    const days = openDays(work, monday, today);
    const hoursOf = (hands: readonly Hand[], what: "person" | "bay"): number | null =>
      sumOfHours(hands.map((hand) => handHours(hand, days, work, closuresOf(closures, what))));
    const own = { people: hoursOf(staff, "person"), bays: hoursOf(bays, "bay") };
    const both = [own.people, own.bays].filter((hours) => hours !== null);
    return { monday, ...own, hours: both.length === 0 ? null : Math.min(...both) };
  });
}
