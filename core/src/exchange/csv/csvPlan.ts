import type { Book, RecordOf } from "../../book/book.js";
import type { Change, RecordChange } from "../../book/change.js";
import type { PlaceId } from "../../book/ids.js";
import type { Place } from "../../book/workshop.js";
import type { CsvFormat } from "./csvFormat.js";
import type { CsvColumns } from "./csvGuess.js";
import type { CsvKind } from "./csvColumns.js";
import type { CsvDoubt, CsvIssue } from "./csvIssue.js";
import type { DifferingField } from "../mergePlan.js";

/** A table as its file has it: cells as text, the headings first. */
export interface CsvTable {
  readonly rows: readonly (readonly string[])[];
  /** Rows that could not be taken apart, such as one with a quote that is never closed. */
  readonly broken: readonly { readonly row: number; readonly expected: string }[];
}

/** What a table is taken for. */
export interface CsvReading {
  readonly kind: CsvKind;
  readonly columns: CsvColumns;
  readonly format: CsvFormat;
}

/** What one record of a table would do to the book. */
export interface CsvItem {
  /** The rows it stands in, as a spreadsheet counts them. */
  readonly rows: readonly number[];
  readonly state: "new" | "same" | "changed" | "refused";
  /** The record as it would stand; null where it is refused. */
  readonly record: RecordOf[CsvKind] | null;
  /** What the book has of it; null where it is new. */
  readonly before: RecordOf[CsvKind] | null;
  /** What would be changed. */
  readonly fields: readonly DifferingField[];
  readonly doubts: readonly CsvDoubt[];
  readonly issues: readonly CsvIssue[];
}

/** What bringing in a table would do, before anything is written. */
export interface CsvPlan {
  readonly kind: CsvKind;
  readonly items: readonly CsvItem[];
  /** What is wrong with the table as a whole: nothing of it can be brought in. */
  readonly issues: readonly CsvIssue[];
}

/** Whether an item is to be brought in: a person's word where it is in doubt. */
export type IsTaken = (item: CsvItem) => boolean;

/** Whether bringing in an item would write anything. */
export function writes(item: CsvItem): boolean {
  return item.record !== null && item.state !== "same";
}

/**
 * The one change that brings in the items taken. Items refused, and those that say what the book has
 * already, are left out whatever is taken. New dated records get the next numbers in the order of
 * the table; places that are named and not there yet are added.
 */
export function csvChange(
  { kind, items }: CsvPlan,
  isTaken: IsTaken,
  context: { readonly newId: () => string; readonly nextSeq: () => number },
): Change {
  const places = new Map<string, Place>();
  const records = items
    .filter((item) => writes(item) && isTaken(item))
    .map((item): RecordChange => {
      const record = finished(item, places, context);
      const isEdit = item.before !== null && item.before.id === record.id;
      return { section: kind, id: record.id, before: isEdit ? item.before : null, after: record };
    });
  const added = [...places.values()].map((place): RecordChange => ({
    section: "places",
    id: place.id,
    before: null,
    after: place,
  }));
  return { command: "bring-in-table", records: [...added, ...records] };
}

/** A record as it is written: numbered, confirmed where a person took a doubtful rise, its place by id. */
function finished(
  item: CsvItem,
  places: Map<string, Place>,
  { newId, nextSeq }: { readonly newId: () => string; readonly nextSeq: () => number },
): RecordOf[CsvKind] {
  const record = { ...item.record } as Record<string, unknown>;
  if (isDatedRecord(record) && (record["seq"] ?? null) === null) record["seq"] = nextSeq();
  for (const doubt of item.doubts) {
    if (doubt.code === "figure-in-doubt" && doubt.doubt.code === "impossible-rise") {
      record["confirmed"] = true;
    }
    if (doubt.code !== "place-unknown") continue;
    const key = doubt.name.toLowerCase();
    const place = places.get(key) ?? { id: newId() as PlaceId, name: doubt.name };
    places.set(key, place);
    record["place"] = place.id;
  }
  return record as unknown as RecordOf[CsvKind];
}

function isDatedRecord(record: Readonly<Record<string, unknown>>): boolean {
  return typeof record["date"] === "string";
}

/** The book as it would be with all of a plan brought in: what items are checked against each other with. */
export function bookWith(book: Book, kind: CsvKind, records: readonly RecordOf[CsvKind][]): Book {
  const byId = new Map<string, RecordOf[CsvKind]>();
  for (const record of book[kind] ?? []) byId.set(record.id, record);
  for (const record of records) byId.set(record.id, record);
  return { ...book, [kind]: [...byId.values()] };
}
