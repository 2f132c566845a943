import type { Hindsight } from "@yonderfell/core";
import { fullDate } from "../../../words/format.js";

/** Over which years schools are laid side by side: so many to come, or those that the book has. */
export const LOOKS = [
  ["1", "the next year"],
  ["2", "the next 2 years"],
  ["3", "the next 3 years"],
  ["5", "the next 5 years"],
  ["8", "the next 8 years"],
  ["10", "the next 10 years"],
  ["back", "the years kept so far"],
] as const;
export type Look = (typeof LOOKS)[number][0];

/** What heads the column of what was really done. */
export const AS_DONE = "as it was done";

export const NOTHING_KEPT =
  "Too little is known: the book has no reading, work or round of it from before today.";

/** What hindsight stands on. */
export const hindsightWords = ({ from }: Hindsight): string =>
  `, from ${fullDate(from)} to today, as the machine really ran. “${AS_DONE}” counts what the log has, at what such a turn takes now: not what was paid`;
