import type { Status } from "@yonderfell/core";

/** The ink of the word of a state. */
export const WORD_INK: Readonly<Record<Status, string>> = {
  overdue: "text-overdue font-semibold",
  due: "text-due font-semibold",
  soon: "text-soon-text font-semibold",
  clear: "text-quiet",
  unknown: "text-quiet",
  finished: "text-quiet",
};
