import {
  addDays,
  correctEntry,
  logWork,
  readBookData,
  success,
  withdrawRecord,
  type EntryId,
  type LogWorkInput,
  type MachineId,
  type TaskId,
} from "@yonderfell/core";
import type { BookStorage } from "../src/data/bookStorage.js";
import { BOOK, countingSurroundings, TODAY } from "./skarrowVale.js";

const BUS = "m-bus" as MachineId;
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

    const log = (note = ""): ReturnType<typeof storage.perform<unknown>> =>
      storage.perform(
        BUS,
        (book, context) => logWork(book, { ...WORK, note }, context),
        countingSurroundings(note),
      );

    test("gives back the book it was filled with", async () => {
      expect(await storage.everything()).toEqual(BOOK);
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

    test("performs a command: the record is there, last in its section, numbered after all others", async () => {
      const result = await log("done");
      expect(result).toMatchObject({ ok: true, value: { seq: 1 } });
      const entries = (await storage.everything()).entries ?? [];
      expect(entries).toHaveLength((BOOK.entries ?? []).length + 1);
      const highest = Math.max(
        ...[...(BOOK.entries ?? []), ...(BOOK.readings ?? [])].map((record) => record.seq ?? 0),
      );
      expect(entries.at(-1)).toMatchObject({ tasks: ["t-bus-oil"], seq: highest + 1 });
      expect(readBookData(JSON.parse(JSON.stringify(await storage.everything()))).ok).toBe(true);
    });

    test("a command that is refused or throws leaves nothing behind", async () => {
      const refused = await storage.perform(
        BUS,
        () => ({ ok: false, issues: ["no"] }),
        countingSurroundings(),
      );
      expect(refused).toEqual({ ok: false, issues: ["no"] });
      const broken = async (): Promise<unknown> =>
        storage.perform(
          BUS,
          () => {
            throw new Error("broken command");
          },
          countingSurroundings(),
        );
      await expect(broken()).rejects.toThrow("broken command");
      const missing = await storage.perform(
        "nobody" as MachineId,
        () => success({ command: "x", records: [] }),
        countingSurroundings(),
      );
      expect(missing).toEqual({ ok: false, issues: [{ code: "machine-missing" }] });
      expect(await storage.everything()).toEqual(BOOK);
      expect(await storage.lastSeq()).toBe(0);
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
        (book, context) => correctEntry(book, id, input, context),
        countingSurroundings("c"),
      );
      await log("second");
      const second = (await storage.latestEntries(1))[0]?.id ?? "";
      await storage.perform(
        BUS,
        (book, context) => withdrawRecord(book, "entries", second, context),
        countingSurroundings("w"),
      );
      const notes = (await storage.latestEntries(1000)).map((entry) => entry.note);
      expect(notes).toContain("corrected");
      expect(notes).not.toContain("first");
      expect(notes).not.toContain("second");
    });

    test("a draft is kept until dropped, outside the journal and the file", async () => {
      const draft = { key: "log:m-bus", value: { note: "half" }, at: "2026-11-23T09:00:00.000Z" };
      await storage.keepDraft(draft);
      expect(await storage.draft("log:m-bus")).toEqual(draft);
      expect(await storage.lastSeq()).toBe(0);
      expect(await storage.everything()).toEqual(BOOK);
      await storage.dropDraft("log:m-bus");
      expect(await storage.draft("log:m-bus")).toBeNull();
    });

    test("knows when it was last exported", async () => {
      expect(await storage.lastExport()).toBeNull();
      await storage.noteExport({ seq: 2, at: "2026-11-23T09:00:00.000Z" });
      expect(await storage.lastExport()).toEqual({ seq: 2, at: "2026-11-23T09:00:00.000Z" });
    });
  });
}
