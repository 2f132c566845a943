import { reckonBoard, type Machine, type MachineId } from "@yonderfell/core";
import type { BookStorage } from "../src/data/bookStorage.js";
import type { StoredPicture } from "../src/data/picture.js";
import { BOOK, TODAY } from "./skarrowVale.js";

const BUS = "m-bus" as MachineId;
const NOW = "2026-11-23T09:00:00.000Z";

/** What every book storage must keep beside the records, whatever it is made of. */
export function keepsBesideRecords(name: string, open: () => Promise<BookStorage>): void {
  describe(`beside the records, ${name}`, () => {
    let storage: BookStorage;

    beforeEach(async () => {
      storage = await open();
      await storage.fill(BOOK);
    });

    afterEach(() => storage.close());

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

    test("keeps pictures by their hash, and drops those that nothing refers to", async () => {
      const picture = (letter: string): StoredPicture => ({
        hash: letter.repeat(64),
        type: "image/jpeg",
        bytes: new Uint8Array([1, 2, 3]),
        width: 3,
        height: 1,
        keptAt: NOW,
      });
      for (const letter of ["a", "b", "c"]) await storage.keepPicture(picture(letter));
      const bus = (BOOK.machines ?? []).find((machine) => machine.id === BUS) as Machine;
      const shown = (letter: string): Machine => ({
        ...bus,
        pictures: [{ hash: letter.repeat(64) }],
      });
      const turn = (before: Machine, after: Machine): Promise<unknown> =>
        storage.apply(
          { command: "keep", records: [{ section: "machines", id: BUS, before, after }] },
          NOW,
        );
      await turn(bus, shown("a"));
      await turn(shown("a"), shown("b"));
      expect(await storage.picturesInUse()).toEqual([picture("b")]);
      expect(await storage.dropUnusedPictures(NOW)).toBe(0);
      // The first can come back by undo; nothing knows the third.
      expect(await storage.dropUnusedPictures("2026-11-24T09:00:00.000Z")).toBe(1);
      expect(await storage.picture("a".repeat(64))).toEqual(picture("a"));
      expect(await storage.picture("c".repeat(64))).toBeNull();
    });

    test("keeps the board as it was stored, and takes a part only onto the board it follows", async () => {
      expect(await storage.storedBoard()).toBeNull();
      const [first, ...others] = reckonBoard(BOOK, TODAY);
      if (first === undefined) throw new Error("the book has machines");
      const board = { seq: 1, today: TODAY, program: "a", machines: [...others, first] };
      await storage.storeBoard(board, null);
      expect(await storage.storedBoard()).toEqual(board);
      const part = { ...board, seq: 2, machines: [{ ...first, tasks: [] }] };
      await storage.storeBoard(part, 0);
      expect(await storage.storedBoard()).toEqual(board);
      await storage.storeBoard(part, 1);
      const machines = [...others, { ...first, tasks: [] }];
      expect(await storage.storedBoard()).toEqual({ ...part, machines });
      expect(await storage.everything()).toEqual(BOOK);
    });
  });
}
