import type { AheadCost, WaitingCost, YearAhead } from "@yonderfell/core";
import { counted, figure } from "../../../words/format.js";
import { money } from "../../../words/money.js";

/** What a sum of turns leaves out, in a sentence; empty where nothing. */
export const incompleteWords = ({ turns, incomplete }: AheadCost): string =>
  incomplete === 0
    ? ""
    : `${figure(incomplete)} of ${counted(turns, "turn")} cannot be told in full: a capacity, a product, a price, minutes or a rate is not written down.`;

/** What will be spent, in a sentence. */
export function sumWords({ sum }: YearAhead, currency: string): string {
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

/** The months as a table for a spreadsheet. */
export function aheadRows({ months }: YearAhead): string[][] {
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
    ...months.map(({ month, turns, incomplete, yearBefore, ...cost }) => [
      ...[month, String(turns)],
      ...[cost.parts, cost.fluids, cost.work, cost.total].map((one) => one.toFixed(2)),
      ...[String(incomplete), yearBefore.toFixed(2)],
    ]),
  ];
}
