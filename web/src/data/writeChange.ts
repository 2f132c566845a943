import {
  BOOK_FORMAT,
  BOOK_VERSION,
  fieldsOf,
  headAfter,
  ownReferenceIssues,
  PLANNED_SECTIONS,
  PLATE_SECTIONS,
  referenceIssues,
  RULE_SECTIONS,
  SECTIONS,
  isShared,
  sharedReferences,
  type Book,
  type BookIssue,
  type Change,
  type DatedRecord,
  type MachineId,
  type RecordChange,
  type Section,
} from "@yonderfell/core";
import { isEqual } from "es-toolkit";
import { headOf, readMachineBooks, readPlanned, readPlates, tableOf } from "./bookSlices.js";
import type { BookDatabase } from "./bookDatabase.js";
import type { ChangeRefusal, OnWritten, Saved } from "./bookStorage.js";
import { machinesNamed } from "./machinesNamed.js";
import { referenceKey, rowOf, textOf } from "./rows.js";

/** So many changes the journal goes back; records never depend on it. */
const JOURNAL_LENGTH = 5000;
/** A change to more machines than this is checked against the whole book at once. */
const MANY_MACHINES = 50;
/** So many records are written at a time, so that a long change can be followed and ended. */
const RECORDS_AT_ONCE = 1000;

/** The whole book, within the running transaction. */
export async function wholeBook(database: BookDatabase): Promise<Book> {
  const book: Record<string, unknown> = { ...(await headOf(database)) };
  for (const section of SECTIONS) {
    const rows = await tableOf(database, section).orderBy("place").toArray();
    // A book that never had any keeps to the sections it came with.
    if (rows.length > 0 || (RULE_SECTIONS as readonly Section[]).includes(section)) {
      book[section] = rows.map((row) => row.record);
    }
  }
  return { format: BOOK_FORMAT, version: BOOK_VERSION, ...book } as unknown as Book;
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
    const rows = await tableOf(database, section).bulkGet(changes.map(({ id }) => id));
    const wrong = changes.find(
      ({ before }, index) => !isEqual(rows[index]?.record ?? null, before),
    );
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
  if (machines.length > MANY_MACHINES) {
    return referenceIssues(await wholeBook(database))[0] ?? null;
  }
  const shared = await sharedContradiction(database, change);
  if (shared !== null) return shared;
  if (machines.length === 0) return null;
  const books = await readMachineBooks(database, machines);
  const ids = books.map((book) => book.machines[0].id);
  const plates = await readPlates(database, ids);
  const planned = await readPlanned(database, ids);
  for (const [index, book] of books.entries()) {
    const [machine] = book.machines;
    const others = [...book.readings, ...book.meterChanges, ...book.entries]
      .map((record) => record.machine)
      .filter((id) => id !== machine.id);
    // Records of another machine that crossed with its own are looked at with that one.
    if (others.length > 0) return referenceIssues(await wholeBook(database))[0] ?? null;
    const own = { ...book, ...plates[index], ...planned[index] };
    const part = { format: BOOK_FORMAT, version: BOOK_VERSION, ...own } as const;
    const [issue] = ownReferenceIssues(part);
    if (issue !== undefined) return issue;
  }
  const there = new Set<string>(books.map((book) => book.machines[0].id));
  for (const gone of machines.filter((id) => !there.has(id))) {
    for (const section of [...RULE_SECTIONS, ...PLATE_SECTIONS, ...PLANNED_SECTIONS]) {
      const left = await tableOf(database, section).where("machine").equals(gone).count();
      const expected = `the machine ${JSON.stringify(gone)}, which has records`;
      if (left > 0) return { code: "reference-to-nothing", path: [section], expected };
    }
  }
  return null;
}

/** The first reference of a changed record to a shared one that is not there, or to one that a change takes away; null where there is none. */
async function sharedContradiction(
  database: BookDatabase,
  change: Change,
): Promise<BookIssue | null> {
  const missing = (path: BookIssue["path"], section: Section, id: string): BookIssue => ({
    code: "reference-to-nothing",
    path,
    expected: `the id of one of the ${section} (there is no ${JSON.stringify(id)})`,
  });
  for (const { section, id, after } of change.records) {
    const references = after === null ? [] : sharedReferences(section, after);
    for (const reference of references) {
      const found = await tableOf(database, reference.section).get(reference.id);
      if (found === undefined) {
        return missing([section, id, ...reference.path], reference.section, reference.id);
      }
    }
    if (after !== null || !isShared(section)) continue;
    for (const referring of ["machines", "fluids", "fitments", "bays"] as const) {
      const rows = tableOf(database, referring)
        .where("refers")
        .equals(referenceKey({ section, id }));
      const first = await rows.first();
      if (first !== undefined) return missing([referring, first.id], section, id);
    }
  }
  return null;
}

/** Writes a change and its journal line within the running transaction; answers the line's number and the machines it moves. */
export async function writeChange(
  database: BookDatabase,
  change: Change,
  now: string,
  onWritten?: OnWritten,
): Promise<Saved & { readonly machines: readonly MachineId[] }> {
  const machines = machinesNamed(change);
  let written = 0;
  for (const section of SECTIONS) {
    const all = change.records.filter((record) => record.section === section);
    const after = all.flatMap((record) => record.after ?? []);
    const machineOf = new Map(after.map((record) => [idOf(record), textOf(record, "machine")]));
    for (let from = 0; from < all.length; from += RECORDS_AT_ONCE) {
      const changes = all.slice(from, from + RECORDS_AT_ONCE);
      const moved = await writeSection(database, section, changes, machineOf);
      for (const machine of moved) machines.add(machine);
      onWritten?.((written += changes.length));
    }
  }
  await writeHead(database, change);
  await keepLastSeq(database, change);
  const line = { at: now, change, machines: [...machines] };
  const seq = await database.journal.add(line);
  await database.journal
    .where("seq")
    .belowOrEqual(seq - JOURNAL_LENGTH)
    .delete();
  return { seq, change, machines: line.machines };
}

/** Writes the fields that a change sets, and what it deletes among what was deleted. */
async function writeHead(database: BookDatabase, change: Change): Promise<void> {
  const before = await headOf(database);
  const copy = ((await database.facts.get("copy"))?.value ?? "") as string;
  const value = headAfter(before, change, copy);
  if (value !== before) await database.facts.put({ key: "head", value });
}

/** Records made later are numbered after all that a change brought. */
async function keepLastSeq(database: BookDatabase, change: Change): Promise<void> {
  const known = Number((await database.facts.get("lastRecordSeq"))?.value ?? 0);
  const last = change.records.reduce(
    (most, { after }) => Math.max(most, (after as DatedRecord | null)?.seq ?? 0),
    known,
  );
  if (last > known) await database.facts.put({ key: "lastRecordSeq", value: last });
}

const idOf = (record: object): string => textOf(record, "id");
const replacedBy = (record: object): string => textOf(record, "replaces");

/**
 * Writes changes to one section; `machines` are those of all records that the whole change puts there.
 * Answers the machines of the records that are replaced or were.
 */
async function writeSection(
  database: BookDatabase,
  section: Section,
  changes: readonly RecordChange[],
  machines: ReadonlyMap<string, string>,
): Promise<MachineId[]> {
  const table = tableOf(database, section);
  const put = changes.flatMap(({ after }) => after ?? []);
  const replaced = changes
    .flatMap(({ before, after }) => [before, after])
    .map((record) => (record === null ? "" : replacedBy(record)))
    .filter((id) => id !== "");
  const known = changes.flatMap(({ id, before }) => (before === null ? [] : [id]));
  const looked = [...known, ...replaced];
  const found = looked.length === 0 ? [] : await table.bulkGet(looked);
  const stored = new Map(found.flatMap((row) => (row === undefined ? [] : [[row.id, row]])));
  const machineOf = (id: string): string | null =>
    machines.get(id) ?? stored.get(id)?.machine ?? null;
  let place = (await table.orderBy("place").last())?.place ?? -1;
  const rows = put.map((record) =>
    rowOf(
      section,
      record,
      stored.get(idOf(record))?.place ?? (place += 1),
      machineOf(replacedBy(record)),
    ),
  );
  if (rows.length > 0) await table.bulkPut(rows);
  const gone = changes.filter(({ after }) => after === null).map(({ id }) => id);
  if (gone.length > 0) await table.bulkDelete(gone);
  return replaced.flatMap((id) => (machineOf(id) ?? []) as MachineId | []);
}
