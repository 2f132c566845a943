import { z } from "zod";
import { parseDay } from "../../calendar/dayNumber.js";

/** A date of the calendar as `YYYY-MM-DD`. */
export const dateField = z
  .string("a date as YYYY-MM-DD")
  .refine((text) => parseDay(text) !== null, "a date of the calendar as YYYY-MM-DD")
  .meta({ format: "date", pattern: "^\\d{4}-\\d{2}-\\d{2}$" });

/** No dial, amount or interval is larger: past it sums lose their last places, and reckoning its end. */
const MOST = 1_000_000_000;
const AT_MOST = "a number of at most 1 000 000 000";
/** A place in an order may be larger. */
const MOST_WHOLE = 1_000_000_000_000_000;

/** A number from -10⁹ to 10⁹. */
export const numberField = z
  .number("a finite number")
  .min(-MOST, "a number of at least -1 000 000 000")
  .max(MOST, AT_MOST);

/** A number from 0 to 10⁹. */
export const notNegativeField = z
  .number("a finite number")
  .min(0, "a number of at least 0")
  .max(MOST, AT_MOST);

/** A number above zero, to 10⁹. */
export const positiveField = z
  .number("a finite number")
  .gt(0, "a number above 0")
  .max(MOST, AT_MOST);

/** A whole number from 1 to 10⁹. */
export const positiveWholeField = z
  .number("a whole number above 0")
  .int("a whole number above 0")
  .gt(0, "a whole number above 0")
  .max(MOST, AT_MOST);

/** A whole number from 0 to 10¹⁵. */
export const wholeField = z
  .number("a whole number of at least 0")
  .int("a whole number of at least 0")
  .min(0, "a whole number of at least 0")
  .max(MOST_WHOLE, "a whole number of at most 1 000 000 000 000 000");

/** Text that may be empty. */
export const textField = z.string("text");

/** Text of at least one character. */
export const nameField = z
  .string("text of at least one character")
  .min(1, "text of at least one character");

/** True or false. */
export const flagField = z.boolean("true or false");
