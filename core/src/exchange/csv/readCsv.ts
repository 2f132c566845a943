import type { Book } from "../../book/file/book.js";
import type { RecordOf } from "../../book/records/recordSchemas.js";
import { RECORD_SCHEMAS } from "../../book/records/recordSchemas.js";
import type { DatedRecord } from "../../book/slice/dated.js";
import { supersededIds } from "../../book/slice/currentRecords.js";
import type { MachineId, ReadingId, TaskId } from "../../book/records/ids.js";
import { issuesOf } from "../../book/file/issuesOf.js";
import type { IssuePath } from "../../book/file/issue.js";
import { isDated } from "../../book/records/sections.js";
import type { Reading } from "../../book/records/reading.js";
import type { Task } from "../../book/records/task.js";
import { formatDay, type DayNumber } from "../../calendar/dayNumber.js";
import { differingFields } from "../planMerge.js";
import type { CsvCells } from "./csvCells.js";
import { csvColumn, type CsvKind } from "./csvColumns.js";
import { withFigureDoubts, withReferenceIssues } from "./csvChecks.js";
import { CsvGrouping, rowsOf, tableIssues, type CsvGroup } from "./csvGroups.js";
import type { CsvDoubt } from "./csvIssue.js";
import { KnownFigures } from "./knownFigures.js";
import { CsvNames } from "./csvNames.js";
import type { CsvItem, CsvPlan, CsvReading, CsvTable } from "./csvPlan.js";
import { fieldsSaid, saysTheSame, withoutMissing, type Fields } from "./csvRecord.js";
import type { CsvRows, CsvSaid, CsvShape } from "./csvShape.js";
import { csvShape, idColumn } from "./csvShapes.js";

type AnyRecord = RecordOf[CsvKind];

/** What reading a table is told of the world. */
export interface CsvContext {
  readonly today: DayNumber;
  readonly newId: () => string;
}

/** A group with the record of the book it stands for, and the id it goes by. */
interface Identified {
  readonly group: CsvGroup;
  readonly id: string;
  readonly before: AnyRecord | null;
  /** A current dated record that says the same under another id. */
  readonly isThere: boolean;
  /** The first row that says the same without an id. */
  readonly repeats: number | null;
  /** What a dated record says, which nothing in the book changes; null where it is read beside the book's. */
  readonly said: CsvSaid | null;
}

const NOT_YET = 0;

/**
 * What bringing a table into a book would do, row by row; nothing is written. Answers as it goes how
 * many rows and records it has been through. Rows that name a record by its id, or by what it is
 * called (machines by tag, tasks by machine and name, parts by number), change what they name in it;
 * an empty cell leaves what stands. Dated records are never overwritten: another content under the id
 * of one is a correction, in doubt until a person takes it. Refused with row, column and what was
 * expected: what cannot be read, refers to nothing, or what the book's schemas and rules refuse.
 */
export function* readCsv(
  book: Book,
  table: CsvTable,
  reading: CsvReading,
  context: CsvContext,
): Generator<number, CsvPlan> {
  const { kind } = reading;
  const issues = tableIssues(table, reading);
  if (issues.length > 0) return { kind, items: [], issues };
  const names = new CsvNames(book);
  const grouping = new CsvGrouping(kind, names);
  let done = NOT_YET;
  const { split } = csvShape(kind);
  for (const { cells, doubts } of rowsOf(table, reading)) {
    for (const row of split?.(cells) ?? [cells]) grouping.add(row, doubts);
    yield (done += 1);
  }
  const reader = new RecordReader(book, kind, names, context);
  const identified: Identified[] = [];
  for (const group of grouping.all()) {
    identified.push(reader.identify(group));
    yield (done += 1);
  }
  const items: CsvItem[] = [];
  for (const one of identified) {
    items.push(reader.item(one));
    yield (done += 1);
  }
  const checked = withReferenceIssues(book, kind, items);
  yield done + 1;
  return { kind, items: withFigureDoubts(book, kind, checked, context.today), issues: [] };
}

class RecordReader {
  private readonly shape: CsvShape;
  private readonly isDated: boolean;
  private readonly known = new Map<string, AnyRecord>();
  private readonly alike = new Map<string, AnyRecord[]>();
  private readonly superseded: ReadonlySet<string>;
  private readonly fluids: ReadonlyMap<string, string>;
  private readonly seen = new Map<string, number>();
  private readonly figures: KnownFigures;

  constructor(
    book: Book,
    private readonly kind: CsvKind,
    private readonly names: CsvNames,
    private readonly context: CsvContext,
  ) {
    this.shape = csvShape(kind);
    this.isDated = isDated(kind);
    this.fluids = new Map((book.fluids ?? []).map(({ id, machine }) => [id, machine]));
    this.figures = new KnownFigures(book);
    const records: readonly AnyRecord[] = book[kind] ?? [];
    this.superseded = this.isDated
      ? supersededIds(records as unknown as readonly DatedRecord[])
      : new Set();
    for (const record of records) {
      this.known.set(record.id, record);
      if (this.superseded.has(record.id)) continue;
      const key = this.shape.likeness(record);
      const alike = this.alike.get(key);
      if (alike === undefined) this.alike.set(key, [record]);
      else alike.push(record);
    }
  }

  /** Which record of the book a group stands for: that of its id, else the one it is alike to. */
  identify(group: CsvGroup): Identified {
    const byId = this.known.get(group.id ?? "") ?? null;
    const nobody = { group, before: byId, isThere: false, repeats: null, said: null };
    if (byId !== null) return { ...nobody, id: byId.id };
    const noted = group.rows.map(({ issues }) => issues.length);
    const read = this.shape.read(group.rows, this.names, null);
    const { fields } = read;
    // Read only to see what it is; what is wrong with it is noted when it is read beside the record.
    const isRead = group.rows.every(({ issues }, index) => issues.length === noted[index]);
    if (!this.isDated) {
      group.rows.forEach(({ issues }, index) => issues.splice(noted[index] ?? 0));
    }
    const key = this.shape.likeness(fields);
    const found = group.id === null ? this.recordAlike(key, fields, group) : null;
    const id = group.id ?? (this.isDated ? null : found?.id) ?? this.context.newId();
    const repeats = this.isDated && group.id === null && isRead ? this.repeats(key, group) : null;
    const isOfItsOwn = !group.isApart && group.repeats === null;
    if (this.kind === "tasks" && found === null && isOfItsOwn) this.nameTask(id, fields);
    return this.isDated
      ? { group, id, before: null, isThere: found !== null, repeats, said: read }
      : { group, id, before: found, isThere: false, repeats, said: null };
  }

  /** The first row that says the same, where this is not the first. */
  private repeats(key: string, { rows: [cells] }: CsvGroup): number | null {
    const first = this.seen.get(key);
    if (first === undefined) this.seen.set(key, cells.row);
    return first ?? null;
  }

  private recordAlike(key: string, fields: Fields, group: CsvGroup): AnyRecord | null {
    const alike = this.alike.get(key) ?? [];
    if (alike.length <= 1 || this.isDated) return alike[0] ?? null;
    const named = alike.filter(
      (one) => (one as { readonly name?: string }).name === fields["name"],
    );
    if (named.length === 1) return named[0] ?? null;
    const expected = "the id, as several in the book are called alike";
    group.rows[0].refuse(idColumn(this.kind), expected);
    return null;
  }

  private nameTask(id: string, fields: Fields): void {
    const { name, machine } = fields;
    if (typeof name !== "string" || typeof machine !== "string") return;
    const task = { id: id as TaskId, name, machine: machine as Task["machine"] };
    this.names.addTask(task);
  }

  item({ group, id, before, isThere, repeats, said: read }: Identified): CsvItem {
    const { rows } = group;
    const [cells] = rows;
    const said = read ?? this.shape.read(rows, this.names, before);
    const over = withoutMissing(
      this.kind,
      id,
      fieldsSaid(said.fields, cells),
      this.names,
      (machine, fluid) => this.fluids.get(fluid) === machine,
    );
    const doubts = [...group.doubts, ...doubtsOfNames(said, over.fields)];
    if (over.missing.length > 0) doubts.push({ code: "references-missing", fields: over.missing });
    if (repeats !== null) doubts.push({ code: "repeated", row: repeats });
    const base = { rows: rows.map(({ row }) => row), before, fields: [], along: [], doubts };
    if (group.repeats !== null) return { ...base, state: "repeated", record: null, issues: [] };
    const draft = this.draft(id, before, over.fields, cells);
    this.noteShape(draft.record, rows);
    const issues = rows.flatMap((row) => row.issues);
    if (issues.length > 0) return { ...base, state: "refused", record: null, issues };
    const record = draft.record as unknown as AnyRecord;
    const along = this.along(id as MachineId, said);
    if (isThere || (draft.fields.length === 0 && along.length === 0)) {
      return { ...base, doubts: [], state: "same", record, issues };
    }
    doubts.push(...this.doubtsOf(draft.record, before, draft.fields));
    const state = before === null ? "new" : "changed";
    const fields = before === null ? [] : draft.fields;
    return { ...base, doubts, state, record, along, fields, issues };
  }

  /** The readings that come along with a machine and are not in the book yet; those without a day are of today. */
  private along(machine: MachineId, { along = [] }: CsvSaid): Reading[] {
    const today = formatDay(this.context.today);
    return along.flatMap(({ meter, value, date }): Reading[] => {
      const figure = { machine, meter, date: date ?? today, value };
      if (this.figures.has(figure)) return [];
      return [{ id: this.context.newId() as ReadingId, ...figure }];
    });
  }

  /** The record as it would stand, and in what it differs from what the book has. */
  private draft(
    id: string,
    before: AnyRecord | null,
    said: Fields,
    cells: CsvCells,
  ): { readonly record: Fields; readonly fields: CsvItem["fields"] } {
    if (before === null) {
      const fields = differingFields({}, { id, ...said });
      return { record: { id, ...said }, fields };
    }
    const old = before as unknown as Fields;
    const changed = Object.keys(said).filter((key) => !saysTheSame(old[key], said[key]));
    const record = { ...old, ...said, id };
    const fields = differingFields(old, record).filter(({ name }) => changed.includes(name));
    if (!this.isDated || fields.length === 0) return { record, fields };
    if (this.superseded.has(id) || old["void"] === true) {
      cells.refuse(
        idColumn(this.kind),
        "the record as the book has it, as it has been corrected since",
      );
    }
    for (const { name, ours } of fields) {
      if (!FIXED.has(name)) continue;
      const machine = name === "machine" ? this.names.machineOf(String(ours)) : undefined;
      cells.refuse(name, `${machine?.tag ?? JSON.stringify(ours)}, as the book has it`);
    }
    const { seq: _seq, revision: _revision, ...rest } = record as Record<string, unknown>;
    return { record: { ...rest, id: this.context.newId(), replaces: id }, fields };
  }

  private doubtsOf(
    record: Fields,
    before: AnyRecord | null,
    fields: CsvItem["fields"],
  ): CsvDoubt[] {
    const doubts: CsvDoubt[] = [];
    if (!this.isDated) return doubts;
    if (before !== null) doubts.push({ code: "differs", fields });
    const date = String(record["date"]);
    if (date > formatDay(this.context.today)) doubts.push({ code: "in-future", date });
    return doubts;
  }

  /** Notes with the cells what the book's schema finds wrong with a record. */
  private noteShape(record: Fields, rows: CsvRows): void {
    // What could not be read is missing from the record; it has been noted already.
    if (rows.some(({ issues }) => issues.length > 0)) return;
    for (const { path, expected } of issuesOf(RECORD_SCHEMAS[this.kind], record, [])) {
      const { cells, key } = placeOf(this.kind, path, rows);
      cells.refuse(key, IN_A_TABLE.get(expected) ?? expected);
    }
  }
}

/** What the book's schema expects, in the words of a table's columns where they are others. */
const IN_A_TABLE: ReadonlyMap<string, string> = new Map([
  [
    "limits by regime, or nth, or follows",
    "how often: a distance, hours, months or days, or the task it goes with",
  ],
]);

/** What places a dated record in its book; a table does not move it. */
const FIXED = new Set(["machine", "seq", "replaces"]);

/** Doubts of what was said, without those of a place or a person that the last column settles. */
function doubtsOfNames({ doubts }: CsvSaid, fields: Fields): CsvDoubt[] {
  return doubts.filter((doubt) => {
    if (doubt.code === "place-unknown") return fields["place"] === doubt.name;
    return doubt.code !== "person-unknown" || fields["person"] === doubt.name;
  });
}

/** Where in the rows of a record a path of it stands: the column of its field, else the last one. */
function placeOf(
  kind: CsvKind,
  path: IssuePath,
  rows: CsvRows,
): { readonly cells: CsvCells; readonly key: string } {
  const shape = csvShape(kind);
  const field = String(path[0] ?? "");
  const [first] = rows;
  if (first.isInRest(field)) return { cells: first, key: "rest" };
  if (shape.placeOf !== undefined) return shape.placeOf(path, rows);
  const key = Object.hasOwn(shape.columnOf, field) ? shape.columnOf[field] : field;
  if (kind === "machines" && field === "meters") return meterPlace(path, rows);
  if (kind === "parts" && field === "prices") return pricePlace(path, rows);
  return { cells: first, key: csvColumn(kind, key ?? "") === undefined ? "rest" : (key ?? "rest") };
}

/** The row of a machine's meter by its place among those said; a field of it is a column of its own. */
function meterPlace(path: IssuePath, rows: CsvRows): { cells: CsvCells; key: string } {
  const cells = rows[Math.min(Number(path[1] ?? 0), rows.length - 1)] ?? rows[0];
  const field = String(path[2] ?? "meter");
  return { cells, key: csvColumn("machines", field) === undefined ? "meter" : field };
}

function pricePlace(path: IssuePath, rows: CsvRows): { cells: CsvCells; key: string } {
  const cells = rows[Math.min(Number(path[1] ?? 0), rows.length - 1)] ?? rows[0];
  return { cells, key: String(path[2] ?? "price") };
}
