import type { Book, RecordOf } from "../../book/book.js";
import { guardCell } from "./csvCells.js";
import { CSV_COLUMNS, type CsvKind } from "./csvColumns.js";
import { CsvNames } from "./csvNames.js";
import { restOf, type Fields } from "./csvRecord.js";
import type { CsvRows, CsvShape } from "./csvShape.js";
import { csvShape, ownCells } from "./csvShapes.js";

type Rows = readonly ReadonlyMap<string, string>[];

/**
 * The records of one kind as a table: the headings and a row each, of machines a row each meter, of
 * tasks a row each limit, of parts a row each price. Dates are `YYYY-MM-DD`, decimals stand behind a
 * point. What no column holds stands in the last one as JSON, so that reading the table gives the
 * same records again; a text that a spreadsheet would take for a formula gets a `'` before it.
 */
export function writeCsv(book: Book, kind: CsvKind): string[][] {
  const names = new CsvNames(book);
  const shape = csvShape(kind);
  const columns = CSV_COLUMNS[kind];
  const records: readonly RecordOf[CsvKind][] = book[kind] ?? [];
  const rows = records.flatMap((record) => rowsOfRecord(kind, shape, record, names));
  return [
    columns.map(({ title }) => title),
    ...rows.map((cells) => columns.map(({ key }) => guardCell(cells.get(key) ?? ""))),
  ];
}

/** The rows of a record, with what their cells do not say in the last column of the first. */
function rowsOfRecord(
  kind: CsvKind,
  shape: CsvShape,
  record: RecordOf[CsvKind],
  names: CsvNames,
): Rows {
  const rows = shape.write(record, names);
  const back = readBack(kind, shape, rows, names);
  // A cell that could not be read again says nothing; what it should have said stands in the last one.
  const readable = rows.map((cells, index) => without(cells, back.unread[index] ?? new Set()));
  const said = back.isClean ? back.fields : readBack(kind, shape, readable, names).fields;
  const rest = restOf(record, said);
  if (Object.keys(rest).length === 0) return readable;
  const [first, ...others] = readable;
  return [new Map([...(first ?? []), ["rest", JSON.stringify(rest)]]), ...others];
}

function readBack(
  kind: CsvKind,
  shape: CsvShape,
  rows: Rows,
  names: CsvNames,
): { readonly fields: Fields; readonly unread: ReadonlySet<string>[]; readonly isClean: boolean } {
  const cells = rows.map((row, index) => ownCells(kind, index, row));
  const { fields } = shape.read(cells as unknown as CsvRows, names, null);
  const titles = new Map(CSV_COLUMNS[kind].map(({ key, title }) => [title, key]));
  const unread = cells.map(
    ({ issues }) => new Set(issues.flatMap(({ column }) => titles.get(column ?? "") ?? [])),
  );
  return { fields, unread, isClean: unread.every((columns) => columns.size === 0) };
}

function without(
  cells: ReadonlyMap<string, string>,
  columns: ReadonlySet<string>,
): ReadonlyMap<string, string> {
  return new Map([...cells].filter(([key]) => !columns.has(key)));
}
