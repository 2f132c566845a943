import type { DecimalSign } from "../../quantity/numeral.js";
import { unguardCell } from "./csvCells.js";
import {
  CSV_COLUMNS,
  CSV_KINDS,
  missingColumns,
  type CsvColumn,
  type CsvKind,
} from "./csvColumns.js";
import {
  csvUnit,
  tellDates,
  tellDecimal,
  type CsvFormat,
  type DateOrder,
  type Told,
} from "./csvFormat.js";

/** What the columns of a file hold, by their place; null for one that is left out. */
export type CsvColumns = readonly (string | null)[];

/** What a file is thought to be, for a person to look at. */
export interface CsvGuess {
  readonly kind: CsvKind;
  readonly columns: CsvColumns;
  readonly dates: Told<DateOrder>;
  readonly decimal: Told<DecimalSign>;
  readonly distance: CsvFormat["distance"];
}

/** How people of a place write what can be written in several ways: taken where the file does not tell. */
export type CsvHabits = Pick<CsvFormat, "dates" | "decimal">;

const BRACKETS = /[([{].*?[)\]}]/g;

/** A heading in small letters, without what stands in brackets. */
const plain = (heading: string): string =>
  heading
    .replace(BRACKETS, " ")
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

const EXACT = 3;
const KNOWN = 2;
const WITHIN = 1;
const SHORT_WORD = 3;

/** How well a heading names a column: 0 not at all. */
function likeness(heading: string, column: CsvColumn): number {
  if (heading === "") return 0;
  if (heading === plain(column.title)) return EXACT;
  if (column.also.includes(heading)) return KNOWN;
  const words = ` ${heading} `;
  // A short word within a longer heading says little: *last done at km* is no milestone.
  const names = [plain(column.title), ...column.also].filter((name) => name.length > SHORT_WORD);
  const within = names.some((name) => words.includes(` ${name} `));
  return within ? WITHIN : 0;
}

/** The units a heading names, such as km in `Odometer (km)`. */
function unitsIn(heading: string): ("km" | "mi" | "h")[] {
  return (heading.match(/[A-Za-z]+/g) ?? []).flatMap((word) => csvUnit(word) ?? []);
}

/** The column a heading means by one it fits: that of the hours where it counts in hours only. */
function columnMeant({ key, inHours }: CsvColumn, heading: string): string {
  const units = unitsIn(heading);
  return inHours !== null && units.length > 0 && units.every((unit) => unit === "h")
    ? inHours
    : key;
}

/** What the columns of a file hold, as their headings say: each of a table's columns at most once, the best named first. */
export function guessColumns(kind: CsvKind, headings: readonly string[]): CsvColumns {
  const plainHeadings = headings.map((heading) => plain(unguardCell(heading)));
  const columns: (string | null)[] = headings.map(() => null);
  const taken = new Set<string>();
  for (const needed of [EXACT, KNOWN, WITHIN]) {
    plainHeadings.forEach((heading, index) => {
      if (columns[index] !== null) return;
      const found = CSV_COLUMNS[kind]
        .filter((column) => likeness(heading, column) >= needed)
        .map((column) => columnMeant(column, headings[index] ?? ""))
        .find((key) => !taken.has(key));
      if (found === undefined) return;
      taken.add(found);
      columns[index] = found;
    });
  }
  return columns;
}

/** Which kind of table headings belong to: that which knows most of them and leaves out fewest, its needed ones first. */
export function guessKind(headings: readonly string[]): CsvKind {
  const plainHeadings = headings.map((heading) => plain(unguardCell(heading)));
  const worth = (kind: CsvKind): number => {
    const columns = guessColumns(kind, headings);
    const known = columns.reduce((sum, key, index) => {
      const column = CSV_COLUMNS[kind].find((one) => one.key === key);
      // What comes along with records of a kind does not make a table one of them.
      if (column === undefined || column.isOnlyRead) return sum;
      return sum + likeness(plainHeadings[index] ?? "", column);
    }, 0);
    const leftOut = columns.filter((key, index) => key === null && plainHeadings[index] !== "");
    return known - missingColumns(kind, columns).length * EXACT - leftOut.length * WITHIN;
  };
  return CSV_KINDS.reduce((best, kind) => (worth(kind) > worth(best) ? kind : best));
}

/** The texts of the columns that hold dates, or figures. */
function textsOf(
  kind: CsvKind,
  columns: CsvColumns,
  rows: readonly (readonly string[])[],
  holds: CsvColumn["holds"],
): string[] {
  const places = columns.flatMap((key, index) =>
    CSV_COLUMNS[kind].some((column) => column.key === key && column.holds === holds) ? [index] : [],
  );
  return rows.slice(1).flatMap((row) => places.map((place) => row[place] ?? ""));
}

/** What a file is thought to be: its kind (unless it is given), its columns, and how it writes dates, decimals and distances. */
export function guessCsv(
  rows: readonly (readonly string[])[],
  habits: CsvHabits,
  given: CsvKind | null = null,
): CsvGuess {
  const headings = rows[0] ?? [];
  const kind = given ?? guessKind(headings);
  const columns = guessColumns(kind, headings);
  return { kind, columns, ...guessFormat(kind, columns, rows, habits) };
}

/** How a file writes its dates, decimals and distances, by the columns that hold them. */
export function guessFormat(
  kind: CsvKind,
  columns: CsvColumns,
  rows: readonly (readonly string[])[],
  habits: CsvHabits,
): Pick<CsvGuess, "dates" | "decimal" | "distance"> {
  const units = (rows[0] ?? []).flatMap(unitsIn);
  return {
    dates: tellDates(textsOf(kind, columns, rows, "date"), habits.dates),
    decimal: tellDecimal(textsOf(kind, columns, rows, "figure"), habits.decimal),
    distance: units.find((unit) => unit !== "h") ?? null,
  };
}
