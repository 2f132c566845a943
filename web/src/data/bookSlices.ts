import {
  dependOnProducts,
  isOwned,
  type DatedSection,
  type MachineBook,
  type MachineId,
  type OwnedSection,
  type RecordOf,
  type Section,
} from "@yonderfell/core";
import { Dexie, type Table } from "dexie";
import type { BookDatabase } from "./bookDatabase.js";
import { unpacked, type Held } from "./page.js";
import { pagesIn, pagesOfAll } from "./pagesIn.js";
import type { Row, RowSection } from "./row.js";

/** The table of a section that has a row for each record. */
export function tableOf<S extends RowSection>(
  database: BookDatabase,
  section: S,
): Table<Row<S>, string> {
  return database.table(section);
}

/** Everything of the file that is not a section of records. */
export async function headOf(database: BookDatabase): Promise<Record<string, unknown>> {
  return ((await database.facts.get("head"))?.value ?? {}) as Record<string, unknown>;
}

/** The machines with a record that replaces one of another, or is replaced so; mostly none. */
export async function crossingMachines(database: BookDatabase): Promise<readonly MachineId[]> {
  return ((await database.facts.get("crossing"))?.value ?? []) as readonly MachineId[];
}

const recordsOf = <S extends OwnedSection>(held: readonly Held<S>[]): RecordOf[S][] =>
  held.map(([, record]) => record);

/**
 * What one section of a machine holds, in order, within the running transaction. No async function:
 * several of these that are waited for together would lose the transaction.
 */
export function heldBy<S extends OwnedSection>(
  database: BookDatabase,
  machine: MachineId,
  section: S,
): PromiseLike<Held<S>[]> {
  return pagesIn(database, machine, section).then((pages) => unpacked<S>(pages));
}

/** The records of one section of a machine; no async function, for the same reason. */
export function readOwn<S extends OwnedSection>(
  database: BookDatabase,
  machine: MachineId,
  section: S,
): PromiseLike<RecordOf[S][]> {
  return heldBy(database, machine, section).then(recordsOf);
}

/** All records of a section in the order of the file, within the running transaction. */
export async function readSection<S extends Section>(
  database: BookDatabase,
  section: S,
): Promise<RecordOf[S][]> {
  if (isOwned(section)) {
    const held = unpacked(await pagesOfAll(database, section));
    return recordsOf(held) as RecordOf[S][];
  }
  // Read as they lie and put in order here: by an index each would be looked up by itself.
  const rows = await tableOf(database, section).toArray();
  rows.sort((one, other) => one.place - other.place);
  return rows.map((row) => row.record) as RecordOf[S][];
}

/** Reads the parts of machines within the running transaction; machines that are not there are left out. */
export async function readMachineBooks(
  database: BookDatabase,
  ids: readonly MachineId[],
): Promise<MachineBook[]> {
  const crossing = await crossingMachines(database);
  // Fetched only where there are any, while the transaction waits.
  const foreign =
    crossing.length === 0
      ? null
      : await Dexie.waitFor(import("./crossingRecords.js")).then(({ readCrossing }) =>
          readCrossing(crossing, (id, section) => heldBy(database, id, section)),
        );
  const dated = <S extends DatedSection>(section: S, id: MachineId): PromiseLike<RecordOf[S][]> =>
    heldBy(database, id, section).then((held) => {
      const others = (foreign?.get(section) ?? []) as readonly Held<S>[];
      const those = others.filter(([, { machine }]) => machine !== id);
      if (those.length === 0) return recordsOf(held);
      return recordsOf([...held, ...those].sort(([one], [other]) => one - other));
    });
  const rows = await database.machines.bulkGet([...ids]);
  const tasks = await Promise.all(ids.map((id) => readOwn(database, id, "tasks")));
  const readings = await Promise.all(ids.map((id) => dated("readings", id)));
  const meterChanges = await Promise.all(ids.map((id) => dated("meterChanges", id)));
  const entries = await Promise.all(ids.map((id) => dated("entries", id)));
  const books: MachineBook[] = [];
  for (const [at, row] of rows.entries()) {
    if (row === undefined) continue;
    const own = tasks[at] ?? [];
    books.push({
      machines: [row.record],
      tasks: own,
      readings: readings[at] ?? [],
      meterChanges: meterChanges[at] ?? [],
      entries: entries[at] ?? [],
      ...(dependOnProducts(own) ? await readInside(database, row.record.id) : {}),
    });
  }
  return books;
}

/** The fluids of a machine and the products in them, within the running transaction. */
async function readInside(
  database: BookDatabase,
  id: MachineId,
): Promise<Pick<MachineBook, "fluids" | "products">> {
  const fluids = await readOwn(database, id, "fluids");
  const named = [...new Set(fluids.flatMap(({ product }) => product ?? []))];
  const rows = await tableOf(database, "products").bulkGet(named);
  return { fluids, products: rows.flatMap((row) => row?.record ?? []) };
}
