import { SECTIONS, sectionsOfVersion, type Book } from "@yonderfell/core";
import { Dexie } from "dexie";
import { BOOK as WHOLE } from "../../test/skarrowVale.js";
import { DexieStorage } from "./dexieStorage.js";

const KEYS = "id, place, machine";
const DATED = `${KEYS}, replaces, crosses`;

/** The tables of version 5, as that version had them. */
const TABLES_OF_5 = {
  machines: `${KEYS}, *refers`,
  readings: DATED,
  meterChanges: DATED,
  tasks: KEYS,
  entries: `${DATED}, [date+place]`,
  fluids: `${KEYS}, *refers`,
  servicePoints: KEYS,
  specifications: KEYS,
  fitments: `${KEYS}, *refers`,
  visits: KEYS,
  journeys: KEYS,
  parts: KEYS,
  products: KEYS,
  people: KEYS,
  bays: `${KEYS}, *refers`,
  places: KEYS,
  pictures: "hash",
  journal: "++seq",
  drafts: "key",
  facts: "key",
  board: "machine, place",
  boardFacts: "key",
};
const GONE = ["readings", "meterChanges", "tasks", "entries", "fluids", "servicePoints"];

/** The book as one of version 1 could be: without what is a section since. */
const BOOK = Object.fromEntries(
  Object.entries(WHOLE).filter(
    ([key]) =>
      !(SECTIONS as readonly string[]).includes(key) ||
      (sectionsOfVersion(1) as readonly string[]).includes(key),
  ),
) as unknown as Book;

const WRONG = (BOOK.entries ?? []).find(({ machine }) => machine !== "m-bus");
const MOVED_FROM = WRONG?.machine as string;

const MOVED = {
  ...(BOOK.entries ?? [])[0],
  id: "moved",
  machine: "m-bus",
  replaces: WRONG?.id,
  tasks: [],
  wanted: [],
  lookAgain: [],
  meters: {},
  estimatedMeters: [],
  seq: 900_000,
};

/** The book with an entry that takes the place of one on another machine. */
const CROSSING = { ...BOOK, entries: [...(BOOK.entries ?? []), MOVED] } as unknown as Book;

class Version5 extends Dexie {
  constructor(name: string) {
    super(name);
    this.version(5).stores(TABLES_OF_5);
  }
}

/** Writes a book as version 5 did: a row for each record, with what it was looked up by. */
async function writeAsVersion5(name: string, book: Book): Promise<void> {
  const old = new Version5(name);
  for (const section of sectionsOfVersion(1)) {
    const records = (book[section] ?? []) as readonly Record<string, string>[];
    const machines = new Map(records.map(({ id, machine }) => [id, machine]));
    const rows = records.map((record, place) => {
      const { id, machine = "", date = "", replaces = "" } = record;
      const replaced = machines.get(replaces);
      const crosses = replaced !== undefined && replaced !== machine ? { crosses: 1 } : {};
      return { id, place, machine, date, replaces, ...crosses, record };
    });
    // Not in the order of the file, as rows do not lie in it.
    await old.table(section).bulkAdd(rows.toReversed());
  }
  const { format, version, name: called, settings } = book;
  await old.table("facts").bulkPut([
    { key: "head", value: { format, version, name: called, settings } },
    { key: "copy", value: "one-copy" },
    { key: "lastRecordSeq", value: 900_000 },
  ]);
  old.close();
}

async function rowsOfVersion5(name: string): Promise<Record<string, unknown[]>> {
  const old = new Version5(name);
  const rows: Record<string, unknown[]> = {};
  for (const section of sectionsOfVersion(1)) rows[section] = await old.table(section).toArray();
  old.close();
  return rows;
}

async function tablesIn(name: string): Promise<readonly string[]> {
  const any = await new Dexie(name).open();
  const names = any.tables.map((table) => table.name);
  any.close();
  return names;
}

test("a book of version 5 is all there once it is packed, in its order, and its rows are gone", async () => {
  await writeAsVersion5("of-5", CROSSING);
  const storage = new DexieStorage("of-5");
  const { version: _, ...before } = CROSSING;
  expect(await storage.everything()).toEqual({ ...before, version: 2 });
  expect(await storage.copy()).toBe("one-copy");
  const bus = await storage.machineBook("m-bus" as never);
  expect(bus?.entries.map(({ id }) => id)).toContain(MOVED.replaces);
  storage.close();
  const names = await tablesIn("of-5");
  for (const gone of GONE) expect(names).not.toContain(gone);
  expect(names).toContain("pages");
});

test("what is added after packing comes last in its section", async () => {
  await writeAsVersion5("added", BOOK);
  const storage = new DexieStorage("added");
  const after = {
    id: "new",
    machine: "m-post",
    name: "Wash",
    regimes: { normal: [{ months: 1 }] },
  };
  const records = [{ section: "tasks", id: "new", before: null, after }];
  const added = await storage.apply({ command: "add", records } as never, "2026-11-23T09:00:00Z");
  expect(added).toMatchObject({ ok: true });
  expect((await storage.everything()).tasks?.at(-1)?.id).toBe("new");
  storage.close();
});

test("a book of version 1 gets there through all versions between", async () => {
  const old = new Dexie("of-1");
  old.version(1).stores({
    ...{ machines: KEYS, readings: KEYS, meterChanges: KEYS, tasks: KEYS },
    entries: `${KEYS}, replaces, [date+place]`,
    ...{ journal: "++seq", drafts: "key", facts: "key" },
  });
  const { machines = [], tasks = [], readings = [], entries = [] } = BOOK;
  const held = { machines, tasks, readings, entries, meterChanges: BOOK.meterChanges ?? [] };
  for (const [section, records] of Object.entries(held)) {
    const rows = records.map((record, place) => {
      const { id, machine = "", date = "" } = record as unknown as Record<string, string>;
      return { id, place, machine, date, replaces: "", record };
    });
    await old.table(section).bulkAdd(rows);
  }
  const head = { name: "Old", fluids: [{ odd: true }] };
  const change = {
    command: "x",
    records: [{ section: "tasks", id: "t", before: null, after: tasks[0] }],
  };
  await old.table("journal").add({ at: "2025-01-01T00:00:00Z", change });
  await old.table("facts").bulkPut([{ key: "head", value: head }]);
  old.close();
  const storage = new DexieStorage("of-1");
  const book = await storage.everything();
  expect(book).toMatchObject({ name: "Old", tasks, readings, entries });
  expect(book).toMatchObject({ "fluids (not read)": [{ odd: true }] });
  expect(await storage.copy()).not.toBe("");
  expect((await storage.changesAfter(0))?.[0]?.machines).toEqual([tasks[0]?.machine]);
  storage.close();
});

describe("interrupted", () => {
  // eslint-disable-next-line @typescript-eslint/unbound-method -- called with the store it is put to
  const { put } = IDBObjectStore.prototype;
  let left = Infinity;

  beforeAll(() => {
    // The one way to stop it at any step: what it writes fails from there on.
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, ...given) {
      left -= 1;
      if (left < 0) throw new DOMException("cut short", "AbortError");
      return put.apply(this, given);
    };
  });

  afterAll(() => {
    IDBObjectStore.prototype.put = put;
  });

  const KEPT = new Set(["m-bus", MOVED_FROM]);
  /** The records of two machines, so that every step can be tried. */
  const small = Object.fromEntries(
    Object.entries(CROSSING).map(([key, value]: [string, unknown]) => [
      key,
      Array.isArray(value)
        ? (value as { machine?: string }[]).filter(({ machine = "m-bus" }) => KEPT.has(machine))
        : value,
    ]),
  ) as unknown as Book;

  test("at any step, packing leaves version 5 as it was, and goes well the next time", async () => {
    await writeAsVersion5("whole", small);
    left = 100_000;
    const whole = new DexieStorage("whole");
    const expected = await whole.everything();
    whole.close();
    const steps = 100_000 - left;
    expect(steps).toBeGreaterThan(15);
    left = Infinity;
    await writeAsVersion5("cut", small);
    const before = await rowsOfVersion5("cut");
    for (let step = 0; step < steps; step += 1) {
      left = step;
      const cut = new DexieStorage("cut");
      await expect(cut.everything()).rejects.toThrow();
      cut.close();
      left = Infinity;
      expect(await rowsOfVersion5("cut")).toEqual(before);
    }
    const again = new DexieStorage("cut");
    expect(await again.everything()).toEqual(expected);
    again.close();
  });
});
