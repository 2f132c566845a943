import {
  numbered,
  OWNED_SECTIONS,
  SECTIONS,
  type Book,
  type MachineId,
  type OwnedSection,
  type RecordOf,
} from "@yonderfell/core";
import type { BookDatabase } from "./bookDatabase.js";
import { isOwned, tableOf } from "./bookSlices.js";
import type { OnWritten } from "./bookStorage.js";
import { machinesThatCross } from "./machinesThatCross.js";
import { newId } from "./newId.js";
import type { Held, Page } from "./page.js";
import { pagesOf } from "./packing.js";
import { rowOf } from "./rows.js";

/** So many pages are written at a time, so that it can be followed and ended. */
const PAGES_AT_ONCE = 200;

/** One section of a book as pages, machine by machine. */
export function packedSection(
  section: OwnedSection,
  records: readonly RecordOf[OwnedSection][],
): Page[] {
  const byMachine = new Map<MachineId, Held[]>();
  for (const [place, record] of records.entries()) {
    const held = byMachine.get(record.machine);
    if (held === undefined) byMachine.set(record.machine, [[place, record]]);
    else held.push([place, record]);
  }
  return [...byMachine].flatMap(([machine, held]) => pagesOf(machine, section, held));
}

/** Writes a whole book into an empty database, in one transaction. */
export async function fillBook(
  database: BookDatabase,
  book: Book,
  onWritten?: OnWritten,
): Promise<void> {
  const { sections, head, lastRecordSeq } = numbered(book);
  const places = Object.fromEntries(
    OWNED_SECTIONS.map((section) => [section, sections[section].length - 1]),
  );
  await database.transaction("rw", database.tables, async () => {
    if ((await database.facts.get("head")) !== undefined) throw new Error("the store has a book");
    let written = 0;
    for (const section of SECTIONS) {
      if (isOwned(section)) {
        const pages = packedSection(section, sections[section]);
        for (let from = 0; from < pages.length; from += PAGES_AT_ONCE) {
          const some = pages.slice(from, from + PAGES_AT_ONCE);
          await database.pages.bulkAdd(some);
          onWritten?.((written += some.reduce((sum, { count }) => sum + count, 0)));
        }
      } else {
        const own = section;
        const rows = sections[own].map((record, place) => rowOf(own, record, place));
        await tableOf(database, own).bulkAdd(rows);
        onWritten?.((written += rows.length));
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
