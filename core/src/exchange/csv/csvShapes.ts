import type { CsvKind } from "./csvColumns.js";
import { CSV_COLUMNS } from "./csvColumns.js";
import { CsvCells } from "./csvCells.js";
import type { CsvFormat } from "./csvFormat.js";
import type { CsvShape } from "./csvShape.js";
import { ENTRY_ROWS } from "./entryRows.js";
import { MACHINE_ROWS } from "./machineRows.js";
import { PART_ROWS } from "./partRows.js";
import { READING_ROWS } from "./readingRows.js";
import { TASK_ROWS } from "./taskRows.js";

const SHAPES: { readonly [K in CsvKind]: CsvShape<K> } = {
  machines: MACHINE_ROWS,
  readings: READING_ROWS,
  tasks: TASK_ROWS,
  parts: PART_ROWS,
  entries: ENTRY_ROWS,
};

/** How the records of a kind stand in a table. */
export function csvShape(kind: CsvKind): CsvShape {
  return SHAPES[kind] as unknown as CsvShape;
}

/** The column that holds the id of a record. */
export function idColumn(kind: CsvKind): string {
  return kind === "machines" ? "machineId" : "id";
}

/** How this program writes a table. */
const OWN_FORMAT: CsvFormat = { dates: "ymd", decimal: ".", distance: null };

/** Cells as they would be read from a table of this program's own. */
export function ownCells(kind: CsvKind, row: number, cells: ReadonlyMap<string, string>): CsvCells {
  return new CsvCells(row, cells, CSV_COLUMNS[kind], OWN_FORMAT, new Map());
}
