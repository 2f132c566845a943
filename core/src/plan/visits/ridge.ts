import type { Bay, Person } from "../../book/records/workshop.js";
import { addDays, daysBetween, type DayNumber } from "../../calendar/dayNumber.js";
import { mondayOf } from "./spareDays.js";
import type { Turn } from "./turn.js";

const DAYS_A_WEEK = 7;
const MINUTES_AN_HOUR = 60;

/** The hours of work there are in a week. */
export interface WorkHours {
  /** Those of the people who are there; null where none has any recorded. */
  readonly people: number | null;
  /** Those of the bays; null where none has any recorded. */
  readonly bays: number | null;
  /** The lesser of the two: work needs both hands and a place; null where neither is known. */
  readonly hours: number | null;
}

function sumOf(hours: readonly (number | null | undefined)[]): number | null {
  const known = hours.flatMap((one) => one ?? []);
  return known.length === 0 ? null : known.reduce((sum, one) => sum + one, 0);
}

/** The hours of work there are in a week, of the people who are there and of the bays. */
export function workHoursOf(people: readonly Person[], bays: readonly Bay[]): WorkHours {
  const byPeople = sumOf(people.filter((one) => one.hasLeft !== true).map((one) => one.hoursAWeek));
  const byBays = sumOf(bays.map((one) => one.hoursAWeek));
  const both = [byPeople, byBays].filter((hours) => hours !== null);
  return { people: byPeople, bays: byBays, hours: both.length === 0 ? null : Math.min(...both) };
}

/** A visit as the ridge counts it. */
export interface CountedVisit {
  readonly day: DayNumber;
  readonly turns: readonly Turn[];
  /** Minutes of its tasks that have no turn ahead. */
  readonly otherMinutes: number;
  readonly isOutside: boolean;
}

/** The work of a week. */
export interface Week<V extends CountedVisit = CountedVisit> {
  /** Its Monday. */
  readonly monday: DayNumber;
  readonly hours: number;
  /** How many of its turns have no time estimated, and are not in the hours. */
  readonly unknown: number;
  /** All its visits, those to others among them, which take none of one's own hours. */
  readonly visits: readonly V[];
}

/** The minutes of one's own work in a visit, 0 where it is for others. */
export function minutesOf({ turns, otherMinutes, isOutside }: CountedVisit): number {
  return isOutside ? 0 : turns.reduce((sum, turn) => sum + (turn.minutes ?? 0), otherMinutes);
}

/** The hours of one's own work in a visit, 0 where it is for others. */
export const hoursOf = (visit: CountedVisit): number => minutesOf(visit) / MINUTES_AN_HOUR;

/** The work of `count` weeks from the one that `from` is in, week by week. */
export function ridgeOf<V extends CountedVisit>(
  visits: readonly V[],
  from: DayNumber,
  count: number,
): Week<V>[] {
  const first = mondayOf(from);
  const byWeek = Array.from({ length: count }, (): V[] => []);
  for (const visit of visits) {
    byWeek[Math.floor(daysBetween(first, visit.day) / DAYS_A_WEEK)]?.push(visit);
  }
  return byWeek.map((own, index) => ({
    monday: addDays(first, index * DAYS_A_WEEK),
    // In minutes first, so that thirds of an hour make no more than they are.
    hours: own.reduce((sum, visit) => sum + minutesOf(visit), 0) / MINUTES_AN_HOUR,
    unknown: own
      .filter(({ isOutside }) => !isOutside)
      .flatMap(({ turns }) => turns)
      .filter(({ minutes }) => minutes === null).length,
    visits: own.sort((one, other) => one.day - other.day),
  }));
}
