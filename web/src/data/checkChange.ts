import {
  isOwned,
  BOOK_FORMAT,
  BOOK_VERSION,
  fieldsOf,
  isShared,
  OWNED_SECTIONS,
  ownReferenceIssues,
  referenceIssues,
  RULE_SECTIONS,
  SECTIONS,
  sharedReferences,
  type Book,
  type BookIssue,
  type Change,
  type MachineId,
  type OwnedSection,
  type RecordChange,
  type RecordOf,
  type Section,
} from "@yonderfell/core";
import { isEqual } from "es-toolkit";
import type { BookDatabase } from "./bookDatabase.js";
import { crossingMachines, headOf, readOwned, readSection, tableOf } from "./bookSlices.js";
import type { ChangeRefusal } from "./bookStorage.js";
import { datedContradiction, measureContradiction, movesMeasures } from "./checkMeasures.js";
import { unpacked } from "./page.js";
import { pagesIn } from "./pagesIn.js";
import { referenceKey } from "./rows.js";

/** A change to more machines than this is checked against the whole book at once. */
const MANY_MACHINES = 50;

/** The whole book, within the running transaction. */
export async function wholeBook(database: BookDatabase): Promise<Book> {
  const book: Record<string, unknown> = { ...(await headOf(database)) };
  for (const section of SECTIONS) {
    const records = await readSection<Section>(database, section);
    // A book that never had any keeps to the sections it came with.
    if (records.length > 0 || (RULE_SECTIONS as readonly Section[]).includes(section)) {
      book[section] = records;
    }
  }
  // What a database of an older book says of its version is no longer so.
  const head = { format: BOOK_FORMAT, version: BOOK_VERSION };
  return { ...head, ...book, ...head } as unknown as Book;
}

type Found = ReadonlyMap<string, RecordOf[Section]>;

/** The records of a section that a change speaks of, as they stand. */
async function standing(
  database: BookDatabase,
  section: Section,
  changes: readonly RecordChange[],
): Promise<Found> {
  const found = new Map<string, RecordOf[Section]>();
  if (!isOwned(section)) {
    const table = tableOf(database, section);
    for (const row of await table.bulkGet(changes.map(({ id }) => id))) {
      if (row !== undefined) found.set(row.id, row.record);
    }
    return found;
  }
  const wanted = new Map<MachineId, Set<string>>();
  for (const { id, before, after } of changes) {
    const { machine } = (before ?? after) as RecordOf[OwnedSection];
    wanted.set(machine, (wanted.get(machine) ?? new Set()).add(id));
  }
  for (const [machine, ids] of wanted) {
    for (const [, record] of unpacked(await pagesIn(database, machine, section))) {
      if (ids.has(record.id)) found.set(record.id, record);
    }
  }
  return found;
}

/** The first thing a change would change that no longer stands as it did, null where all does. */
export async function changedElsewhere(
  database: BookDatabase,
  change: Change,
): Promise<ChangeRefusal | null> {
  for (const section of SECTIONS) {
    const changes = change.records.filter((record) => record.section === section);
    // A transaction with nothing asked of it would end here.
    if (changes.length === 0) continue;
    const found = await standing(database, section, changes);
    const wrong = changes.find(({ id, before }) => !isEqual(found.get(id) ?? null, before));
    if (wrong !== undefined) return { code: "changed-elsewhere", section, id: wrong.id };
  }
  const head = new Map(Object.entries(await headOf(database)));
  const field = fieldsOf(change).find(({ key, before }) => !isEqual(head.get(key) ?? null, before));
  return field === undefined ? null : { code: "changed-elsewhere", section: null, id: field.key };
}

/** The first thing wrong with the book where a change has touched it, null where it is whole. */
export async function contradiction(
  database: BookDatabase,
  change: Change,
  machines: readonly MachineId[],
): Promise<BookIssue | null> {
  const crossing = await crossingMachines(database);
  // Records that cross from one machine to another are looked at with both.
  const areMany = machines.length > MANY_MACHINES || machines.some((id) => crossing.includes(id));
  if (areMany || movesMeasures(change)) {
    return referenceIssues(await wholeBook(database))[0] ?? null;
  }
  const shared =
    (await sharedContradiction(database, change)) ??
    (await datedContradiction(database, change)) ??
    (await measureContradiction(database, change));
  if (shared !== null || machines.length === 0) return shared;
  const rows = await database.machines.bulkGet([...machines]);
  const owned = await readOwned(database, OWNED_SECTIONS, machines);
  for (const [index, row] of rows.entries()) {
    const own = { machines: row === undefined ? [] : [row.record], ...owned[index] };
    const [issue] = ownReferenceIssues({ format: BOOK_FORMAT, version: BOOK_VERSION, ...own });
    if (issue !== undefined) return issue;
  }
  return null;
}

function missing(path: BookIssue["path"], section: Section, id: string): BookIssue {
  const expected = `the id of one of the ${section} (there is no ${JSON.stringify(id)})`;
  return { code: "reference-to-nothing", path, expected };
}

/** The first reference of a changed record to a shared one that is not there, or to one that a change takes away; null where there is none. */
async function sharedContradiction(
  database: BookDatabase,
  change: Change,
): Promise<BookIssue | null> {
  for (const { section, id, after } of change.records) {
    const references = after === null ? [] : sharedReferences(section, after);
    for (const reference of references) {
      const found = await tableOf(database, reference.section).get(reference.id);
      if (found === undefined) {
        return missing([section, id, ...reference.path], reference.section, reference.id);
      }
    }
    if (after !== null || !isShared(section)) continue;
    const referring = await whatRefersTo(database, referenceKey({ section, id }));
    if (referring !== null) return missing(referring, section, id);
  }
  return null;
}

/** The first record that refers to a shared one, as its section and id; null where none does. */
async function whatRefersTo(
  database: BookDatabase,
  key: string,
): Promise<readonly [Section, string] | null> {
  for (const section of SECTIONS) {
    if (isOwned(section)) continue;
    const table = tableOf(database, section);
    const row = await table.filter(({ refers }) => refers?.includes(key) === true).first();
    if (row !== undefined) return [section, row.id];
  }
  const page = await database.pages.where("refers").equals(key).first();
  if (page === undefined) return null;
  const named = unpacked([page]).find(([, record]) =>
    sharedReferences<Section>(page.section, record).some((one) => referenceKey(one) === key),
  );
  return [page.section, named?.[1].id ?? ""];
}
