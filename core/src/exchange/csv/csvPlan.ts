import type { Book } from "../../book/file/book.js";
import type { RecordOf } from "../../book/records/recordSchemas.js";
import type { Change, RecordChange } from "../../book/change/change.js";
import type { PersonId, PlaceId } from "../../book/records/ids.js";
import type { Reading } from "../../book/records/reading.js";
import type { Person, Place } from "../../book/records/workshop.js";
import { initialsOf } from "./csvNames.js";
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
  readonly state: "new" | "same" | "changed" | "repeated" | "refused";
  /** The record as it would stand; null where it is refused. */
  readonly record: RecordOf[CsvKind] | null;
  /** Readings that come with a machine, to be written with it. */
  readonly along: readonly Reading[];
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

/** What stands with a figure of a feed that was set aside. */
const SET_ASIDE = "set aside when the feed was taken in";

/** Whether an item, where it is not taken, is kept as counting for nothing: a figure of a feed, which comes again each time it is asked. */
export function isSetAside({ record, state, doubts }: CsvItem): boolean {
  const source = (record as Partial<Reading> | null)?.source;
  const isRepeated = doubts.some(({ code }) => code === "repeated");
  return state === "new" && doubts.length > 0 && !isRepeated && source === "feed";
}

/**
 * The one change that brings in the items taken. Items refused, and those that say what the book has
 * already, are left out whatever is taken. New dated records get the next numbers in the order of
 * the table; places and people that are named and not there yet are added. Figures of a feed that are not taken are kept as
 * void, so that they are asked about once.
 */
export function csvChange(
  { kind, items }: CsvPlan,
  isTaken: IsTaken,
  context: CsvNumbering,
): Change {
  const named: Named = { places: new Map(), people: new Map() };
  const records = items
    .filter((item) => writes(item) && isTaken(item))
    .flatMap((item): RecordChange[] => {
      const record = finished(item, kind, named, context);
      const isEdit = item.before !== null && item.before.id === record.id;
      const own = { section: kind, id: record.id, before: isEdit ? item.before : null };
      const along = item.along.map((reading): RecordChange => ({
        section: "readings",
        id: reading.id,
        before: null,
        after: confirmedWhereDoubted(item, { ...reading, seq: context.nextSeq() }),
      }));
      // A machine that only brings readings stays as it is.
      return isEdit && item.fields.length === 0 ? along : [{ ...own, after: record }, ...along];
    });
  const aside = items
    .filter((item) => isSetAside(item) && !isTaken(item))
    .map((item): RecordChange => {
      const { note, ...reading } = item.record as Reading;
      const set = { ...reading, seq: context.nextSeq(), void: true, note: note ?? SET_ASIDE };
      return { section: "readings", id: set.id, before: null, after: set };
    });
  const places = [...named.places.values()].map((place): RecordChange => ({
    ...{ section: "places", id: place.id, before: null, after: place },
  }));
  const people = [...named.people.values()].map((person): RecordChange => ({
    ...{ section: "people", id: person.id, before: null, after: person },
  }));
  return { command: "bring-in-table", records: [...places, ...people, ...records, ...aside] };
}

/** Ids and numbers for what is written. */
export interface CsvNumbering {
  readonly newId: () => string;
  readonly nextSeq: () => number;
}

/** What is added because rows name it, by its name in small letters. */
interface Named {
  readonly places: Map<string, Place>;
  readonly people: Map<string, Person>;
}

function nameOnce<Thing>(known: Map<string, Thing>, name: string, make: () => Thing): Thing {
  const key = name.toLowerCase();
  const thing = known.get(key) ?? make();
  known.set(key, thing);
  return thing;
}

/** A record as it is written: numbered, confirmed where a person took a doubtful rise, place and person by id. */
function finished(
  item: CsvItem,
  kind: CsvKind,
  named: Named,
  { newId, nextSeq }: CsvNumbering,
): RecordOf[CsvKind] {
  const record = { ...item.record } as Record<string, unknown>;
  if (isDatedRecord(record) && (record["seq"] ?? null) === null) record["seq"] = nextSeq();
  for (const doubt of item.doubts) {
    if (kind !== "machines" && isDoubtedRise(doubt)) record["confirmed"] = true;
    if (doubt.code === "place-unknown") {
      const { name } = doubt;
      const make = (): Place => ({ id: newId() as PlaceId, name });
      record["place"] = nameOnce(named.places, name, make).id;
    }
    if (doubt.code === "person-unknown") {
      const { name } = doubt;
      const make = (): Person => ({ id: newId() as PersonId, name, initials: initialsOf(name) });
      record["person"] = nameOnce(named.people, name, make).id;
    }
  }
  return record as unknown as RecordOf[CsvKind];
}

function isDoubtedRise(doubt: CsvDoubt): boolean {
  return doubt.code === "figure-in-doubt" && doubt.doubt.code === "impossible-rise";
}

/** A reading that came along, confirmed where a person took its doubtful rise. */
function confirmedWhereDoubted({ doubts }: CsvItem, reading: Reading): Reading {
  const isDoubted = doubts.some(
    (doubt) => isDoubtedRise(doubt) && "meter" in doubt && doubt.meter.id === reading.meter,
  );
  return isDoubted ? { ...reading, confirmed: true } : reading;
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
