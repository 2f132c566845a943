import { dayOf, type InTime, type WarrantyLimit, type WarrantyTurn } from "@yonderfell/core";
import { amount, counted, dialFigureWithUnit, fullDate } from "../../../words/format.js";
import { dialWords, fluidWords } from "../record/recordWords.js";

type MeterUnit = Parameters<typeof dialFigureWithUnit>[1];

/** Whether a turn was in time, in words. */
export const IN_TIME_WORDS = {
  "in time": "in time",
  "within grace": "within grace",
  late: "late",
  unknown: "not known",
  "no limit": "no limit",
} as const satisfies Record<InTime, string>;

function leftWords(limit: WarrantyLimit, remaining: number): string {
  const size = Math.abs(remaining);
  if (size === 0 && limit.unit === null) return "on its last day";
  const words = limit.unit === null ? counted(size, "day") : amount(size, limit.unit as MeterUnit);
  return remaining < 0 ? `${words} past it` : `${words} left`;
}

/** Where a limit stood on the day, lives over all dials: `due 12 Jan 2025, 3 days left`. */
export function warrantyLimitWords(limit: WarrantyLimit): string {
  const { dueAt, dueOn, unit, remaining } = limit;
  const life = dueAt === null ? null : dialFigureWithUnit(dueAt, (unit ?? "km") as MeterUnit);
  const due = dueOn !== null ? fullDate(dayOf(dueOn)) : life;
  if (due === null || remaining === null) return "when it was due is not known";
  return `due ${dueOn === null ? "at " : ""}${due}: ${leftWords(limit, remaining)}`;
}

/** What went in, and the part numbers, one line each. */
export function usedWords({ fluids, parts }: WarrantyTurn): string[] {
  return [
    ...fluids.map(fluidWords),
    ...parts.map(
      ({ number, name, count }) => `${count === 1 ? "" : `${count} × `}${number} ${name}`,
    ),
  ];
}

/** The turns as a table for a spreadsheet: headings, then a row each. */
export function warrantyRows(turns: readonly WarrantyTurn[]): string[][] {
  const headings = ["Task", "Date", "In time", "Limits", "Dials", "Products and parts", "By"];
  return [
    headings,
    ...turns.map((turn) => [
      turn.name,
      turn.date,
      IN_TIME_WORDS[turn.inTime],
      turn.limits.map(warrantyLimitWords).join("; "),
      turn.dials.map(dialWords).join("; "),
      usedWords(turn).join("; "),
      turn.who.join(", "),
    ]),
  ];
}
