import {
  isOwned,
  numbered,
  OWNED_SECTIONS,
  SECTIONS,
  type Book,
  type MachineId,
  type OwnedSection,
  type RecordOf,
} from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import { tableOf } from "./bookSlices.js";
import { machinesThatCross } from "./machinesThatCross.js";
import { newId } from "./newId.js";
import type { Held, Page } from "./page.js";
import { pagesOf } from "./packing.js";
import { rowOf } from "./rows.js";

/** One section of a book as pages, machine by machine. */
function packedSection(section: OwnedSection, records: readonly RecordOf[OwnedSection][]): Page[] {
  const byMachine = new Map<MachineId, Held[]>();
  for (const [place, record] of records.entries()) {
    const held = byMachine.get(record.machine);
    if (held === undefined) byMachine.set(record.machine, [[place, record]]);
    else held.push([place, record]);
  }
  return [...byMachine].flatMap(([machine, held]) => pagesOf(machine, section, held));
}

/** Writes a whole book into an empty database, in one transaction. */
export async function fillBook(database: BookDatabase, book: Book): Promise<void> {
  const { sections, head, lastRecordSeq } = numbered(book);
  const places = Object.fromEntries(
    OWNED_SECTIONS.map((section) => [section, sections[section].length - 1]),
  );
  await database.transaction("rw", database.tables, async () => {
    if ((await database.facts.get("head")) !== undefined) throw new Error("the store has a book");
    for (const section of SECTIONS) {
      if (isOwned(section)) {
        await database.pages.bulkAdd(packedSection(section, sections[section]));
      } else {
        const rows = sections[section].map((record, place) => rowOf(section, record, place));
        await tableOf(database, section).bulkAdd(rows);
      }
    }
    await database.facts.bulkPut([
      { key: "head", value: head },
      { key: "copy", value: newId() },
      { key: "lastRecordSeq", value: lastRecordSeq },
      { key: "places", value: places },
      { key: "crossing", value: machinesThatCross(sections) },
    ]);
  });
}
