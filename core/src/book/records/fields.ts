import { z } from "zod";
import { parseDay } from "../../calendar/dayNumber.js";

/** A date of the calendar as `YYYY-MM-DD`. */
export const dateField = z
  .string("a date as YYYY-MM-DD")
  .refine((text) => parseDay(text) !== null, "a date of the calendar as YYYY-MM-DD")
  .meta({ format: "date", pattern: "^\\d{4}-\\d{2}-\\d{2}$" });

/** Any finite number. */
export const numberField = z.number("a finite number");

/** A finite number of at least zero. */
export const notNegativeField = numberField.min(0, "a number of at least 0");

/** A finite number above zero. */
export const positiveField = numberField.gt(0, "a number above 0");

/** A whole number above zero. */
export const positiveWholeField = z
  .number("a whole number above 0")
  .int("a whole number above 0")
  .gt(0, "a whole number above 0");

/** A whole number of at least zero. */
export const wholeField = z
  .number("a whole number of at least 0")
  .int("a whole number of at least 0")
  .min(0, "a whole number of at least 0");

/** Text that may be empty. */
export const textField = z.string("text");

/** Text of at least one character. */
export const nameField = z
  .string("text of at least one character")
  .min(1, "text of at least one character");

/** True or false. */
export const flagField = z.boolean("true or false");
