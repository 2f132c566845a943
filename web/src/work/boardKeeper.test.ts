import {
  addDays,
  logWork,
  readMeter,
  reckonBoard,
  type BoardMachine,
  type DayNumber,
} from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import { BOOK, countingSurroundings, TODAY } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../data/memoryStorage.js";
import { BoardKeeper } from "./boardKeeper.js";

async function fromScratch(storage: MemoryStorage, today: DayNumber): Promise<BoardMachine[]> {
  return reckonBoard(await storage.everything(), today);
}

/** One change to a machine, chosen by the seed: work logged or a meter read. */
async function changeSomething(
  storage: MemoryStorage,
  random: () => number,
  round: number,
): Promise<void> {
  const machines = BOOK.machines ?? [];
  const machine = machines[Math.floor(random() * machines.length)];
  const meter = machine?.meters?.[0];
  if (machine === undefined || meter === undefined) return;
  const day = addDays(TODAY, -Math.floor(random() * 20));
  const around = countingSurroundings(`round-${round}`);
  const tasks = (BOOK.tasks ?? []).filter((task) => task.machine === machine.id && random() < 0.3);
  if (random() < 0.5) {
    const ids = tasks.map((task) => task.id);
    const work = { day, tasks: ids, figures: [], note: "seeded" };
    await storage.perform(machine.id, (book, context) => logWork(book, work, context), around);
  } else {
    const value = Math.round(random() * 150000);
    const reading = { meter: meter.id, day, value, answer: { code: "right" } as const };
    await storage.perform(machine.id, (book, context) => readMeter(book, reading, context), around);
  }
}

test.each([1, 2, 3, 4, 5, 6])(
  "the board kept current is the board from scratch, seed %i",
  async (seed) => {
    const random = seededRandom(seed);
    const storage = new MemoryStorage();
    await storage.fill(BOOK);
    const keeper = new BoardKeeper(storage);
    let board: readonly BoardMachine[] = [];
    let today = TODAY;
    for (let round = 0; round < 25; round += 1) {
      if (random() < 0.1) today = addDays(today, 1);
      if (round > 0) await changeSomething(storage, random, round);
      const update = await keeper.refresh(today);
      if (update === null) continue;
      const changed = new Map(update.machines.map((machine) => [machine.machine.id, machine]));
      board = update.isWhole
        ? update.machines
        : board.map((machine) => changed.get(machine.machine.id) ?? machine);
      expect(board).toEqual(await fromScratch(storage, today));
    }
  },
);

test("nothing is reckoned again where nothing has changed", async () => {
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  const keeper = new BoardKeeper(storage);
  expect((await keeper.refresh(TODAY))?.isWhole).toBe(true);
  expect(await keeper.refresh(TODAY)).toBeNull();
});
