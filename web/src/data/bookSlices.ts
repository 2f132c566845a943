import {
  checklistsNamed,
  dependOnProducts,
  productsNamed,
  isOwnDated,
  isOwned,
  type Inside,
  type MachineId,
  type Need,
  type OwnedSection,
  type RecordOf,
  type Section,
  type Slice,
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
function readOwn<S extends OwnedSection>(
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

/** Some sections of one machine. */
type Owned<S extends OwnedSection> = { readonly [K in S]: readonly RecordOf[K][] };

/** Reads sections of what belongs to machines, machine by machine, within the running transaction. `foreign` are records that cross to or from other machines. */
export async function readOwned<S extends OwnedSection>(
  database: BookDatabase,
  sections: readonly S[],
  ids: readonly MachineId[],
  foreign: Foreign = NONE_CROSS,
): Promise<Owned<S>[]> {
  const own = (section: S, id: MachineId): PromiseLike<RecordOf[S][]> =>
    heldBy(database, id, section).then((held) => {
      const others = (foreign.get(section) ?? []) as readonly Held<S>[];
      const those = others.filter(([, { machine }]) => machine !== id);
      if (those.length === 0) return recordsOf(held);
      return recordsOf([...held, ...those].sort(([one], [other]) => one - other));
    });
  const read: Partial<Record<S, readonly RecordOf[S][]>>[] = ids.map(() => ({}));
  for (const section of sections) {
    const records = await Promise.all(ids.map((id) => own(section, id)));
    for (const [at, one] of read.entries()) one[section] = records[at] ?? [];
  }
  return read as Owned<S>[];
}

type Foreign = ReadonlyMap<string, readonly Held<OwnedSection>[]>;
const NONE_CROSS: Foreign = new Map();

/**
 * The records that cross from one machine to another; the code for them is fetched only where there are any, while
 * the transaction waits. No async function: one that waits within another would lose the transaction.
 */
function readForeign(database: BookDatabase): PromiseLike<Foreign> {
  return database.facts.get("crossing").then((fact): Foreign | PromiseLike<Foreign> => {
    const crossing = (fact?.value ?? []) as readonly MachineId[];
    if (crossing.length === 0) return NONE_CROSS;
    return Dexie.waitFor(import("./crossingRecords.js")).then(({ readCrossing }) =>
      readCrossing(crossing, (id, section) => heldBy(database, id, section)),
    );
  });
}

/** Reads what commands on machines have declared, within the running transaction; machines that are not there are left out. */
export async function readSlices<Needed extends Need>(
  database: BookDatabase,
  ids: readonly MachineId[],
  needs: readonly Needed[],
): Promise<Slice<Needed>[]> {
  const asked: readonly Need[] = needs;
  const sections = asked.filter((need) => need !== "inside");
  const owned = sections.filter((section) => isOwned(section));
  const foreign = owned.some(isOwnDated) ? await readForeign(database) : NONE_CROSS;
  const rows = await database.machines.bulkGet([...ids]);
  const read = await readOwned(database, owned, ids, foreign);
  const shared: Record<string, unknown> = {};
  for (const section of sections) {
    if (!isOwned(section)) shared[section] = await readSection(database, section);
  }
  const slices: Slice<Needed>[] = [];
  for (const [at, row] of rows.entries()) {
    if (row === undefined) continue;
    const own = { machines: [row.record], ...read[at], ...shared };
    const { tasks = [], entries = [] } = read[at] as Partial<Owned<"tasks" | "entries">>;
    const depends = dependOnProducts(tasks) || checklistsNamed(tasks).size > 0;
    const inside =
      asked.includes("inside") && depends
        ? await readInside(database, row.record.id, tasks, entries)
        : {};
    slices.push({ ...own, ...inside } as unknown as Slice<Needed>);
  }
  return slices;
}

/** Shared records by their ids, within the running transaction; those that are not there are left out. No async function, as above. */
function readNamed<S extends RowSection>(
  database: BookDatabase,
  section: S,
  ids: Iterable<string>,
): PromiseLike<RecordOf[S][]> {
  return tableOf(database, section)
    .bulkGet([...ids])
    .then((rows) => rows.flatMap((row) => row?.record ?? []));
}

/** Reads what the limits of a machine depend on beside its own records ({@link Inside}), within the running transaction. */
async function readInside(
  database: BookDatabase,
  id: MachineId,
  tasks: readonly RecordOf["tasks"][],
  entries: readonly RecordOf["entries"][],
): Promise<Inside> {
  const lists = checklistsNamed(tasks);
  const measured =
    lists.size === 0 ? {} : { checklists: await readNamed(database, "checklists", lists) };
  if (!dependOnProducts(tasks)) return measured;
  const fluids = await readOwn(database, id, "fluids");
  const products = await readNamed(database, "products", productsNamed(fluids, entries));
  return { ...measured, fluids, products };
}
