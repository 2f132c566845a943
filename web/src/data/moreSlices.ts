import {
  isOwned,
  PLATE_SECTIONS,
  SECTIONS,
  SHARED_SECTIONS,
  type MachineId,
  type MachinePlate,
  type OwnedSection,
  type RecordOf,
  type Section,
  type SharedBook,
} from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import { readOwn, readSection, tableOf } from "./bookSlices.js";

/** Reads the plates of machines within the running transaction. */
export async function readPlates(
  database: BookDatabase,
  ids: readonly MachineId[],
): Promise<MachinePlate[]> {
  return readOwned(database, PLATE_SECTIONS, ids);
}

/** Some sections of one machine. */
type Owned<S extends OwnedSection> = { readonly [K in S]: readonly RecordOf[K][] };

/** Reads sections of what belongs to machines, machine by machine. */
export async function readOwned<S extends OwnedSection>(
  database: BookDatabase,
  sections: readonly S[],
  ids: readonly MachineId[],
): Promise<Owned<S>[]> {
  const read: Owned<S>[] = [];
  for (const id of ids) {
    const records = await Promise.all(sections.map((section) => readOwn(database, id, section)));
    const pairs = sections.map((section, index) => [section, records[index]]);
    read.push(Object.fromEntries(pairs) as Owned<S>);
  }
  return read;
}

/** Reads what belongs to no one machine, and the machines, within the running transaction. */
export async function readShared(database: BookDatabase): Promise<SharedBook> {
  const read: Partial<Record<Section, readonly RecordOf[Section][]>> = {};
  for (const section of ["machines", ...SHARED_SECTIONS] as const) {
    read[section] = await readSection<Section>(database, section);
  }
  return read as SharedBook;
}

/** How many records each section holds, within the running transaction. */
export async function countRecords(
  database: BookDatabase,
): Promise<Readonly<Record<Section, number>>> {
  const counts = new Map<string, number>();
  for (const section of SECTIONS) {
    if (!isOwned(section)) counts.set(section, await tableOf(database, section).count());
  }
  // Only the index is read: a page's key there is its section and how many it holds.
  const keys = (await database.pages.orderBy("[section+count]").keys()) as unknown;
  for (const [section, count] of keys as readonly (readonly [string, number])[]) {
    counts.set(section, (counts.get(section) ?? 0) + count);
  }
  const counted = SECTIONS.map((section) => [section, counts.get(section) ?? 0]);
  return Object.fromEntries(counted) as Record<Section, number>;
}
