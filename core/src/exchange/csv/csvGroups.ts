import { CsvCells, unguardCell } from "./csvCells.js";
import { CSV_COLUMNS, csvColumn, missingColumns, type CsvKind } from "./csvColumns.js";
import type { CsvDoubt, CsvIssue } from "./csvIssue.js";
import type { CsvNames } from "./csvNames.js";
import type { CsvReading, CsvTable } from "./csvPlan.js";
import type { CsvRows } from "./csvShape.js";
import { csvShape, idColumn } from "./csvShapes.js";

/** The rows of one record, and what was seen before they were read. */
export interface CsvGroup {
  /** The id they name; null where they name none. */
  readonly id: string | null;
  readonly rows: CsvRows;
  readonly doubts: readonly CsvDoubt[];
  /** The earlier row that says the very same of a record which that row is part of already; it says nothing more. */
  readonly repeats: number | null;
  /** A row that contradicts the earlier ones of its record: it is refused, and they stand. */
  readonly isApart: boolean;
}

const KIND_WORDS: Readonly<Record<CsvKind, string>> = {
  machines: "machines",
  readings: "readings",
  tasks: "tasks",
  parts: "parts",
  entries: "entries of the log",
};

const FIRST_ROW = 1;
const NAMING_MACHINES = ["machine", "machineId", "tag", "registration"];

/** What is wrong with a table before any of its rows is read: nothing in it, a column that is needed, one that is there twice. */
export function tableIssues(table: CsvTable, { kind, columns }: CsvReading): CsvIssue[] {
  const [headings = []] = table.rows;
  const issue = (column: string | null, expected: string): CsvIssue => ({
    row: FIRST_ROW,
    ...{ column, found: null, expected },
  });
  if (headings.every((heading) => heading.trim() === "")) {
    return [
      issue(null, `headings of columns, and below them a row for each of the ${KIND_WORDS[kind]}`),
    ];
  }
  const missing = missingColumns(kind, columns).map(({ title }) =>
    issue(title, `a column that holds this, as ${KIND_WORDS[kind]} need it`),
  );
  const namesMachine = NAMING_MACHINES.some((key) => columns.includes(key));
  if (kind !== "parts" && !namesMachine) {
    missing.push(issue("Machine", "a column with the numbers of the machines"));
  }
  const twice = columns.flatMap((key, index) =>
    key !== null && columns.indexOf(key) !== index
      ? [
          issue(
            headings[index] ?? "",
            `another use: ${csvColumn(kind, key)?.title ?? key} is taken from ${headings[columns.indexOf(key)] ?? ""}`,
          ),
        ]
      : [],
  );
  const isBlank = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === "");
  const isEmpty = table.rows.slice(1).every(isBlank) && table.broken.length === 0;
  const none = isEmpty ? [issue(null, "rows below the headings")] : [];
  return [...missing, ...twice, ...none];
}

/** The cells of each row, by column; rows with nothing in them are passed over. */
export function* rowsOf(
  table: CsvTable,
  { kind, columns, format }: CsvReading,
): Generator<{ readonly cells: CsvCells; readonly doubts: readonly CsvDoubt[] }> {
  const [headings = []] = table.rows;
  const titles = new Map<string, string>();
  columns.forEach((key, index) => {
    if (key !== null) titles.set(key, unguardCell(headings[index] ?? ""));
  });
  const broken = new Map(table.broken.map(({ row, expected }) => [row, expected]));
  const width = headings.length;
  for (const [index, row] of table.rows.entries()) {
    const number = index + FIRST_ROW;
    if (index === 0 || (row.every((cell) => cell.trim() === "") && !broken.has(number))) continue;
    const cells = new Map<string, string>();
    columns.forEach((key, place) => {
      const cell = row[place] ?? "";
      if (key !== null && cell !== "") cells.set(key, unguardCell(cell));
    });
    const read = new CsvCells(number, cells, CSV_COLUMNS[kind], format, titles);
    const expected = broken.get(number);
    const beyond = row.slice(width).find((cell) => cell.trim() !== "");
    const whole = { row: number, column: null };
    if (expected !== undefined) read.issues.push({ ...whole, found: row.join(", "), expected });
    else if (beyond !== undefined) {
      const most = `at most ${width} cells, as there are headings (it has ${row.length})`;
      read.issues.push({ ...whole, found: beyond, expected: most });
    }
    yield { cells: read, doubts: row.length < width ? [{ code: "row-short" }] : [] };
  }
}

interface GrowingGroup extends Omit<CsvGroup, "rows" | "doubts"> {
  readonly rows: CsvCells[];
  readonly doubts: CsvDoubt[];
}

/** Rows put together that are of one record: by its id, else by what they have in common. */
export class CsvGrouping {
  private readonly groups: GrowingGroup[] = [];
  private readonly byId = new Map<string, number>();
  private readonly byLikeness = new Map<string, number>();

  constructor(
    private readonly kind: CsvKind,
    private readonly names: CsvNames,
  ) {}

  add(cells: CsvCells, doubts: readonly CsvDoubt[]): void {
    const shape = csvShape(this.kind);
    const id = cells.word(idColumn(this.kind));
    const likeness = shape.groupOf(cells, this.names);
    const known =
      id !== null
        ? this.byId.get(id)
        : likeness === null
          ? undefined
          : this.byLikeness.get(likeness);
    const group = known === undefined ? undefined : this.groups[known];
    const own = { id, rows: [cells], doubts: [...doubts], repeats: null, isApart: false };
    if (group === undefined) {
      const place = this.groups.push(own) - 1;
      if (id !== null) this.byId.set(id, place);
      if (likeness !== null && !this.byLikeness.has(likeness)) this.byLikeness.set(likeness, place);
      return;
    }
    const same = id === null ? group.rows.find((row) => row.saysTheSame(cells)) : undefined;
    if (same !== undefined && shape.ofEachRow !== null) {
      this.groups.push({ ...own, repeats: same.row });
      return;
    }
    const issues = cells.issues.length;
    this.checkAlike(group.rows, cells);
    if (cells.issues.length > issues) {
      this.groups.push({ ...own, isApart: true });
      return;
    }
    group.rows.push(cells);
    group.doubts.push(...doubts);
  }

  all(): readonly CsvGroup[] {
    return this.groups.map((group) => ({ ...group, rows: group.rows as unknown as CsvRows }));
  }

  /** Later rows of a record say the same of it, or nothing; a kind of one row each has no later ones. */
  private checkAlike(rows: readonly CsvCells[], cells: CsvCells): void {
    const { ofEachRow, part } = csvShape(this.kind);
    const first = rows[0] as CsvCells;
    if (ofEachRow === null) {
      cells.refuse(idColumn(this.kind), `an id of its own (row ${first.row} has it)`);
      return;
    }
    for (const { key } of CSV_COLUMNS[this.kind]) {
      const said = cells.text(key);
      if (ofEachRow.has(key) || cells.word(key) === null || said === first.text(key)) continue;
      cells.refuse(key, `the same as in row ${first.row}, or nothing`);
    }
    const own = part?.of(cells) ?? null;
    const before = own === null ? undefined : rows.find((row) => part?.of(row) === own);
    if (before !== undefined && part !== undefined) {
      cells.refuse(part.key, `another ${part.noun} than row ${before.row} speaks of`);
    }
  }
}
