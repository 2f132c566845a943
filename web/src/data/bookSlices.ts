import {
  DATED_SECTIONS,
  PLANNED_SECTIONS,
  PLATE_SECTIONS,
  SHARED_SECTIONS,
  chainFrom,
  dependOnProducts,
  type DatedRecord,
  type DatedSection,
  type MachineBook,
  type MachineId,
  type MachinePlate,
  type PlannedSection,
  type SharedBook,
  type RecordOf,
  type Section,
} from "@yonderfell/core";
import type { Table } from "dexie";
import type { BookDatabase, Row } from "./bookDatabase.js";

/** The table of a section. */
export function tableOf<S extends Section>(
  database: BookDatabase,
  section: S,
): Table<Row<S>, string> {
  return database.table(section);
}

/** Everything of the file that is not a section of records. */
export async function headOf(database: BookDatabase): Promise<Record<string, unknown>> {
  return ((await database.facts.get("head"))?.value ?? {}) as Record<string, unknown>;
}

type CrossingRows = Readonly<Record<DatedSection, readonly Row[]>>;

/** The rows that cross from one machine to another, with all they go back to; mostly none. */
async function crossingRows(database: BookDatabase): Promise<CrossingRows> {
  const found: Record<DatedSection, Row[]> = { readings: [], meterChanges: [], entries: [] };
  for (const section of DATED_SECTIONS) {
    const table = tableOf<DatedSection>(database, section);
    const crossing = await table.where("crosses").equals(1).toArray();
    if (crossing.length === 0) continue;
    const replacing = await table.where("replaces").above("").toArray();
    const ids = replacing.map((row) => row.replaces);
    const replaced = (await table.bulkGet(ids)).flatMap((row) => row ?? []);
    const byId = new Map([...replacing, ...replaced].map((row) => [row.id, row]));
    const records = new Map<string, DatedRecord>();
    for (const row of byId.values()) records.set(row.id, row.record);
    const chains = crossing.flatMap((row) =>
      chainFrom<DatedRecord>(row.record, (id) => records.get(id)).map((record) => record.id),
    );
    found[section] = [...new Set(chains)].flatMap((id) => byId.get(id) ?? []);
  }
  return found;
}

/** Reads the parts of machines within the running transaction; machines that are not there are left out. */
export async function readMachineBooks(
  database: BookDatabase,
  ids: readonly MachineId[],
): Promise<MachineBook[]> {
  const crossing = await crossingRows(database);
  const own = async <S extends Section>(section: S, id: MachineId): Promise<RecordOf[S][]> => {
    const rows = await tableOf(database, section).where("machine").equals(id).toArray();
    const others = section in crossing ? crossing[section as DatedSection] : [];
    const foreign = others.filter((row) => row.machine !== id) as unknown as Row<S>[];
    return [...rows, ...foreign]
      .sort((one, other) => one.place - other.place)
      .map((row) => row.record);
  };
  const books = await Promise.all(
    ids.map(async (id): Promise<MachineBook | null> => {
      const machine = (await database.machines.get(id))?.record;
      if (machine === undefined) return null;
      const [tasks, readings, meterChanges, entries] = await Promise.all([
        own("tasks", id),
        own("readings", id),
        own("meterChanges", id),
        own("entries", id),
      ]);
      const inside = dependOnProducts(tasks) ? await readInside(database, id) : {};
      return { machines: [machine], tasks, readings, meterChanges, entries, ...inside };
    }),
  );
  return books.filter((book) => book !== null);
}

/** The fluids of a machine and the products in them, within the running transaction. */
async function readInside(
  database: BookDatabase,
  id: MachineId,
): Promise<Pick<MachineBook, "fluids" | "products">> {
  const fluids = (await tableOf(database, "fluids").where("machine").equals(id).toArray()).map(
    (row) => row.record,
  );
  const named = [...new Set(fluids.flatMap(({ product }) => product ?? []))];
  const rows = await tableOf(database, "products").bulkGet(named);
  return { fluids, products: rows.flatMap((row) => row?.record ?? []) };
}

/** Reads the plates of machines within the running transaction. */
export async function readPlates(
  database: BookDatabase,
  ids: readonly MachineId[],
): Promise<MachinePlate[]> {
  return readOwned(database, PLATE_SECTIONS, ids) as Promise<unknown> as Promise<MachinePlate[]>;
}

/** What is planned for a machine. */
export type PlannedBook = { readonly [S in PlannedSection]: readonly RecordOf[S][] };

/** Reads what is planned for machines within the running transaction. */
export async function readPlanned(
  database: BookDatabase,
  ids: readonly MachineId[],
): Promise<PlannedBook[]> {
  return readOwned(database, PLANNED_SECTIONS, ids) as Promise<unknown> as Promise<PlannedBook[]>;
}

/** Reads sections of what belongs to machines, machine by machine. */
async function readOwned(
  database: BookDatabase,
  owned: readonly Section[],
  ids: readonly MachineId[],
): Promise<Readonly<Partial<Record<Section, readonly RecordOf[Section][]>>>[]> {
  return Promise.all(
    ids.map(async (id) => {
      const sections = await Promise.all(
        owned.map(async (section) => {
          const rows = await tableOf(database, section).where("machine").equals(id).sortBy("place");
          return [section, rows.map((row) => row.record)] as const;
        }),
      );
      return Object.fromEntries(sections);
    }),
  );
}

/** Reads what belongs to no one machine, and the machines, within the running transaction. */
export async function readShared(database: BookDatabase): Promise<SharedBook> {
  const sections = await Promise.all(
    (["machines", ...SHARED_SECTIONS] as const).map(async (section) => {
      const rows = await tableOf<Section>(database, section).orderBy("place").toArray();
      return [section, rows.map((row) => row.record)] as const;
    }),
  );
  return Object.fromEntries(sections) as unknown as SharedBook;
}
