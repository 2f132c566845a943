import type { Book } from "../../book/file/book.js";
import type { RecordOf } from "../../book/records/recordSchemas.js";
import { guardCell } from "./csvCells.js";
import { CSV_COLUMNS, writtenColumns, type CsvKind } from "./csvColumns.js";
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
  const columns = writtenColumns(kind);
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
  const { rows, fields: said } = readableRows(kind, shape, shape.write(record, names), names);
  const rest = restOf(record, said);
  if (Object.keys(rest).length === 0) return rows;
  const [first, ...others] = rows;
  return [new Map([...(first ?? []), ["rest", JSON.stringify(rest)]]), ...others];
}

/**
 * Rows without the cells that could not be read again, and what they say: first without those cells
 * themselves, then without all that a row still in trouble says for itself.
 */
function readableRows(
  kind: CsvKind,
  shape: CsvShape,
  written: Rows,
  names: CsvNames,
): { readonly rows: Rows; readonly fields: Fields } {
  let rows = written;
  let back = readBack(kind, shape, rows, names);
  for (const own of [new Set<string>(), shape.ofEachRow ?? new Set<string>()]) {
    if (back.isClean) break;
    const { unread } = back;
    rows = rows.map((cells, index) => {
      const columns = unread[index] ?? new Set<string>();
      return columns.size === 0 ? cells : without(cells, new Set([...columns, ...own]));
    });
    back = readBack(kind, shape, rows, names);
  }
  return { rows, fields: back.fields };
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
