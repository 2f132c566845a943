import {
  isOwned,
  SECTIONS,
  SHARED_SECTIONS,
  type RecordOf,
  type Section,
  type SharedBook,
  type SharedSlice,
} from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import { readSection, tableOf } from "./bookSlices.js";

/** Reads whole sections, within the running transaction. */
export async function readSections<S extends Section>(
  database: BookDatabase,
  sections: readonly S[],
): Promise<SharedSlice<S>> {
  const read: Partial<Record<Section, readonly RecordOf[Section][]>> = {};
  for (const section of sections) read[section] = await readSection<Section>(database, section);
  return read as SharedSlice<S>;
}

/** Reads what belongs to no one machine, and the machines, within the running transaction. */
export function readShared(database: BookDatabase): Promise<SharedBook> {
  return readSections(database, ["machines", ...SHARED_SECTIONS]);
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
