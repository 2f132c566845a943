import {
  addDays,
  BOOK_NEEDS,
  correctEntry,
  isEmptyPlan,
  logWork,
  planMerge,
  readBook,
  readMeter,
  reckonBoard,
  SECTIONS,
  settleMerge,
  withdrawRecord,
  type Book,
  type EntryId,
  type Machine,
  type CommandResult,
} from "@yonderfell/core";
import { seededRandom } from "@yonderfell/demo/random";
import { BOOK, countingSurroundings, TODAY } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../../test/memoryStorage.js";

/** A book as another device reads it from a file. */
const asFile = async (storage: MemoryStorage): Promise<Book> => {
  const read = readBook(JSON.stringify(await storage.everything()));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return read.value;
};

/** The records of a book whatever their order in the file. */
const content = (book: Book): unknown =>
  SECTIONS.map((section) =>
    [...(book[section] ?? [])].sort((one, other) => (one.id < other.id ? -1 : 1)),
  );

async function copyOf(book: Book): Promise<MemoryStorage> {
  const storage = new MemoryStorage();
  await storage.fill(book);
  return storage;
}

/** Hands one copy over to another; there must be nothing to choose. */
async function handOver(from: MemoryStorage, to: MemoryStorage): Promise<void> {
  const theirs = await asFile(from);
  const ours = await to.everything();
  const settled = settleMerge(ours, theirs, new Map(), await to.copy());
  if (!settled.ok) throw new Error(JSON.stringify(settled.issues));
  expect(await to.apply(settled.value, "2026-11-23T09:00:00.000Z")).toMatchObject({ ok: true });
}

/** Changes that the other copy does not make: each copy works on the entries of its own machine. */
async function work(storage: MemoryStorage, machine: Machine, seed: number): Promise<void> {
  const random = seededRandom(seed);
  const untouched = ((await storage.machineBook(machine.id))?.entries ?? []).map(({ id }) => id);
  for (let round = 0; round < 6; round += 1) {
    const around = countingSurroundings(`${seed}-${round}`);
    const day = addDays(TODAY, -Math.floor(random() * 9));
    const input = { day, tasks: [], figures: [], note: `note ${seed}-${round}` };
    const entry = untouched[round] as EntryId;
    const meter = machine.meters?.[0]?.id;
    const value = Math.round(random() * 9000);
    const kind = Math.floor(random() * 5);
    await storage.perform(
      machine.id,
      BOOK_NEEDS,
      (book, context): CommandResult<unknown> => {
        if (kind === 0 && entry !== undefined) return correctEntry(book, entry, input, context);
        if (kind === 1 && entry !== undefined)
          return withdrawRecord(book, "entries", entry, context);
        if (kind === 2 && meter !== undefined)
          return readMeter(book, { meter, day, value, answer: { code: "right" } }, context);
        return logWork(book, input, context);
      },
      around,
    );
    if (kind === 4 && random() < 0.5) await storage.takeBack(await storage.lastSeq(), around.now);
    const renamed = (await storage.machineBook(machine.id))?.machines[0];
    if (kind === 3 && renamed !== undefined) {
      const revision = { [await storage.copy()]: round + 1 };
      const after = { ...renamed, name: `${machine.name} ${round}`, revision };
      const records = [{ section: "machines" as const, id: machine.id, before: renamed, after }];
      await storage.apply({ command: "rename", records }, around.now);
    }
  }
}

describe.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])("two copies worked on apart, seed %i", (seed) => {
  let here: MemoryStorage;
  let there: MemoryStorage;

  beforeEach(async () => {
    here = await copyOf(BOOK);
    there = await copyOf(await asFile(here));
    const [one, other] = BOOK.machines ?? [];
    if (one === undefined || other === undefined) throw new Error("the book has machines");
    await work(here, one, seed);
    await work(there, other, seed + 1000);
  });

  test("are the same book after each has been handed over to the other", async () => {
    const before = await asFile(here);
    await handOver(there, here);
    await there.apply((await settled(there, before)).value, "2026-11-23T10:00:00.000Z");
    expect(content(await here.everything())).toEqual(content(await there.everything()));
    expect(await dueOf(here)).toEqual(await dueOf(there));
  });

  test("a second hand-over of the same file changes nothing", async () => {
    const file = await asFile(there);
    await handOver(there, here);
    expect(isEmptyPlan(planMerge(await here.everything(), file))).toBe(true);
  });

  test("a hand-over is taken back in one go", async () => {
    const before = content(await here.everything());
    await handOver(there, here);
    await here.takeBack(await here.lastSeq(), "2026-11-23T10:00:00.000Z");
    expect(content(await here.everything())).toEqual(before);
  });
});

async function settled(
  storage: MemoryStorage,
  theirs: Book,
): Promise<Extract<ReturnType<typeof settleMerge>, { ok: true }>> {
  const result = settleMerge(await storage.everything(), theirs, new Map(), await storage.copy());
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result;
}

async function dueOf(storage: MemoryStorage): Promise<unknown> {
  return reckonBoard(await storage.everything(), TODAY);
}
