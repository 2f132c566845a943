import { isEqual } from "es-toolkit";
import type { CsvColumn } from "./csvColumns.js";
import { readCsvDate, readCsvFigure, type CsvFormat } from "./csvFormat.js";
import type { CsvIssue } from "./csvIssue.js";

/** What a spreadsheet would take for a formula, and the sign that keeps it from doing so. */
const GUARDED = /^[=+\-@'\t\r]/;
const GUARD = "'";

/** A text as it is written into a cell: one that a spreadsheet would take for a formula gets one `'` before it. */
export function guardCell(text: string): string {
  return GUARDED.test(text) ? `${GUARD}${text}` : text;
}

/** The text of a cell: exactly one leading `'` is taken off. */
export function unguardCell(cell: string): string {
  return cell.startsWith(GUARD) ? cell.slice(GUARD.length) : cell;
}

/** What separates several values in one cell. */
const SEPARATOR = ";";

const YES = new Set(["yes", "y", "true", "1", "x"]);
const NO = new Set(["no", "n", "false", "0"]);

/** The cells of one row, read by column; what cannot be read is noted as an issue and answers null. */
export class CsvCells {
  readonly issues: CsvIssue[] = [];
  private restRead: Readonly<Record<string, unknown>> | null = null;

  constructor(
    /** As a spreadsheet counts it. */
    readonly row: number,
    private readonly cells: ReadonlyMap<string, string>,
    private readonly columns: readonly CsvColumn[],
    readonly format: CsvFormat,
    /** The headings as the file has them, by column. */
    private readonly headings: ReadonlyMap<string, string>,
  ) {}

  /** The row as another table would have it: cells by column in place of these, each under the heading of the one it was. */
  moved(
    cells: Readonly<Record<string, string | null>>,
    from: ReadonlyMap<string, string>,
  ): CsvCells {
    const changed = new Map(this.cells);
    for (const [key, text] of Object.entries(cells)) {
      if (text === null) changed.delete(key);
      else changed.set(key, text);
    }
    const headings = new Map(this.headings);
    for (const [key, was] of from) headings.set(key, this.headings.get(was) ?? key);
    return new CsvCells(this.row, changed, this.columns, this.format, headings);
  }

  /** Whether another row has the very same cells. */
  saysTheSame(other: CsvCells): boolean {
    return isEqual(this.cells, other.cells);
  }

  /** The text of a cell as it stands; null where it is empty or the table has no such column. */
  text(key: string): string | null {
    const cell = this.cells.get(key) ?? "";
    return cell === "" ? null : cell;
  }

  /** The text of a cell without what stands around it; null where there is none. */
  word(key: string): string | null {
    const word = (this.text(key) ?? "").trim();
    return word === "" ? null : word;
  }

  /** The words of a cell, separated by semicolons; null where there are none. */
  words(key: string): string[] | null {
    const words = (this.word(key) ?? "").split(SEPARATOR).map((word) => word.trim());
    const given = words.filter((word) => word !== "");
    return given.length === 0 ? null : given;
  }

  date(key: string): string | null {
    const word = this.word(key);
    if (word === null) return null;
    const date = readCsvDate(word, this.format.dates);
    return date ?? this.refuse(key, `a date as ${DATE_WORDS[this.format.dates]}`);
  }

  /** A figure of at least zero with the unit behind it, if any. */
  measure(key: string): ReturnType<typeof readCsvFigure> {
    const word = this.word(key);
    if (word === null) return null;
    return readCsvFigure(word, this.format.decimal) ?? this.refuse(key, FIGURE_WORDS);
  }

  figure(key: string): number | null {
    return this.measure(key)?.value ?? null;
  }

  /** Figures, separated by semicolons. */
  figures(key: string): number[] | null {
    const words = this.words(key);
    if (words === null) return null;
    const figures = words.map((word) => readCsvFigure(word, this.format.decimal)?.value ?? null);
    return figures.includes(null)
      ? this.refuse(key, "figures of at least 0, separated by semicolons")
      : figures.flatMap((figure) => figure ?? []);
  }

  yes(key: string): boolean | null {
    const word = this.word(key)?.toLowerCase() ?? null;
    if (word === null) return null;
    if (YES.has(word)) return true;
    return NO.has(word) ? false : this.refuse(key, "yes, no or nothing");
  }

  oneOf<Word extends string>(key: string, choices: readonly Word[]): Word | null {
    const word = this.word(key)?.toLowerCase() ?? null;
    if (word === null) return null;
    return choices.find((choice) => choice === word) ?? this.refuse(key, choices.join(" or "));
  }

  /** A text that must be there, here or in the last column. */
  needed(key: string, expected: string): string | null {
    const word = this.word(key);
    if (word !== null || this.isInRest(key)) return word;
    return this.refuse(key, expected);
  }

  /** Whether the last column says something of a field, which then stands over its cell. */
  isInRest(field: string): boolean {
    return Object.hasOwn(this.rest(), field);
  }

  /** The fields of the last column: an object as JSON. */
  rest(): Readonly<Record<string, unknown>> {
    return (this.restRead ??= this.readRest());
  }

  private readRest(): Readonly<Record<string, unknown>> {
    const text = this.word("rest");
    if (text === null) return {};
    try {
      const rest: unknown = JSON.parse(text);
      if (typeof rest === "object" && rest !== null && !Array.isArray(rest)) {
        return rest as Record<string, unknown>;
      }
    } catch (error) {
      if (!(error instanceof SyntaxError || error instanceof RangeError)) throw error;
    }
    this.refuse("rest", "an object as JSON, such as {}");
    return {};
  }

  /** Notes that a cell is not as it should be. */
  refuse(key: string, expected: string): null {
    const column =
      this.headings.get(key) ?? this.columns.find((one) => one.key === key)?.title ?? null;
    const found = this.headings.has(key) ? (this.cells.get(key) ?? "") : null;
    this.issues.push({ row: this.row, column, found, expected });
    return null;
  }
}

const FIGURE_WORDS = "a figure of at least 0";
const DATE_WORDS: Readonly<Record<CsvFormat["dates"], string>> = {
  ymd: "year-month-day",
  dmy: "day, month, year",
  mdy: "month, day, year",
};

/** The words of a list as one cell. */
export function joinWords(words: readonly (string | number)[]): string {
  return words.join(`${SEPARATOR} `);
}
