import Papa from "papaparse";
import { guardCell, type CsvTable } from "@yonderfell/core";

/** Larger files are refused before they are read. */
const MOST_BYTES = 64 * 1024 * 1024;
const MEGABYTE = 1024 * 1024;
/** More columns than any table has a use for: the file is something else. */
const MOST_COLUMNS = 500;
const UTF_16: readonly (readonly [number, number, string])[] = [
  [0xff, 0xfe, "utf-16le"],
  [0xfe, 0xff, "utf-16be"],
];

/** A file as text: Unicode where it is that, else as older spreadsheets of the West write it. Null where it is no text. */
export function textOfFile(bytes: Uint8Array): string | null {
  const marked = UTF_16.find(([one, two]) => bytes[0] === one && bytes[1] === two);
  const text =
    marked === undefined ? unmarkedText(bytes) : new TextDecoder(marked[2]).decode(bytes);
  return text.includes("\u0000") ? null : text;
}

function unmarkedText(bytes: Uint8Array): string {
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch (error) {
    if ((error as Partial<Error>).name !== "TypeError") throw error;
    return new TextDecoder("windows-1252").decode(bytes);
  }
}

const SEPARATORS = [",", ";", "\t", "|"];
const HEAD_LENGTH = 20_000;

/** What separates the cells of a text: the sign that its headings have most of, outside quotes. */
function separatorOf(text: string): string {
  const plain = text.slice(0, HEAD_LENGTH).replaceAll(/"(?:[^"]|"")*"/g, "");
  const headings = plain.split(/[\r\n]+/).find((line) => line.trim() !== "") ?? "";
  const count = (sign: string): number => headings.split(sign).length;
  return SEPARATORS.reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

const LINE_EXPECTED = "a JSON object on a line of its own";

/** The object that a line of JSON is; null where it is none. */
function objectIn(line: string): Record<string, unknown> | null {
  try {
    const value: unknown = JSON.parse(line);
    const isObject = typeof value === "object" && value !== null && !Array.isArray(value);
    return isObject ? (value as Record<string, unknown>) : null;
  } catch {
    return null;
  }
}

/** Lines of JSON, an object each, as rows under the names of their fields. */
function tableOfJsonLines(text: string): CsvTable {
  const broken: { row: number; expected: string }[] = [];
  const read: Record<string, unknown>[] = [];
  for (const line of text.split(/\r?\n/).filter((one) => one.trim() !== "")) {
    const value = objectIn(line);
    // Counted as a spreadsheet would: the row of the headings is the first.
    if (value === null) broken.push({ row: read.length + 2, expected: LINE_EXPECTED });
    read.push(value ?? {});
  }
  const headings = [...new Set(read.flatMap((one) => Object.keys(one)))];
  const cell = (value: unknown): string =>
    typeof value === "string"
      ? value
      : value === undefined || value === null
        ? ""
        : JSON.stringify(value);
  return {
    rows: [headings, ...read.map((one) => headings.map((name) => cell(one[name])))],
    broken,
  };
}

/** Text taken apart into rows and cells: JSON lines as such, else by commas, semicolons, tabs or bars, as the text tells. */
export function tableOfText(text: string): CsvTable {
  if (text.trimStart().startsWith("{")) return tableOfJsonLines(text);
  const { data, errors } = Papa.parse<string[]>(text, {
    delimiter: separatorOf(text),
    skipEmptyLines: false,
  });
  const broken = errors.flatMap(({ type, row }) =>
    type === "Quotes"
      ? [{ row: (row ?? 0) + 1, expected: "a quote to be closed, and followed by the next cell" }]
      : [],
  );
  const first = new Map(broken.map((one) => [one.row, one]));
  return { rows: data, broken: [...first.values()] };
}

/** The table of a file, or why there is none. */
export async function tableOfFile(file: Blob): Promise<CsvTable | string> {
  if (file.size > MOST_BYTES) {
    const has = Math.round(file.size / MEGABYTE);
    return `(the file): expected a table of at most ${MOST_BYTES / MEGABYTE} MB (it has ${has} MB)`;
  }
  const text = textOfFile(new Uint8Array(await file.arrayBuffer()));
  if (text === null) return "(the file): expected a table as text (CSV)";
  const table = tableOfText(text);
  const width = table.rows[0]?.length ?? 0;
  return width > MOST_COLUMNS
    ? `Row 1: expected at most ${MOST_COLUMNS} columns (it has ${width})`
    : table;
}

/** A table as text for a spreadsheet: commas, quotes where they are needed, marked as Unicode. */
export function textOfTable(rows: readonly (readonly string[])[]): string {
  return `\uFEFF${Papa.unparse(rows as string[][], { newline: "\r\n" })}\r\n`;
}

/** Whom a figure came from, where the file of a feed does not say. */
const SOURCE = "Source";

/** Several tables as one under all their headings, as what came from a meter feed. */
export function tableOfFeed(tables: readonly CsvTable[]): CsvTable {
  const headings = [...new Set(tables.flatMap(({ rows }) => rows[0] ?? []))];
  const isSaid = headings.some((heading) => heading.trim().toLowerCase() === "source");
  let before = 0;
  const broken: { row: number; expected: string }[] = [];
  const rows = tables.flatMap(({ rows: [own = [], ...others], broken: wrong }) => {
    broken.push(...wrong.map(({ row, expected }) => ({ row: row + before, expected })));
    before += others.length;
    return others.map((cells) => {
      const isEmpty = cells.every((cell) => cell.trim() === "");
      const all = headings.map((heading) => cells[own.indexOf(heading)] ?? "");
      return isSaid ? all : [...all, isEmpty ? "" : "feed"];
    });
  });
  return { rows: [isSaid ? headings : [...headings, SOURCE], ...rows], broken };
}

const FIGURE = /^-?\d+(\.\d+)?$/;

/** The same for cells of any text: one that a spreadsheet would take for a formula gets a `'` before it; a figure, below 0 too, is none. */
export function textOfGuarded(rows: readonly (readonly string[])[]): string {
  return textOfTable(
    rows.map((row) => row.map((cell) => (FIGURE.test(cell) ? cell : guardCell(cell)))),
  );
}
