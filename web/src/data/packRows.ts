import type { DatedOfMachine, MachineId, OwnedSection, RecordOf, Sections } from "@yonderfell/core";
import { isEqual } from "es-toolkit";
import type { Table, Transaction } from "dexie";
import { machinesThatCross } from "./machinesThatCross.js";
import { unpacked, type Held, type Page } from "./page.js";
import { pagesOf } from "./packing.js";
import type { Fact } from "./row.js";

/** A record of a machine as it was stored before pages, up to version 5 of the database. */
interface RowBefore6 {
  readonly place: number;
  readonly machine: string;
  readonly record: RecordOf[OwnedSection];
}

/** The sections that had a row for each record of a machine, as they were then. */
const SECTIONS_BEFORE_6 = [
  ...(["readings", "meterChanges", "tasks", "entries", "fluids", "servicePoints"] as const),
  ...(["specifications", "fitments", "visits", "journeys"] as const),
];
const DATED_BEFORE_6 = ["readings", "meterChanges", "entries"] as const;

/** What was packed is not what was there; thrown within the transaction, it leaves all as it was. */
class NotPackedWhole extends Error {
  constructor(section: string) {
    super(`the ${section} could not be packed whole`);
    this.name = "NotPackedWhole";
  }
}

/**
 * Packs what belongs to machines into pages, within the transaction that brings a database to version 6.
 * Each page is read back and compared with its rows, and all are counted: where anything is not as it
 * was it throws, and the database stays in version 5.
 */
export async function packRows(transaction: Transaction): Promise<void> {
  const facts = transaction.table<Fact>("facts");
  const places: Record<string, number> = {};
  for (const section of SECTIONS_BEFORE_6) {
    const rows = transaction.table<RowBefore6>(section);
    places[section] = (await rows.orderBy("place").last())?.place ?? -1;
    const packed = await packSection(transaction, section, rows);
    if (packed !== (await rows.count())) throw new NotPackedWhole(section);
  }
  await facts.put({ key: "places", value: places });
  await facts.put({ key: "crossing", value: await crossing(transaction) });
}

/** Packs one section machine by machine; answers how many records it holds. */
async function packSection(
  transaction: Transaction,
  section: OwnedSection,
  rows: Table<RowBefore6>,
): Promise<number> {
  const pages = transaction.table<Page>("pages");
  let packed = 0;
  for (const key of await rows.orderBy("machine").uniqueKeys()) {
    const machine = key as MachineId;
    const own = await rows.where("machine").equals(machine).sortBy("place");
    const held = own.map(({ place, record }): Held => [place, record]);
    const made = pagesOf(machine, section, held);
    await pages.bulkPut(made);
    const keys = made.map(({ page }) => [machine, section, page]);
    const stored = (await pages.bulkGet(keys)).flatMap((page) => page ?? []);
    const plain = JSON.parse(JSON.stringify(held)) as unknown;
    if (!isEqual(unpacked(stored), plain)) throw new NotPackedWhole(section);
    packed += held.length;
  }
  return packed;
}

/** The machines whose records cross; mostly none do, and then nothing more is read. */
async function crossing(transaction: Transaction): Promise<MachineId[]> {
  const dated: Record<(typeof DATED_BEFORE_6)[number], DatedOfMachine[]> = {
    readings: [],
    meterChanges: [],
    entries: [],
  };
  for (const section of DATED_BEFORE_6) {
    const rows = transaction.table<RowBefore6>(section);
    if ((await rows.where("crosses").equals(1).count()) === 0) continue;
    dated[section] = (await rows.toArray()).map(({ record }) => record as DatedOfMachine);
  }
  return machinesThatCross(dated as unknown as Partial<Sections>);
}
