import type { RecordOf } from "../../book/records/recordSchemas.js";
import type { MeterId } from "../../book/records/ids.js";
import type { IssuePath } from "../../book/file/issue.js";
import type { CsvCells } from "./csvCells.js";
import type { CsvKind } from "./csvColumns.js";
import type { CsvDoubt } from "./csvIssue.js";
import type { CsvNames } from "./csvNames.js";

/** The rows of one record, in their order; the first holds what the others leave empty. */
export type CsvRows = readonly [CsvCells, ...CsvCells[]];

/** What the rows of a record say. */
export interface CsvSaid {
  /** The fields they name; those that are not named stay as they are. */
  readonly fields: Readonly<Record<string, unknown>>;
  readonly doubts: readonly CsvDoubt[];
  /** Readings that come along with a machine. */
  readonly along?: readonly FigureSaid[];
}

/** A figure of a dial that comes with the machine itself, in the unit of its meter. */
export interface FigureSaid {
  readonly meter: MeterId;
  readonly value: number;
  /** Null where no day stands with it. */
  readonly date: string | null;
}

/** How the records of one kind stand in a table. */
export interface CsvShape<K extends CsvKind = CsvKind> {
  /** The columns of the fields, by the field's name, where the two are not called alike. */
  readonly columnOf: Readonly<Record<string, string>>;
  /** The columns that may differ between the rows of one record; null where each row is a record. */
  readonly ofEachRow: ReadonlySet<string> | null;
  /** What rows without an id have in common that are of one record; null where that is not said. */
  readonly groupOf: (cells: CsvCells, names: CsvNames) => string | null;
  /** The rows of a record that stand in one row of the table; the row itself where absent. */
  readonly split?: (cells: CsvCells) => readonly CsvCells[];
  /** The part of a record that a row speaks of, which no other row may: where it stands, what it is, and which. */
  readonly part?: {
    readonly key: string;
    readonly noun: string;
    readonly of: (cells: CsvCells) => string | null;
  };
  /** What the rows say, read beside what the book has of the record. Notes what it cannot read with the cells. */
  readonly read: (rows: CsvRows, names: CsvNames, before: RecordOf[K] | null) => CsvSaid;
  /** What makes a record and rows without an id speak of the same thing. */
  readonly likeness: (record: Readonly<Record<string, unknown>>) => string;
  /** The rows of a record, cells by column. */
  readonly write: (record: RecordOf[K], names: CsvNames) => ReadonlyMap<string, string>[];
  /** Where in the rows a path of the record's schema stands. */
  readonly placeOf?: (
    path: IssuePath,
    rows: CsvRows,
  ) => { readonly cells: CsvCells; readonly key: string };
}

/** Cells by column, those without anything left out. */
export function cellsOf(
  cells: Readonly<Record<string, string | number | null | undefined>>,
): Map<string, string> {
  return new Map(
    Object.entries(cells).flatMap(([key, value]) =>
      value === null || value === undefined || value === "" ? [] : [[key, String(value)] as const],
    ),
  );
}

/** Fields without those that nothing was said of. */
export function saidOnly(
  fields: Readonly<Record<string, unknown>>,
): Readonly<Record<string, unknown>> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== null));
}
