import type { z } from "zod";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import type { Closure } from "./booking.js";
import type { settingsSchema } from "./settingsSchema.js";

/** The settings with their defaults filled in. */
export interface Settings {
  readonly dueWithinDays: number;
  readonly leadDays: number;
  readonly staleAfterDays: number;
}

/** The defaults of due rules §1. */
export const DEFAULT_SETTINGS: Settings = { dueWithinDays: 7, leadDays: 30, staleAfterDays: 45 };

/** The settings of a book, absent ones at their defaults. */
export function settingsOf(book: {
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
}): Settings {
  const own = book.settings ?? {};
  return {
    dueWithinDays: own.dueWithinDays ?? DEFAULT_SETTINGS.dueWithinDays,
    leadDays: own.leadDays ?? DEFAULT_SETTINGS.leadDays,
    staleAfterDays: own.staleAfterDays ?? DEFAULT_SETTINGS.staleAfterDays,
  };
}

/** Days on which nobody works, the last one included. */
interface ClosedDays {
  readonly from: DayNumber;
  readonly to: DayNumber;
  readonly reason: string | null;
}

/** What visits are weighed by: amounts in the book's money, days of the week 1 Monday to 7 Sunday. */
export interface Planning {
  readonly visitCost: number;
  readonly accessCost: number;
  readonly leastTurnValue: number;
  readonly lateADay: number;
  readonly pastGraceADay: number;
  /** What an hour of work over those there are in a week is priced at. */
  readonly overHour: number;
  readonly workdays: readonly number[];
  /** Closures of the workshop as a whole. */
  readonly closed: readonly ClosedDays[];
  readonly weeks: number;
  readonly leastDays: number;
}

/**
 * The defaults: a visit costs about an hour of work, an access a quarter; past the grace a day costs as much as four within;
 * an hour over those there are, two and a half.
 */
export const DEFAULT_PLANNING: Planning = {
  visitCost: 40,
  accessCost: 10,
  leastTurnValue: 10,
  lateADay: 1,
  pastGraceADay: 4,
  overHour: 100,
  workdays: [1, 2, 3, 4, 5],
  closed: [],
  weeks: 26,
  leastDays: 35,
};

/** The days on which a workshop is closed as a whole, of all closures of a book. */
function closedDays(closures: readonly Closure[]): ClosedDays[] {
  return closures
    .filter(({ what }) => what === "workshop")
    .map(({ from, to, reason }) => ({ from: dayOf(from), to: dayOf(to), reason: reason ?? null }));
}

/** What a book's visits are weighed by, absent weights at their defaults, and the days on which it is closed. */
export function planningOf(book: {
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
  readonly closures?: readonly Closure[] | undefined;
}): Planning {
  const own = book.settings?.planning ?? {};
  return {
    visitCost: own.visitCost ?? DEFAULT_PLANNING.visitCost,
    accessCost: own.accessCost ?? DEFAULT_PLANNING.accessCost,
    leastTurnValue: own.leastTurnValue ?? DEFAULT_PLANNING.leastTurnValue,
    lateADay: own.lateADay ?? DEFAULT_PLANNING.lateADay,
    pastGraceADay: own.pastGraceADay ?? DEFAULT_PLANNING.pastGraceADay,
    overHour: own.overHour ?? DEFAULT_PLANNING.overHour,
    workdays: own.workdays ?? DEFAULT_PLANNING.workdays,
    closed: closedDays(book.closures ?? []),
    weeks: own.weeks ?? DEFAULT_PLANNING.weeks,
    leastDays: own.leastDays ?? DEFAULT_PLANNING.leastDays,
  };
}
