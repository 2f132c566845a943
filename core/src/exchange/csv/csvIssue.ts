import type { FigureDoubt } from "../../meter/figureDoubt.js";
import type { Meter } from "../../book/machine.js";
import type { DifferingField } from "../mergePlan.js";

/** One thing wrong with a table: where, what stands there, and what was expected. */
export interface CsvIssue {
  /** As a spreadsheet counts them: 1 is the row of the headings. */
  readonly row: number;
  /** The heading of the column; null where the row as a whole is meant. */
  readonly column: string | null;
  /** What stands there; empty where nothing does. */
  readonly found: string;
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
  /** The book has this dated record with something else in it: taken, it becomes a correction. */
  | { readonly code: "differs"; readonly fields: readonly DifferingField[] }
  /** The machine has no such tasks: taken, their names stand in the note. */
  | { readonly code: "work-unknown"; readonly names: readonly string[] }
  /** The book has no such place: taken, it is added. */
  | { readonly code: "place-unknown"; readonly name: string }
  /** It refers to what this book does not have: taken, those references are left out. */
  | { readonly code: "references-missing"; readonly fields: readonly string[] };

/** The codes of the doubts, in the order in which they are shown. */
export const CSV_DOUBTS = [
  "figure-in-doubt",
  "differs",
  "in-future",
  "row-short",
  "repeated",
  "tag-alike",
  "work-unknown",
  "place-unknown",
  "references-missing",
] as const satisfies readonly CsvDoubt["code"][];

/** An issue as one line: where, what was expected, and what stood there. */
export function describeCsvIssue({ row, column, found, expected }: CsvIssue): string {
  const place = column === null ? `Row ${row}` : `Row ${row}, ${column}`;
  const most = 60;
  const shown = found.length > most ? `${found.slice(0, most)}…` : found;
  const there = found === "" ? "" : ` (there is ${JSON.stringify(shown)})`;
  return `${place}: expected ${expected}${there}`;
}
