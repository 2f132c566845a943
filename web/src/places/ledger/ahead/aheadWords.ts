import type { AheadCost, SpendingAhead, WaitingCost } from "@yonderfell/core";
import { counted, figure } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import type { AheadTold } from "../../../work/costs.worker.js";

/** What a sum of turns leaves out, in a sentence; empty where nothing. */
export const incompleteWords = ({ turns, incomplete }: AheadCost): string =>
  incomplete === 0
    ? ""
    : `${figure(incomplete)} of ${counted(turns, "turn")} cannot be told in full: a capacity, a product, a price, minutes or a rate is not written down.`;

/** What will be spent, in a sentence. */
export function sumWords({ sum }: SpendingAhead, currency: string): string {
  if (sum.turns === 0) return "Nothing falls due in the next twelve months.";
  return `${money(sum.total, currency)} for ${counted(sum.turns, "turn")} in the next twelve months`;
}

/** Some work that waits, in a sentence. */
export function waitingWords({ jobs, cost, without }: WaitingCost, currency: string): string {
  if (jobs === 0) return "none";
  if (without === jobs) return `${figure(jobs)}, of which nobody has written down what it costs`;
  const rest = without === 0 ? "" : `, ${figure(without)} of them without a figure`;
  return `${money(cost, currency)} for ${figure(jobs)}${rest}`;
}

/** The year's budget beside what was spent and what is to come; null where there is no budget. */
export interface BudgetLine {
  readonly year: string;
  readonly budget: number;
  readonly spent: number;
  /** From the due rules, up to the end of the year. */
  readonly ahead: number;
  /** Below 0 where it will not do. */
  readonly left: number;
}

/** The budget of a year as it stands; null where none is set. */
export function budgetLine(
  { ahead, thisYear, budgets }: AheadTold,
  year: string,
): BudgetLine | null {
  const budget = budgets[year];
  if (budget === undefined) return null;
  const spent = thisYear.sum.total;
  const coming = ahead.months
    .filter(({ month }) => month.startsWith(year))
    .reduce((sum, { total }) => sum + total, 0);
  return { year, budget, spent, ahead: coming, left: budget - spent - coming };
}

/** A month of the year before: what was spent in it stands beside what will be. */
export const yearBefore = (month: string): string =>
  `${Number(month.slice(0, 4)) - 1}${month.slice(4)}`;

/** The months as a table for a spreadsheet. */
export function aheadRows({ ahead, spent }: AheadTold): string[][] {
  const was = new Map(spent.months.map(({ month, total }) => [month, total]));
  return [
    [
      "Month",
      "Turns",
      "Parts",
      "Fluids",
      "Work",
      "Total",
      "Not known in full",
      "Spent a year before",
    ],
    ...ahead.months.map(({ month, turns, parts, fluids, work, total, incomplete }) => [
      ...[month, String(turns), ...[parts, fluids, work, total].map((one) => one.toFixed(2))],
      ...[String(incomplete), (was.get(yearBefore(month)) ?? 0).toFixed(2)],
    ]),
  ];
}
