import {
  BOOK_FORMAT,
  BOOK_VERSION,
  isDated,
  isMeasured,
  measureIssuesOf,
  ownReferenceIssues,
  SHARED_SECTIONS,
  sharedReferences,
  unitOfProduct,
  type Book,
  type BookIssue,
  type Change,
  type RecordOf,
  type Section,
} from "@yonderfell/core";
import { isEqual } from "es-toolkit";
import type { BookDatabase } from "./bookDatabase.js";
import { readSection, tableOf } from "./bookSlices.js";

const EMPTY_BOOK = { format: BOOK_FORMAT, version: BOOK_VERSION } as const;

/** The first thing wrong with the order and the replacements of dated records that belong to no machine. */
export async function datedContradiction(
  database: BookDatabase,
  change: Change,
): Promise<BookIssue | null> {
  const sections = new Set(change.records.map(({ section }) => section));
  const touched = SHARED_SECTIONS.filter((section) => isDated(section) && sections.has(section));
  if (touched.length === 0) return null;
  const book: Partial<Record<Section, readonly RecordOf[Section][]>> = {};
  for (const section of touched) book[section] = await readSection(database, section);
  const [issue] = ownReferenceIssues({ ...EMPTY_BOOK, ...book } as Book);
  return issue ?? null;
}

/** The first amount or check of a changed record that is not as what it names is measured. */
export async function measureContradiction(
  database: BookDatabase,
  change: Change,
): Promise<BookIssue | null> {
  for (const { section, id, after } of change.records) {
    if (after === null || !isMeasured(section)) continue;
    const named = sharedReferences<Section>(section, after);
    const read = async <S extends "products" | "checklists">(
      of: S,
    ): Promise<ReadonlyMap<string, RecordOf[S]>> => {
      const ids = named.filter((one) => one.section === of).map((one) => one.id);
      const rows = ids.length === 0 ? [] : await tableOf(database, of).bulkGet(ids);
      return new Map(rows.flatMap((row) => (row === undefined ? [] : [[row.id, row.record]])));
    };
    const [products, checklists] = [await read("products"), await read("checklists")];
    const [issue] = measureIssuesOf(section, after, [section, id], {
      product: (one) => products.get(one),
      checklist: (one) => checklists.get(one),
    });
    if (issue !== undefined) return issue;
  }
  return null;
}

/** Whether a change may make records elsewhere measured by what they cannot be: another unit of a product, another check of a checklist. */
export function movesMeasures(change: Change): boolean {
  return change.records.some(({ section, before, after }) => {
    if (before === null || after === null) return false;
    if (section === "products") {
      return (
        unitOfProduct(before as RecordOf["products"]) !==
        unitOfProduct(after as RecordOf["products"])
      );
    }
    if (section !== "checklists") return false;
    const said = ({ checks }: RecordOf["checklists"]): readonly unknown[] =>
      (checks ?? []).map(({ id, unit }) => [id, unit ?? null]);
    return !isEqual(said(before as RecordOf["checklists"]), said(after as RecordOf["checklists"]));
  });
}
