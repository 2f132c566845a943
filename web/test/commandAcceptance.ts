import {
  BOOK_NEEDS,
  keepRecord,
  logWork,
  put,
  readBookData,
  success,
  type CommandContext,
  type LogWorkInput,
  type Machine,
  type MachineBook,
  type MachineId,
  type Person,
  type PlaceId,
  type Task,
  type TaskId,
} from "@yonderfell/core";
import type { BookStorage } from "../src/data/bookStorage.js";
import { BOOK, countingSurroundings, TODAY } from "./skarrowVale.js";

const BUS = "m-bus" as MachineId;
const WORK: LogWorkInput = {
  ...{ day: TODAY, tasks: ["t-bus-oil" as TaskId], figures: [], note: "done" },
};
const logged = (book: MachineBook, context: CommandContext) => logWork(book, WORK, context);
const nothing = () => success({ command: "nothing", records: [] });

/** What every book storage must do with commands, whatever it is made of. */
export function performsCommands(name: string, open: () => Promise<BookStorage>): void {
  describe(`a command performed by ${name}`, () => {
    let storage: BookStorage;

    beforeEach(async () => {
      storage = await open();
      await storage.fill(BOOK);
    });

    afterEach(() => storage.close());

    test("performs a command: the record is there, last in its section, numbered after all others", async () => {
      const result = await storage.perform(BUS, BOOK_NEEDS, logged, countingSurroundings("done"));
      expect(result).toMatchObject({ ok: true, value: { seq: 1 } });
      const entries = (await storage.everything()).entries ?? [];
      expect(entries).toHaveLength((BOOK.entries ?? []).length + 1);
      const highest = Math.max(
        ...Object.values(BOOK)
          .flatMap((records) => (Array.isArray(records) ? (records as { seq?: number }[]) : []))
          .map(({ seq }) => seq ?? 0),
      );
      expect(entries.at(-1)).toMatchObject({ tasks: ["t-bus-oil"], seq: highest + 1 });
      expect(readBookData(JSON.parse(JSON.stringify(await storage.everything()))).ok).toBe(true);
    });

    test("a command that is refused or throws leaves nothing behind", async () => {
      const refused = await storage.perform(
        BUS,
        BOOK_NEEDS,
        () => ({ ok: false, issues: ["no"] }),
        countingSurroundings(),
      );
      expect(refused).toEqual({ ok: false, issues: ["no"] });
      const broken = async (): Promise<unknown> =>
        storage.perform(
          BUS,
          BOOK_NEEDS,
          () => {
            throw new Error("broken command");
          },
          countingSurroundings(),
        );
      await expect(broken()).rejects.toThrow("broken command");
      const missing = await storage.perform(
        "nobody" as MachineId,
        BOOK_NEEDS,
        () => success({ command: "x", records: [] }),
        countingSurroundings(),
      );
      expect(missing).toEqual({ ok: false, issues: [{ code: "machine-missing" }] });
      expect(await storage.everything()).toEqual(BOOK);
      expect(await storage.lastSeq()).toBe(0);
    });

    test("is given what it has declared, and no more", async () => {
      const given: object[] = [];
      const seen = (slice: object): ReturnType<typeof nothing> => {
        given.push(slice);
        return nothing();
      };
      await storage.perform(BUS, [], seen, countingSurroundings());
      await storage.perform(BUS, ["visits", "people"], seen, countingSurroundings());
      await storage.performShared(["parts"], seen, countingSurroundings());
      const { machines, parts, people, visits } = BOOK;
      const [bus] = (machines ?? []).filter(({ id }) => id === BUS);
      const own = (visits ?? []).filter(({ machine }) => machine === BUS);
      expect(given).toEqual([
        { machines: [bus] },
        { machines: [bus], visits: own, people },
        { parts },
      ]);
    });

    test("of several machines sees all of them, in their order, and is not run where one is missing", async () => {
      const hatch = (BOOK.machines ?? [])[2]?.id as MachineId;
      const ids: MachineId[] = [];
      const all = [hatch, BUS];
      const result = await storage.performOn(
        all,
        ["tasks"],
        (slices) => {
          ids.push(...slices.map(({ machines: [machine] }) => machine.id));
          const notes = slices.map(({ tasks: [task] }) => task as Task);
          const records = notes.map((before) => {
            const after = { ...before, note: "together" };
            return { section: "tasks" as const, id: before.id, before, after };
          });
          return success({ command: "note", records });
        },
        countingSurroundings(),
      );
      expect(result).toMatchObject({ ok: true, value: { seq: 1 } });
      expect(ids).toEqual(all);
      expect((await storage.changesAfter(0))?.[0]?.machines).toEqual(all);
      const missing = await storage.performOn(
        [BUS, "nobody" as MachineId],
        ["tasks"],
        () => nothing(),
        countingSurroundings(),
      );
      expect(missing).toEqual({ ok: false, issues: [{ code: "machine-missing" }] });
      expect(await storage.lastSeq()).toBe(1);
    });

    test("that would leave the book contradicting itself is refused, and nothing of it is kept", async () => {
      const [bus] = (BOOK.machines ?? []).filter(({ id }) => id === BUS);
      const moved = { ...(bus as Machine), place: "nowhere" as PlaceId };
      const away = await storage.perform(
        BUS,
        [],
        ({ machines }) => keepRecord(machines, "machines", bus as Machine, moved),
        countingSurroundings(),
      );
      expect(away).toMatchObject({ ok: false, issues: [{ code: "still-needed" }] });
      const needed = (BOOK.people ?? []).find(({ id }) => bus?.person === id) as Person;
      const gone = await storage.performShared(
        ["people"],
        ({ people }) => keepRecord(people, "people", needed, null),
        countingSurroundings(),
      );
      expect(gone).toMatchObject({ ok: false, issues: [{ code: "still-needed" }] });
      expect(await storage.everything()).toEqual(BOOK);
      expect(await storage.lastSeq()).toBe(0);
    });

    test("performs a command on what belongs to no one machine", async () => {
      const result = await storage.performShared(
        ["machines", "places"],
        (shared, { newId }) => {
          const place = { id: newId() as PlaceId, name: `Shed ${shared.machines.length}` };
          return success({ command: "keep", records: [put("places", place)] });
        },
        countingSurroundings("place"),
      );
      expect(result).toMatchObject({ ok: true, value: { seq: 1 } });
      const name = `Shed ${(BOOK.machines ?? []).length}`;
      expect((await storage.shared()).places).toContainEqual({ id: "place-1", name });
      expect(await storage.list("places")).toEqual((await storage.shared()).places);
      expect((await storage.changesAfter(0))?.[0]?.machines).toEqual([]);
    });

    test("performs a command on each of several machines as one change, and leaves out what is refused", async () => {
      const note = (text: string) => (book: MachineBook, context: CommandContext) =>
        logWork(book, { ...WORK, tasks: [], note: text }, context);
      const hatch = (BOOK.machines ?? [])[2]?.id as MachineId;
      const commands = new Map([
        [BUS, note("looked over")],
        [hatch, note("")],
        ["nobody" as MachineId, note("x")],
      ]);
      const { saved, refused } = await storage.performEach(
        commands,
        "round",
        countingSurroundings("r"),
      );
      expect(saved?.change).toMatchObject({ command: "round", records: [{ section: "entries" }] });
      expect([...refused.keys()]).toEqual([hatch, "nobody"]);
      expect((await storage.latestEntries(1))[0]?.note).toBe("looked over");
      const none = await storage.performEach(
        new Map([[hatch, note("")]]),
        "round",
        countingSurroundings("s"),
      );
      expect(none.saved).toBeNull();
      expect(await storage.lastSeq()).toBe(1);
    });
  });
}
