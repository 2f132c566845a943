import { addDays, BOOK_NEEDS, logWork, type DayNumber, type MachineId } from "@yonderfell/core";
import { BOOK, countingSurroundings, TODAY } from "../../../test/skarrowVale.js";
import { MemoryStorage } from "../../../test/memoryStorage.js";
import { inPieces } from "./inPieces.js";
import { Keeper, type KeptUpdate, type Since } from "./keeper.js";
import { KeptClient } from "./keptClient.js";
import { keptState } from "./keptState.js";
import { Pieces } from "./pieces.js";
import { keptBy } from "./serveKeeper.js";

interface Logged {
  readonly machine: { readonly id: MachineId };
  readonly entries: number;
}

/** The least there is to keep: how many entries each machine has. */
class LogKeeper extends Keeper<KeptUpdate<Logged>> {
  readonly made: (readonly MachineId[] | null)[] = [];
  failsWith: Error | null = null;
  storesWith: Error | null = null;

  constructor(private readonly storage: MemoryStorage) {
    super(storage, { settings: ["leadDays"], sections: ["machines", "entries", "parts"] });
  }

  override stored(): Promise<void> {
    return this.storesWith === null ? Promise.resolve() : Promise.reject(this.storesWith);
  }

  protected override async make({ machines, ...since }: Since): Promise<KeptUpdate<Logged>> {
    if (this.failsWith !== null) throw this.failsWith;
    this.made.push(machines);
    const ids = machines ?? (BOOK.machines ?? []).map(({ id }) => id);
    const books = await this.storage.machineBooks(ids);
    const logged = books.map(({ machines: [{ id }], entries }) => ({
      machine: { id },
      entries: entries.length,
    }));
    const { today, seq } = since;
    return { today, seq, isWhole: machines === null, isCurrent: true, machines: logged };
  }
}

const BUS = "m-bus" as MachineId;
const ALL = (BOOK.machines ?? []).length;

async function begin(): Promise<{ storage: MemoryStorage; keeper: LogKeeper }> {
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  return { storage, keeper: new LogKeeper(storage) };
}

async function logOn(storage: MemoryStorage): Promise<void> {
  const work = { day: TODAY, tasks: [], figures: [], note: "looked over" };
  await storage.perform(
    BUS,
    BOOK_NEEDS,
    (book, context) => logWork(book, work, context),
    countingSurroundings(String(await storage.lastSeq())),
  );
}

/** A page that shows what a keeper keeps, without a worker between them. */
function pageOf(keeper: LogKeeper, inParts = false) {
  const told: string[] = [];
  const kept = keptState<KeptUpdate<Logged>>("logged", "unwanted", {});
  let state = kept.reducer(undefined, kept.wanted());
  const client = new KeptClient(
    keptBy(() => keeper, 4),
    "book",
    {
      onUpdate: (update) => {
        told.push(`${update.machines.length}${update.isCurrent ? "" : " so far"}`);
        state = kept.reducer(state, kept.updated(update));
      },
      onUnchanged: () => told.push("unchanged"),
      onFailure: (reason) => told.push(`failed: ${reason}`),
    },
    inParts,
  );
  const wake = async (today: DayNumber = TODAY): Promise<void> => {
    client.wake(today);
    for (let turn = 0; turn < 200; turn += 1) await Promise.resolve();
  };
  return { told, wake, client, state: () => state };
}

test("all is made once, then only what a change touches; nothing where nothing has changed", async () => {
  const { storage, keeper } = await begin();
  const page = pageOf(keeper);
  await page.wake();
  await page.wake();
  await logOn(storage);
  await page.wake();
  await page.wake(addDays(TODAY, 1));
  expect(page.told).toEqual([`${ALL}`, "unchanged", "1", `${ALL}`]);
  expect(keeper.made).toEqual([null, [BUS], null]);
  const scratch = await storage.machineBooks((BOOK.machines ?? []).map(({ id }) => id));
  expect(page.state()).toMatchObject({ phase: "ready", seq: 1, today: addDays(TODAY, 1) });
  expect(page.state().machines.map(({ entries }) => entries)).toEqual(
    scratch.map(({ entries }) => entries.length),
  );
});

test("what all machines are made of makes all anew; what is not read, and a machine that is edited, do not", async () => {
  const { storage, keeper } = await begin();
  const page = pageOf(keeper);
  await page.wake();
  const now = "2026-11-23T09:00:00.000Z";
  const [part] = BOOK.parts ?? [];
  const [place] = BOOK.places ?? [];
  const [task] = (BOOK.tasks ?? []).filter(({ machine }) => machine === BUS);
  const [bus] = (BOOK.machines ?? []).filter(({ id }) => id === BUS);
  const note = async (section: "parts" | "places" | "machines" | "tasks", before: object) => {
    const id = (before as { id: string }).id;
    const record = { section, id, before, after: { ...before, note: "seen" } };
    await storage.apply({ command: "note", records: [record as never] }, now);
    await page.wake();
  };
  await note("parts", part as object);
  await note("places", place as object);
  await note("machines", bus as object);
  await note("tasks", task as object);
  expect(keeper.made).toEqual([null, null, [], [BUS], []]);
});

test("woken while it is asked, it looks again once, for the day that came last", async () => {
  const { keeper } = await begin();
  const page = pageOf(keeper);
  page.client.wake(TODAY);
  page.client.wake(addDays(TODAY, 1));
  await page.wake(addDays(TODAY, 2));
  expect(page.told).toEqual([`${ALL}`, `${ALL}`]);
  expect(page.state().today).toBe(addDays(TODAY, 2));
});

test("what goes wrong is told in words, also where it could not be stored, and the next time is tried again", async () => {
  const { storage, keeper } = await begin();
  const page = pageOf(keeper);
  keeper.failsWith = new DOMException("inner words", "QuotaExceededError");
  await page.wake();
  keeper.failsWith = null;
  keeper.storesWith = new Error("no room for the board");
  await page.wake();
  keeper.storesWith = null;
  await logOn(storage);
  await page.wake();
  expect(page.told[0]).toMatch(/^failed: the browser has no room left/);
  expect(page.told.slice(1)).toEqual([`${ALL}`, "failed: no room for the board", "1"]);
});

test("shown in parts, the first is handed on before the rest is there", async () => {
  const { keeper } = await begin();
  const page = pageOf(keeper, true);
  await page.wake();
  expect(page.told).toEqual(["4 so far", `${ALL}`]);
});

test.each([
  [0, [0]],
  [4, [4]],
  [5, [4, 1]],
  [8, [4, 4]],
])(
  "an update of %d machines comes in pieces of %j, only the last of which is last",
  (count, sizes) => {
    const update = { today: TODAY, machines: [...Array(count).keys()] };
    const pieces = inPieces(update, 4);
    expect(pieces.map((piece) => piece.update.machines.length)).toEqual(sizes);
    expect(pieces.flatMap((piece) => piece.update.machines)).toEqual(update.machines);
    expect(pieces.map(({ isLast }) => isLast)).toEqual(
      sizes.map((_, at) => at === sizes.length - 1),
    );
  },
);

test("pieces are handed on at the first and at the last, and only at the last once something is shown", () => {
  const seen: string[] = [];
  const pieces = new Pieces<KeptUpdate>(
    ({ machines, isCurrent }) =>
      seen.push(`${machines.length} ${isCurrent ? "current" : "not yet"}`),
    true,
  );
  const piece = (count: number): KeptUpdate => ({
    ...{ seq: 1, today: TODAY, isWhole: true, isCurrent: true },
    machines: Array.from({ length: count }, () => ({ machine: { id: BUS } })),
  });
  for (let round = 0; round < 2; round += 1) {
    pieces.take({ update: piece(2), isLast: false });
    pieces.take({ update: piece(2), isLast: false });
    pieces.take({ update: piece(1), isLast: true });
  }
  expect(seen).toEqual(["2 not yet", "5 current", "5 current"]);
});
