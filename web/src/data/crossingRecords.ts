import {
  crossingRecords,
  DATED_SECTIONS,
  type DatedRecord,
  type DatedSection,
  type MachineId,
} from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import { unpacked, type Held } from "./page.js";
import { pagesIn } from "./pagesIn.js";

/** Dated records of a section that cross from one machine to another, with all they go back to, each with its place. */
export async function crossingIn<S extends DatedSection>(
  database: BookDatabase,
  section: S,
  machines: readonly MachineId[],
): Promise<Held<S>[]> {
  const pages = await Promise.all(machines.map((id) => pagesIn(database, id, section)));
  const held = unpacked<S>(pages.flat());
  const crossing = new Set<DatedRecord>(
    crossingRecords<DatedRecord>(held.map(([, record]) => record)),
  );
  return held.filter(([, record]) => crossing.has(record));
}

/** The same of all dated sections. */
export async function crossingHeld(
  database: BookDatabase,
  machines: readonly MachineId[],
): Promise<ReadonlyMap<DatedSection, readonly Held[]>> {
  const found = new Map<DatedSection, readonly Held[]>();
  for (const section of DATED_SECTIONS) {
    found.set(section, await crossingIn(database, section, machines));
  }
  return found;
}
