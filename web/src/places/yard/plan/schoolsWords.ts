import type { Hindsight, SchoolSum, Task } from "@yonderfell/core";
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

const MINUTES_AN_HOUR = 60;

/** What parts, fluids and own time of a school come to together. */
export const togetherOf = ({ money: { parts, fluids, labour } }: SchoolSum): number =>
  parts + fluids + labour;

/** Schools side by side as a table for a spreadsheet: a column each. */
export function schoolRows(sums: readonly SchoolSum[], tasks: readonly Task[]): string[][] {
  const line = (name: string, of: (sum: SchoolSum) => number, decimals = 0): string[] => [
    name,
    ...sums.map((sum) => of(sum).toFixed(decimals)),
  ];
  return [
    ["Over these years", ...sums.map(({ school }) => school)],
    line("Services", ({ turns }) => turns),
    line("Days with work", ({ days }) => days),
    line("Hours of work", ({ minutes }) => minutes / MINUTES_AN_HOUR, 1),
    line("Litres", ({ litres }) => litres, 1),
    line("Parts", ({ money }) => money.parts, 2),
    line("Fluids", ({ money }) => money.fluids, 2),
    line("Own time", ({ money }) => money.labour, 2),
    line("Together", togetherOf, 2),
    ...tasks.map(({ id, name }) =>
      line(name, (sum) => sum.tasks.find(({ task }) => task === id)?.turns ?? 0),
    ),
  ];
}
