import type { Book } from "../../book/file/book.js";
import type { RecordOf } from "../../book/records/recordSchemas.js";
import { referenceIssues } from "../../book/references/references.js";
import type { Reading } from "../../book/records/reading.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { csvColumn, type CsvKind } from "./csvColumns.js";
import { figureDoubts } from "./csvFigures.js";
import type { CsvDoubt, CsvIssue } from "./csvIssue.js";
import { bookWith, type CsvItem } from "./csvPlan.js";

type AnyRecord = RecordOf[CsvKind];

/** The records that items would write; those to be numbered yet stand behind all others. */
function written(items: readonly CsvItem[]): AnyRecord[] {
  return items.flatMap(({ state, record }) => {
    if (record === null || state === "same") return [];
    const isNumbered = !("date" in record) || (record.seq ?? null) !== null;
    return [isNumbered ? record : { ...record, seq: Number.MAX_SAFE_INTEGER }];
  });
}

/** Items without those that would leave the book contradicting itself: refused, with the column. */
export function withReferenceIssues(
  book: Book,
  kind: CsvKind,
  items: readonly CsvItem[],
): readonly CsvItem[] {
  const records = written(items);
  if (records.length === 0) return items;
  const after = withNamed(bookWith(book, kind, records), items);
  const found = referenceIssues(after);
  if (found.length === 0) return items;
  const byId = new Map(items.map((item) => [item.record?.id ?? "", item]));
  const refused = new Map<CsvItem, CsvIssue[]>();
  for (const { path, expected } of found) {
    const [section, index, field] = path;
    const record = section === kind ? after[kind]?.[Number(index)] : undefined;
    const item = byId.get(record?.id ?? "");
    if (item === undefined) continue;
    const title = csvColumn(kind, String(field))?.title ?? csvColumn(kind, "rest")?.title ?? null;
    const issue = { row: item.rows[0] ?? 0, column: title, found: null, expected };
    refused.set(item, [...(refused.get(item) ?? []), issue]);
  }
  if (refused.size === 0) return items;
  const left = items.map((item): CsvItem => {
    const issues = refused.get(item);
    return issues === undefined ? item : { ...item, state: "refused", record: null, issues };
  });
  // What leans on a row that is refused is refused too.
  return withReferenceIssues(book, kind, left);
}

/** The book with the places and people that rows name and that would be added. */
function withNamed(book: Book, items: readonly CsvItem[]): Book {
  const named = (code: CsvDoubt["code"]): object[] => {
    const names = items.flatMap(({ doubts }) =>
      doubts.flatMap((doubt) => (doubt.code === code && "name" in doubt ? [doubt.name] : [])),
    );
    return [...new Set(names)].map((name) => ({ id: name, name }));
  };
  const places = [...(book.places ?? []), ...named("place-unknown")];
  const people = [...(book.people ?? []), ...named("person-unknown")];
  return { ...book, places, people } as Book;
}

/** Items with what their figures leave in doubt. */
export function withFigureDoubts(
  book: Book,
  kind: CsvKind,
  items: readonly CsvItem[],
  today: DayNumber,
): readonly CsvItem[] {
  if (kind === "machines") return withDialDoubts(book, items, today);
  if (kind !== "readings" && kind !== "entries") return items;
  const changing = items.filter(({ state }) => state === "new" || state === "changed");
  const doubts = figureDoubts(book, bookWith(book, kind, written(items)), kind, changing, today);
  return items.map((item) => {
    const own = doubts.get(item);
    return own === undefined ? item : { ...item, doubts: [...own, ...item.doubts] };
  });
}

/** Machines with what the figures of their dials leave in doubt; a new one has no others to go by. */
function withDialDoubts(
  book: Book,
  items: readonly CsvItem[],
  today: DayNumber,
): readonly CsvItem[] {
  const owner = new Map(items.flatMap((item) => item.along.map((one) => [one.id, item] as const)));
  if (owner.size === 0) return items;
  const readings = [...owner].flatMap(([id, { along }]) => along.filter((one) => one.id === id));
  const last = Number.MAX_SAFE_INTEGER;
  const numbered = readings.map((reading) => ({ ...reading, seq: last }));
  const after = bookWith(bookWith(book, "machines", written(items)), "readings", numbered);
  const asItems = numbered.map((record): CsvItem => ({
    ...{
      rows: [],
      state: "new",
      record,
      along: [],
      before: null,
      fields: [],
      doubts: [],
      issues: [],
    },
  }));
  const found = figureDoubts(book, after, "readings", asItems, today);
  const doubts = new Map<CsvItem, CsvDoubt[]>();
  asItems.forEach((one, index) => {
    const reading = readings[index];
    const item = owner.get(reading?.id ?? ("" as Reading["id"]));
    if (item === undefined || reading === undefined) return;
    const own = [...(found.get(one) ?? [])];
    if (dayOf(reading.date) > today) own.push({ code: "in-future", date: reading.date });
    if (own.length > 0) doubts.set(item, [...(doubts.get(item) ?? []), ...own]);
  });
  return items.map((item) => {
    const own = doubts.get(item);
    return own === undefined ? item : { ...item, doubts: [...own, ...item.doubts] };
  });
}
