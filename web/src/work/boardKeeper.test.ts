import {
  addDays,
  BOOK_NEEDS,
  changeSettings,
  correctEntry,
  logWork,
  machinesInOrder,
  readMeter,
  reckonBoard,
  success,
  withdrawRecord,
  type BoardMachine,
  type DayNumber,
  type EntryId,
  type LogWorkInput,
} from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import { BOOK, countingSurroundings, TODAY } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../../test/memoryStorage.js";
import { BoardKeeper, type BoardUpdate } from "./boardKeeper.js";
import { keptState, type KeptState } from "./kept/keptState.js";

const BOARD = keptState<BoardUpdate>("board", "reckoning", {});

const byId = (machines: readonly BoardMachine[]): BoardMachine[] =>
  [...machines].sort((one, other) => (one.machine.id < other.machine.id ? -1 : 1));

async function fromScratch(storage: MemoryStorage, today: DayNumber): Promise<BoardMachine[]> {
  return byId(reckonBoard(await storage.everything(), today));
}

async function updatesOf(keeper: BoardKeeper, today: DayNumber): Promise<BoardUpdate[]> {
  const updates: BoardUpdate[] = [];
  for await (const update of keeper.refresh(today)) updates.push(update);
  await keeper.stored();
  return updates;
}

type Random = () => number;
const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

/** One change to a machine, chosen by the seed, of every kind there is. */
async function changeSomething(
  storage: MemoryStorage,
  random: Random,
  round: number,
): Promise<void> {
  const machine = pick(random, BOOK.machines ?? []);
  const meter = machine.meters?.[0];
  if (meter === undefined) return;
  const day = addDays(TODAY, -Math.floor(random() * 20));
  const around = countingSurroundings(`round-${round}`);
  const tasks = (BOOK.tasks ?? [])
    .filter((task) => task.machine === machine.id && random() < 0.3)
    .map((task) => task.id);
  const work: LogWorkInput = { day, tasks, figures: [], note: "seeded" };
  const entries = (await storage.machineBook(machine.id))?.entries ?? [];
  const entry = pick(random, entries).id;
  const kind = Math.floor(random() * 7);
  if (kind === 0) {
    await storage.perform(
      machine.id,
      BOOK_NEEDS,
      (book, context) => logWork(book, work, context),
      around,
    );
  } else if (kind === 1) {
    const value = Math.round(random() * 150000);
    const reading = { meter: meter.id, day, value, answer: { code: "right" } as const };
    await storage.perform(
      machine.id,
      BOOK_NEEDS,
      (book, context) => readMeter(book, reading, context),
      around,
    );
  } else if (kind === 2) {
    const command = correctEntry;
    await storage.perform(
      machine.id,
      BOOK_NEEDS,
      (book, context) => command(book, entry, work, context),
      around,
    );
  } else if (kind === 3) {
    const command = withdrawRecord;
    await storage.perform(
      machine.id,
      BOOK_NEEDS,
      (book, context) => command(book, "entries", entry, context),
      around,
    );
  } else if (kind === 4) {
    const windows = { dueWithinDays: 3, leadDays: Math.floor(random() * 60), staleAfterDays: 45 };
    const change = changeSettings(await storage.ownSettings(), windows);
    if (change.ok) await storage.apply(change.value, around.now);
  } else if (kind === 5) {
    const last = await storage.lastSeq();
    await storage.takeBack(1 + Math.floor(random() * last), around.now);
  } else await moveToAnotherMachine(storage, random, round);
}

/** An entry put right that was logged on the wrong machine: the new record is on another one. */
async function moveToAnotherMachine(
  storage: MemoryStorage,
  random: Random,
  round: number,
): Promise<void> {
  const book = await storage.everything();
  const replaced = new Set((book.entries ?? []).map((entry) => entry.replaces));
  const entry = pick(
    random,
    (book.entries ?? []).filter((one) => !replaced.has(one.id)),
  );
  const { id: machine } = pick(random, BOOK.machines ?? []);
  const moved = { id: `moved-${round}` as EntryId, machine, date: entry.date, replaces: entry.id };
  const after = { ...moved, seq: 100000 + round, meters: {}, tasks: [] };
  const records = [{ section: "entries" as const, id: after.id, before: null, after }];
  await storage.apply({ command: "hand-over", records }, "2026-11-23T09:00:00.000Z");
}

test.each([1, 2, 3, 4, 5, 6, 7, 8])(
  "the board kept current is the board from scratch, also when stored and begun again, seed %i",
  async (seed) => {
    const random = seededRandom(seed);
    const storage = new MemoryStorage();
    await storage.fill(BOOK);
    let keeper = new BoardKeeper(storage, "a");
    let board: KeptState<BoardUpdate> | undefined;
    let today = TODAY;
    for (let round = 0; round < 40; round += 1) {
      if (random() < 0.1) today = addDays(today, 1);
      // Another tab's worker, the program opened again, or a newer program: begins from what is stored.
      if (random() < 0.15) keeper = new BoardKeeper(storage, random() < 0.7 ? "a" : "b");
      if (round > 0) await changeSomething(storage, random, round);
      for (const update of await updatesOf(keeper, today)) {
        board = BOARD.reducer(board, BOARD.updated(update));
      }
      expect(byId(board?.machines ?? [])).toEqual(await fromScratch(storage, today));
      expect(board?.phase).toBe("ready");
    }
  },
);

describe("a board that is stored", () => {
  let storage: MemoryStorage;

  beforeEach(async () => {
    storage = new MemoryStorage();
    await storage.fill(BOOK);
    await updatesOf(new BoardKeeper(storage, "a"), TODAY);
  });

  test("is all there is to do where nothing has changed", async () => {
    const keeper = new BoardKeeper(storage, "a");
    const updates = await updatesOf(keeper, TODAY);
    expect(updates.map((update) => update.isCurrent)).toEqual([false, true]);
    expect(await updatesOf(keeper, TODAY)).toEqual([]);
  });

  test("is shown at once the next day and by another program, and reckoned anew behind", async () => {
    for (const [program, day] of [
      ["a", addDays(TODAY, 1)],
      ["b", addDays(TODAY, 1)],
    ] as const) {
      const updates = await updatesOf(new BoardKeeper(storage, program), day);
      expect(updates.map((update) => update.isCurrent)).toEqual([false, false, true]);
      expect(updates.at(-1)?.today).toBe(day);
    }
  });

  test("is not mixed with the part that another tab left behind", async () => {
    const slow = new BoardKeeper(storage, "a");
    await updatesOf(slow, TODAY);
    const machine = (BOOK.machines ?? [])[0]?.id;
    if (machine === undefined) throw new Error("the book has machines");
    const stored = await storage.storedBoard();
    if (stored === null) throw new Error("the board is stored");
    await storage.storeBoard({ ...stored, seq: 7, machines: [] }, 6);
    expect((await storage.storedBoard())?.seq).toBe(0);
    await storage.perform(
      machine,
      BOOK_NEEDS,
      () => success({ command: "nothing", records: [] }),
      countingSurroundings(),
    );
    await updatesOf(slow, TODAY);
    expect((await storage.storedBoard())?.seq).toBe(1);
  });

  test("keeps the order in which it is shown", async () => {
    const { machines } = (await storage.storedBoard()) ?? { machines: [] };
    expect(machines).toEqual(machinesInOrder(reckonBoard(BOOK, TODAY)));
  });
});

test("a board that could not be stored is told of, and the next one is stored again", async () => {
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  const store = jest.spyOn(storage, "storeBoard").mockRejectedValueOnce(new Error("no room"));
  const keeper = new BoardKeeper(storage, "a");
  await expect(updatesOf(keeper, TODAY)).rejects.toThrow("no room");
  await updatesOf(keeper, addDays(TODAY, 1));
  expect(store).toHaveBeenCalledTimes(2);
  expect((await storage.storedBoard())?.today).toBe(addDays(TODAY, 1));
});
