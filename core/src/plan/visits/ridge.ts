import { daysBetween, type DayNumber } from "../../calendar/dayNumber.js";
import type { Turn } from "./turn.js";
import type { WeekHours } from "./weekHours.js";

const DAYS_A_WEEK = 7;
const MINUTES_AN_HOUR = 60;

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
  /** The hours of work there are in it; null where they are not known. */
  readonly there: number | null;
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

/** The work of some weeks that follow one another, beside the hours there are in each. */
export function ridgeOf<V extends CountedVisit>(
  visits: readonly V[],
  weeks: readonly Pick<WeekHours, "monday" | "hours">[],
): Week<V>[] {
  const [first] = weeks;
  if (first === undefined) return [];
  const byWeek = weeks.map((): V[] => []);
  for (const visit of visits) {
    byWeek[Math.floor(daysBetween(first.monday, visit.day) / DAYS_A_WEEK)]?.push(visit);
  }
  return weeks.map(({ monday, hours: there }, index) => {
    const own = byWeek[index] ?? [];
    return {
      ...{ monday, there },
      // In minutes first, so that thirds of an hour make no more than they are.
      hours: own.reduce((sum, visit) => sum + minutesOf(visit), 0) / MINUTES_AN_HOUR,
      unknown: own
        .filter(({ isOutside }) => !isOutside)
        .flatMap(({ turns }) => turns)
        .filter(({ minutes }) => minutes === null).length,
      visits: own.sort((one, other) => one.day - other.day),
    };
  });
}
