import type { Book, RecordOf } from "../../book/book.js";
import { referenceIssues } from "../../book/references.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { csvColumn, type CsvKind } from "./csvColumns.js";
import { figureDoubts } from "./csvFigures.js";
import type { CsvIssue } from "./csvIssue.js";
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
  const after = withPlacesNamed(bookWith(book, kind, records), items);
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
    const issue = { row: item.rows[0] ?? 0, column: title, found: "", expected };
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

/** The book with the places that rows name and that would be added. */
function withPlacesNamed(book: Book, items: readonly CsvItem[]): Book {
  const named = new Set(
    items.flatMap(({ doubts }) =>
      doubts.flatMap((doubt) => (doubt.code === "place-unknown" ? [doubt.name] : [])),
    ),
  );
  if (named.size === 0) return book;
  const places = [...named].map((name) => ({ id: name, name })) as unknown as Book["places"];
  return { ...book, places: [...(book.places ?? []), ...(places ?? [])] };
}

/** Items with what their figures leave in doubt. */
export function withFigureDoubts(
  book: Book,
  kind: CsvKind,
  items: readonly CsvItem[],
  today: DayNumber,
): readonly CsvItem[] {
  if (kind !== "readings" && kind !== "entries") return items;
  const changing = items.filter(({ state }) => state === "new" || state === "changed");
  const doubts = figureDoubts(book, bookWith(book, kind, written(items)), kind, changing, today);
  return items.map((item) => {
    const own = doubts.get(item);
    return own === undefined ? item : { ...item, doubts: [...own, ...item.doubts] };
  });
}
