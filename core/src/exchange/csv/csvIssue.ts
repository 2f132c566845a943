import type { FigureDoubt } from "../../meter/figureDoubt.js";
import type { Meter } from "../../book/records/machine.js";
import type { DifferingField } from "../mergePlan.js";

/** One thing wrong with a table: where, what stands there, and what was expected. */
export interface CsvIssue {
  /** As a spreadsheet counts them: 1 is the row of the headings. */
  readonly row: number;
  /** The heading of the column; null where the row as a whole is meant. */
  readonly column: string | null;
  /** What stands there, empty where the cell is; null where no cell is meant, or the table has none for it. */
  readonly found: string | null;
  /** What should have stood there, as the end of "expected …". */
  readonly expected: string;
}

/** Why a row that can be read may still not be what its writer meant. */
export type CsvDoubt =
  /** The row ends before its columns do: a file cut off, or empty cells left out. */
  | { readonly code: "row-short" }
  /** The same was said in an earlier row. */
  | { readonly code: "repeated"; readonly row: number }
  /** The tag is that of a machine only when it is taken as a number, such as 7 for 07. */
  | { readonly code: "tag-alike"; readonly text: string; readonly tag: string }
  | { readonly code: "in-future"; readonly date: string }
  /** It does not agree with the other figures of the meter. */
  | { readonly code: "figure-in-doubt"; readonly meter: Meter; readonly doubt: FigureDoubt }
  /** It comes from a feed, and on that day somebody read the dial and wrote down something else. */
  | { readonly code: "read-by-hand"; readonly meter: Meter; readonly value: number }
  /** The book has this dated record with something else in it: taken, it becomes a correction. */
  | { readonly code: "differs"; readonly fields: readonly DifferingField[] }
  /** The machine has no such tasks: taken, their names stand in the note. */
  | { readonly code: "work-unknown"; readonly names: readonly string[] }
  /** The book has no such place: taken, it is added. */
  | { readonly code: "place-unknown"; readonly name: string }
  /** The book has no such person: taken, one is added. */
  | { readonly code: "person-unknown"; readonly name: string }
  /** It refers to what this book does not have: taken, those references are left out. */
  | { readonly code: "references-missing"; readonly fields: readonly string[] };

/** The codes of the doubts, in the order in which they are shown. */
export const CSV_DOUBTS = [
  "read-by-hand",
  "figure-in-doubt",
  "differs",
  "in-future",
  "row-short",
  "repeated",
  "tag-alike",
  "work-unknown",
  "place-unknown",
  "person-unknown",
  "references-missing",
] as const satisfies readonly CsvDoubt["code"][];

/** What several records in doubt have in common, so that one answer holds for all; null where each is of its own. */
export function csvQuestion(doubts: readonly CsvDoubt[]): string | null {
  const shared = doubts.map(sharedDoubt);
  return shared.length === 0 || shared.includes(null) ? null : JSON.stringify(shared);
}

function sharedDoubt(doubt: CsvDoubt): unknown {
  switch (doubt.code) {
    case "row-short":
      return [doubt.code];
    case "tag-alike":
      return [doubt.code, doubt.tag];
    case "in-future":
      return [doubt.code, doubt.date];
    case "work-unknown":
      return [doubt.code, doubt.names.map((name) => name.toLowerCase())];
    case "place-unknown":
    case "person-unknown":
      return [doubt.code, doubt.name.toLowerCase()];
    case "references-missing":
      return [doubt.code, doubt.fields];
    case "read-by-hand":
    case "differs":
    case "repeated":
    case "figure-in-doubt":
      return null;
  }
}

/** An issue as one line: where, what was expected, and what stood there. */
export function describeCsvIssue({ row, column, found, expected }: CsvIssue): string {
  const place = column === null ? `Row ${row}` : `Row ${row}, ${column}`;
  const most = 60;
  if (found === null) return `${place}: expected ${expected}`;
  if (found.trim() === "") return `${place}: expected ${expected}; this cell is empty`;
  const shown = found.length > most ? `${found.slice(0, most)}…` : found;
  return `${place}: expected ${expected} (there is ${JSON.stringify(shown)})`;
}
