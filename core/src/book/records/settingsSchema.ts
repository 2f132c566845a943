import { z } from "zod";
import { boardViewSchema } from "./boardView.js";
import { notNegativeField, positiveWholeField, textField, wholeField } from "./fields.js";
import { revisionField } from "./revisionField.js";

/** What visits are weighed by, in the book's money, and the days on which work is done. */
const planningSchema = z.looseObject(
  {
    /** What a visit costs before anything is done: fetching, setting up, the machine standing still. */
    visitCost: notNegativeField.nullish(),
    /** What it costs to open one access, however much is done through it. */
    accessCost: notNegativeField.nullish(),
    /** What a turn is worth at the least, so that what costs nothing is not done twice as often. */
    leastTurnValue: notNegativeField.nullish(),
    /** What a day past the date costs, within the grace. */
    lateADay: notNegativeField.nullish(),
    /** What a day past the grace costs. */
    pastGraceADay: notNegativeField.nullish(),
    /** What an hour of work over those there are in a week is priced at. */
    overHour: notNegativeField.nullish(),
    /** The days of the week on which work is done, 1 Monday to 7 Sunday. */
    workdays: z
      .array(wholeField.min(1, "a weekday, 1 to 7").max(7, "a weekday, 1 to 7"), "weekdays")
      .nullish(),
    /** How many weeks ahead visits are proposed. */
    weeks: positiveWholeField.nullish(),
    /** What comes round more often than this many days is not a matter for a visit. */
    leastDays: wholeField.nullish(),
  },
  "what visits are weighed by",
);

/** The windows of the status rules, in days. */
export const settingsSchema = z.looseObject(
  {
    dueWithinDays: wholeField.optional(),
    leadDays: wholeField.optional(),
    staleAfterDays: wholeField.optional(),
    /** What stands behind an amount of money, such as `cr`. */
    currency: textField.nullish(),
    /** Whose quarts and gallons are meant where a machine does not say. */
    gallons: z.enum(["us", "imperial"], "us or imperial").nullish(),
    /** What is kept above the cold-cranking limit of a winter grade of engine oil, in °C. */
    coldMargin: notNegativeField.nullish(),
    /** What may be spent in a year, by year: `2026`. */
    budgets: z.record(z.string(), notNegativeField, "money by year").nullish(),
    planning: planningSchema.nullish(),
    /** Ways of looking at the board, each under a name of its own. */
    views: z.array(boardViewSchema, "a list of views").nullish(),
    revision: revisionField,
  },
  "settings",
);
