import type { z } from "zod";
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

/** What visits are weighed by: amounts in the book's money, days of the week 1 Monday to 7 Sunday. */
export interface Planning {
  readonly visitCost: number;
  readonly accessCost: number;
  readonly leastTurnValue: number;
  readonly lateADay: number;
  readonly pastGraceADay: number;
  readonly workdays: readonly number[];
  readonly weeks: number;
  readonly leastDays: number;
}

/** The defaults: a visit costs about an hour of work, an access a quarter; past the grace a day costs as much as four within. */
export const DEFAULT_PLANNING: Planning = {
  visitCost: 40,
  accessCost: 10,
  leastTurnValue: 10,
  lateADay: 1,
  pastGraceADay: 4,
  workdays: [1, 2, 3, 4, 5],
  weeks: 26,
  leastDays: 35,
};

/** What a book's visits are weighed by, absent weights at their defaults. */
export function planningOf(book: {
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
}): Planning {
  const own = book.settings?.planning ?? {};
  return {
    visitCost: own.visitCost ?? DEFAULT_PLANNING.visitCost,
    accessCost: own.accessCost ?? DEFAULT_PLANNING.accessCost,
    leastTurnValue: own.leastTurnValue ?? DEFAULT_PLANNING.leastTurnValue,
    lateADay: own.lateADay ?? DEFAULT_PLANNING.lateADay,
    pastGraceADay: own.pastGraceADay ?? DEFAULT_PLANNING.pastGraceADay,
    workdays: own.workdays ?? DEFAULT_PLANNING.workdays,
    weeks: own.weeks ?? DEFAULT_PLANNING.weeks,
    leastDays: own.leastDays ?? DEFAULT_PLANNING.leastDays,
  };
}
