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
import type { OnWritten } from "./bookStorage.js";
import { machinesThatCross } from "./machinesThatCross.js";
import { newId } from "./newId.js";
import type { Held, Page } from "./page.js";
import { pagesOf } from "./packing.js";
import type { RowSection } from "./row.js";
import { rowOf } from "./rows.js";

/** So many pages or rows are written at a time, so that it can be followed and ended. */
const WRITTEN_AT_ONCE = 400;

/** The records of a section, machine by machine, each with its place. */
function byMachine(records: readonly RecordOf[OwnedSection][]): Map<MachineId, Held[]> {
  const found = new Map<MachineId, Held[]>();
  for (const [place, record] of records.entries()) {
    const held = found.get(record.machine);
    if (held === undefined) found.set(record.machine, [[place, record]]);
    else held.push([place, record]);
  }
  return found;
}

/** Writes the sections of a book one after the other, within the running transaction. */
class Filling {
  private written = 0;

  constructor(
    private readonly database: BookDatabase,
    private readonly onWritten: OnWritten | undefined,
  ) {}

  /** The records of machines, packed as they are written: a long section is never held twice. */
  async pages<S extends OwnedSection>(section: S, records: readonly RecordOf[S][]): Promise<void> {
    let pages: Page[] = [];
    let count = 0;
    for (const [machine, held] of byMachine(records)) {
      pages.push(...pagesOf(machine, section, held));
      count += held.length;
      if (pages.length < WRITTEN_AT_ONCE) continue;
      await this.database.pages.bulkAdd(pages);
      this.note(count);
      [pages, count] = [[], 0];
    }
    if (pages.length > 0) await this.database.pages.bulkAdd(pages);
    this.note(count);
  }

  async rows<S extends RowSection>(section: S, records: readonly RecordOf[S][]): Promise<void> {
    for (let from = 0; from < records.length; from += WRITTEN_AT_ONCE) {
      const some = records.slice(from, from + WRITTEN_AT_ONCE);
      const rows = some.map((record, at) => rowOf(section, record, from + at));
      await tableOf(this.database, section).bulkAdd(rows);
      this.note(some.length);
    }
  }

  private note(records: number): void {
    if (records > 0) this.onWritten?.((this.written += records));
  }
}

/** Writes a whole book into an empty database, in one transaction. `onWritten` is told how many records are written as it goes; where it throws, nothing is. */
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
    const filling = new Filling(database, onWritten);
    for (const section of SECTIONS) {
      if (sections[section].length === 0) continue;
      if (isOwned(section)) await filling.pages(section, sections[section]);
      else await filling.rows(section, sections[section]);
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
