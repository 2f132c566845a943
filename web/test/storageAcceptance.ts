import {
  addDays,
  BOOK_NEEDS,
  changeSettings,
  correctEntry,
  logWork,
  put,
  recordCount,
  SECTIONS,
  withdrawRecord,
  type Book,
  type Change,
  type Entry,
  type EntryId,
  type Fluid,
  type LogWorkInput,
  type Machine,
  type MachineId,
  type MeterId,
  type PlaceId,
  type ReadingId,
  type RecordOf,
  type Result,
  type TaskId,
} from "@yonderfell/core";
import { randomBook } from "../../core/test/randomBook.js";
import type { BookStorage, Saved } from "../src/data/bookStorage.js";
import { BOOK, countingSurroundings, TODAY } from "./skarrowVale.js";

const BUS = "m-bus" as MachineId;
const NOW = "2026-11-23T09:00:00.000Z";
const WORK: LogWorkInput = {
  day: TODAY,
  tasks: ["t-bus-oil" as TaskId],
  figures: [],
  note: "",
};

/** What every book storage must do, whatever it is made of. */
export function acceptsAsBookStorage(name: string, open: () => Promise<BookStorage>): void {
  describe(`${name} as a book storage`, () => {
    let storage: BookStorage;

    beforeEach(async () => {
      storage = await open();
      await storage.fill(BOOK);
    });

    afterEach(() => storage.close());

    const log = (note = ""): Promise<Result<Saved, unknown>> =>
      storage.perform(
        BUS,
        BOOK_NEEDS,
        (book, context) => logWork(book, { ...WORK, note }, context),
        countingSurroundings(note),
      );

    test("gives back the book it was filled with", async () => {
      expect(await storage.everything()).toEqual(BOOK);
    });

    test("gives back records of every section, whatever stands in them", async () => {
      const book = randomBook(11);
      for (const section of SECTIONS) expect(book[section]?.length).toBeGreaterThan(0);
      const other = await open();
      await other.fill(book);
      expect(await other.everything()).toEqual(book);
      other.close();
    });

    test("refuses a move of stock by another measure than the product's, or that replaces nothing", async () => {
      const other = await open();
      const oil = { id: "oil", name: "Fellmaster", kind: "engine oil" };
      await other.fill({ ...BOOK, products: [...(BOOK.products ?? []), oil] } as unknown as Book);
      const right = { id: "s1", seq: 90_000, date: "2026-01-02", product: "oil", why: "bought" };
      const move = { ...right, amount: { value: 20, unit: "L" } };
      const added = (record: object): Promise<Result<Saved, unknown>> =>
        other.apply(
          { command: "add", records: [put("stockMoves", record as RecordOf["stockMoves"])] },
          NOW,
        );
      const byCount = await added({ ...move, amount: 2 });
      expect(byCount.ok).toBe(false);
      expect(JSON.stringify(byCount)).toMatch(/a volume/);
      const ofNothing = await added({ ...move, replaces: "gone" });
      expect(ofNothing.ok).toBe(false);
      expect(JSON.stringify(ofNothing)).toMatch(/there is no ..gone/);
      const held = (await other.everything()).stockMoves ?? [];
      expect(held.map(({ id }) => id)).not.toContain("s1");
      expect((await added(move)).ok).toBe(true);
      // Its unit cannot become one that the move is not in.
      const inKilograms = { ...oil, unit: "kg" };
      const change = { section: "products", id: "oil", before: oil, after: inKilograms } as const;
      const turned = await other.apply({ command: "edit", records: [change as never] }, NOW);
      expect(turned.ok).toBe(false);
      other.close();
    });

    test("tells how many records are written as it is filled, and holds nothing where that ends it", async () => {
      const other = await open();
      const stop = (): void => {
        throw new Error("ended by the person");
      };
      await expect(other.fill(BOOK, stop)).rejects.toThrow("ended by the person");
      expect(Object.values(await other.counts()).some((count) => count > 0)).toBe(false);
      const told: number[] = [];
      await other.fill(BOOK, (count) => told.push(count));
      expect(told.at(-1)).toBe(recordCount(BOOK));
      expect(await other.everything()).toEqual(BOOK);
      other.close();
    });

    test("refuses a second book and keeps the first", async () => {
      await expect(storage.fill({ ...BOOK, machines: [] })).rejects.toThrow("has a book");
      expect(await storage.everything()).toEqual(BOOK);
    });

    test("numbers the records of a book that has no numbers by their place", async () => {
      const bare = await open();
      const readings = (BOOK.readings ?? []).map(({ seq: _, ...reading }) => reading);
      await bare.fill({ ...BOOK, readings });
      const stored = (await bare.everything()).readings ?? [];
      expect(stored.map((reading) => reading.seq)).toEqual(stored.map((_, index) => index + 1));
      bare.close();
    });

    test("has the part of a machine, and null for one it does not know", async () => {
      const bus = await storage.machineBook(BUS);
      expect(bus?.machines[0].tag).toBe("07");
      expect(bus?.tasks).toEqual((BOOK.tasks ?? []).filter((task) => task.machine === BUS));
      expect(await storage.machineBook("nobody" as MachineId)).toBeNull();
    });

    test("the journal tells the changes after a number, in order", async () => {
      await log("one");
      await log("two");
      await log("three");
      expect(await storage.lastSeq()).toBe(3);
      const lines = await storage.changesAfter(1);
      expect(lines?.map((line) => line.seq)).toEqual([2, 3]);
      expect(lines?.[0]?.change.records[0]?.after).toMatchObject({ note: "two" });
      expect(await storage.changesAfter(3)).toEqual([]);
    });

    test("the latest entries come latest first, those of one day as they were made", async () => {
      // The ids follow the notes, so that an order by id would be the wrong one.
      await log("zeta");
      await log("alpha");
      const entries = await storage.latestEntries(5);
      expect(entries.map((entry) => entry.date)).toEqual(
        [...entries.map((entry) => entry.date)].sort().reverse(),
      );
      expect(entries.slice(0, 2).map((entry) => entry.note)).toEqual(["alpha", "zeta"]);
    });

    test("the latest entries hold a correction and not what it replaced, nor what was withdrawn", async () => {
      await log("first");
      const id = (await storage.latestEntries(1))[0]?.id as EntryId;
      const input = { ...WORK, day: addDays(TODAY, -3000), note: "corrected" };
      await storage.perform(
        BUS,
        BOOK_NEEDS,
        (book, context) => correctEntry(book, id, input, context),
        countingSurroundings("c"),
      );
      await log("second");
      const second = (await storage.latestEntries(1))[0]?.id ?? "";
      await storage.perform(
        BUS,
        BOOK_NEEDS,
        (book, context) => withdrawRecord(book, "entries", second, context),
        countingSurroundings("w"),
      );
      const notes = (await storage.latestEntries(1000)).map((entry) => entry.note);
      expect(notes).toContain("corrected");
      expect(notes).not.toContain("first");
      expect(notes).not.toContain("second");
    });

    const bus = (): Machine => {
      const found = (BOOK.machines ?? []).find((machine) => machine.id === BUS);
      if (found === undefined) throw new Error("the book has the bus");
      return found;
    };
    const renamed = (name: string): Change => ({
      command: "rename",
      records: [{ section: "machines", id: BUS, before: bus(), after: { ...bus(), name } }],
    });

    test("a change made up beforehand is made while what it changes stands as it did, and refused after", async () => {
      expect(await storage.apply(renamed("Book bus"), NOW)).toMatchObject({ ok: true });
      expect((await storage.machineBook(BUS))?.machines[0].name).toBe("Book bus");
      const other = await storage.apply(renamed("Reading bus"), NOW);
      const refusal = { code: "changed-elsewhere", section: "machines", id: BUS };
      expect(other).toEqual({ ok: false, issues: [refusal] });
      expect((await storage.machineBook(BUS))?.machines[0].name).toBe("Book bus");
      expect(await storage.lastSeq()).toBe(1);
    });

    test("a change is taken back by a change of its own, and that one too", async () => {
      await log("done");
      expect(await storage.takeBack(1, NOW)).toMatchObject({ ok: true, value: { seq: 2 } });
      expect(await storage.everything()).toEqual(BOOK);
      expect(await storage.takeBack(2, NOW)).toMatchObject({ ok: true, value: { seq: 3 } });
      expect((await storage.latestEntries(1))[0]?.note).toBe("done");
      expect(await storage.takeBack(99, NOW)).toMatchObject({
        issues: [{ code: "no-longer-known" }],
      });
    });

    test("taking back is refused where the record has been corrected since", async () => {
      await log("first");
      const id = (await storage.latestEntries(1))[0]?.id as EntryId;
      await storage.perform(
        BUS,
        BOOK_NEEDS,
        (book, context) => correctEntry(book, id, { ...WORK, note: "corrected" }, context),
        countingSurroundings("c"),
      );
      const before = await storage.everything();
      expect(await storage.takeBack(1, NOW)).toMatchObject({
        ok: false,
        issues: [{ code: "still-needed" }],
      });
      expect(await storage.everything()).toEqual(before);
      expect(await storage.lastSeq()).toBe(2);
    });

    test("a machine that has records is not taken away", async () => {
      const records = [{ section: "machines" as const, id: BUS, before: bus(), after: null }];
      expect(await storage.apply({ command: "x", records }, NOW)).toMatchObject({
        ok: false,
        issues: [{ code: "still-needed" }],
      });
      expect(await storage.everything()).toEqual(BOOK);
    });

    test("a change that is stopped while it is written leaves nothing behind", async () => {
      const readings = Array.from({ length: 2500 }, (_, index) => ({
        ...{ id: `long-${index}` as ReadingId, seq: 10_000 + index, machine: BUS },
        ...{ meter: "odo" as MeterId, date: "2026-01-01", value: index },
      }));
      const records = readings.map((reading) => put("readings", reading));
      const told: number[] = [];
      const stopped = storage.apply({ command: "x", records }, NOW, true, (count) => {
        told.push(count);
        throw new Error("stopped");
      });
      await expect(stopped).rejects.toThrow("stopped");
      expect(told).toHaveLength(1);
      expect(await storage.everything()).toEqual(BOOK);
      expect(await storage.lastSeq()).toBe(0);
    });

    test("what is taken back counts as a change only after it has left in a file", async () => {
      await storage.apply(renamed("Book bus"), NOW);
      await storage.takeBack(1, NOW);
      expect((await storage.machineBook(BUS))?.machines[0]).toEqual(bus());
      await storage.apply(renamed("Reading bus"), NOW);
      await storage.noteExport({ seq: 3, at: NOW });
      await storage.takeBack(3, NOW);
      const revision = { [await storage.copy()]: 1 };
      expect((await storage.machineBook(BUS))?.machines[0]).toEqual({ ...bus(), revision });
    });

    test("settings are changed like records", async () => {
      const windows = { dueWithinDays: 3, leadDays: 20, staleAfterDays: 45 };
      const change = changeSettings(await storage.ownSettings(), windows);
      if (!change.ok) throw new Error("the windows are whole days");
      await storage.apply(change.value, NOW);
      expect(await storage.settings()).toEqual(windows);
      expect(await storage.apply(change.value, NOW)).toMatchObject({
        ok: false,
        issues: [{ code: "changed-elsewhere", section: null, id: "settings" }],
      });
    });

    test("a record that replaces one of another machine is in the part of both, and moves both", async () => {
      const old = (BOOK.entries ?? []).find((entry) => entry.machine === BUS) as Entry;
      const hatch = (BOOK.machines ?? []).find((machine) => machine.id !== BUS) as Machine;
      const moved = { ...old, id: "moved" as EntryId, machine: hatch.id, replaces: old.id };
      const after = { ...moved, seq: 5000, meters: {}, estimatedMeters: [], tasks: [] };
      await storage.apply({ command: "hand-over", records: [put("entries", after)] }, NOW);
      for (const id of [BUS, hatch.id]) {
        const ids = (await storage.machineBook(id))?.entries.map((entry) => entry.id);
        expect(ids).toEqual(expect.arrayContaining([old.id, "moved"]));
      }
      const moves = async (): Promise<unknown> =>
        [...((await storage.changesAfter(0))?.at(-1)?.machines ?? [])].sort();
      expect(await moves()).toEqual([BUS, hatch.id].sort());
      await log("after");
      expect((await storage.latestEntries(1))[0]?.seq).toBe(5001);
      await storage.takeBack(1, NOW);
      expect(await moves()).toEqual([BUS, hatch.id].sort());
    });

    test("keeps the plate of each machine by itself", async () => {
      const fluid = { id: "f1", machine: BUS, system: "engine", kind: "engine oil" } as Fluid;
      const before = (await storage.plate(BUS)).fluids;
      await storage.apply({ command: "keep", records: [put("fluids", fluid)] }, NOW, true);
      expect((await storage.plate(BUS)).fluids).toEqual([...before, fluid]);
      const other = (BOOK.machines ?? []).find((machine) => machine.id !== BUS) as Machine;
      expect((await storage.plate(other.id)).fluids).not.toContainEqual(fluid);
      const changed = { ...fluid, note: "deep pan" };
      const records = [{ section: "fluids" as const, id: "f1", before: fluid, after: changed }];
      await storage.apply({ command: "keep", records }, NOW, true);
      const kept = (await storage.plate(BUS)).fluids.at(-1);
      expect(kept).toEqual({ ...changed, revision: { [await storage.copy()]: 1 } });
      await storage.takeBack(2, NOW);
      await storage.takeBack(1, NOW);
      expect(await storage.everything()).toEqual(BOOK);
    });

    test("refuses a reference to what is not there, and to take away what others refer to", async () => {
      const bus = (BOOK.machines ?? []).find((machine) => machine.id === BUS) as Machine;
      const shed = { id: "shed" as PlaceId, name: "Shed" };
      const moved = { ...bus, place: shed.id };
      const move = { section: "machines" as const, id: BUS, before: bus, after: moved };
      const nowhere = await storage.apply({ command: "keep", records: [move] }, NOW);
      expect(nowhere).toMatchObject({ ok: false, issues: [{ code: "still-needed" }] });
      expect(await storage.everything()).toEqual(BOOK);
      await storage.apply({ command: "keep", records: [put("places", shed), move] }, NOW);
      const removal = { section: "places" as const, id: "shed", before: shed, after: null };
      const removed = await storage.apply({ command: "keep", records: [removal] }, NOW);
      expect(removed).toMatchObject({ ok: false, issues: [{ code: "still-needed" }] });
      expect((await storage.shared()).places).toContainEqual(shed);
    });

    test("counts what it holds and reads several machines together", async () => {
      expect((await storage.counts()).tasks).toBe(BOOK.tasks?.length);
      const ids = (BOOK.machines ?? []).map((machine) => machine.id);
      const books = await storage.machineBooks([...ids, "nobody" as MachineId]);
      expect(books.map((book) => book.machines[0].id)).toEqual(ids);
    });
  });
}
