import type { MachineId, OwnedSection } from "@yonderfell/core";
import { Dexie, type PromiseExtended } from "dexie";
import type { BookDatabase } from "./bookDatabase.js";
import type { Page } from "./page.js";

/** The pages of one section of a machine, within the running transaction. */
export function pagesIn(
  database: BookDatabase,
  machine: MachineId,
  section: OwnedSection,
): PromiseExtended<Page[]> {
  const { minKey, maxKey } = Dexie;
  return database.pages
    .where("[machine+section+page]")
    .between([machine, section, minKey], [machine, section, maxKey])
    .toArray();
}

/** The pages of one section of all machines, within the running transaction. */
export function pagesOfAll(database: BookDatabase, section: OwnedSection): PromiseExtended<Page[]> {
  const { minKey, maxKey } = Dexie;
  return database.pages
    .where("[section+count]")
    .between([section, minKey], [section, maxKey])
    .toArray();
}
