import {
  acceptVisits,
  addDays,
  BOOK_NEEDS,
  DEFAULT_PLANNING,
  changeSettings,
  logWork,
  VISIT_NEEDS,
  type DayNumber,
  type MachineId,
  type TaskId,
} from "@yonderfell/core";
import { refreshed } from "../../test/refreshed.js";
import { seededRandom } from "@yonderfell/demo/random";
import { BOOK, countingSurroundings, TODAY } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../../test/memoryStorage.js";
import { keptState, type KeptState } from "./kept/keptState.js";
import { VisitKeeper, type PlannedMachine, type VisitsUpdate } from "./visitKeeper.js";

const VISITS = keptState<VisitsUpdate>("visits", "unwanted", {
  planning: DEFAULT_PLANNING,
  weekHours: [],
});

const byId = (machines: readonly PlannedMachine[]): PlannedMachine[] =>
  [...machines].sort((one, other) => (one.machine.id < other.machine.id ? -1 : 1));

async function fromScratch(storage: MemoryStorage, today: DayNumber): Promise<PlannedMachine[]> {
  const update = await refreshed(new VisitKeeper(storage), today);
  return byId(update?.machines ?? []);
}

type Random = () => number;
const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)] as T;

async function changeSomething(
  storage: MemoryStorage,
  random: Random,
  round: number,
): Promise<void> {
  const machine: MachineId = pick(random, BOOK.machines ?? []).id;
  const around = countingSurroundings(`round-${round}`);
  const own = (BOOK.tasks ?? []).filter((task) => task.machine === machine);
  const task: TaskId = pick(random, own).id;
  const kind = Math.floor(random() * 4);
  if (kind === 0) {
    const work = { day: addDays(TODAY, -1), tasks: [task], figures: [], note: "seeded" };
    await storage.perform(
      machine,
      BOOK_NEEDS,
      (book, context) => logWork(book, work, context),
      around,
    );
  } else if (kind === 1) {
    const day = addDays(TODAY, Math.floor(random() * 90));
    await storage.perform(
      machine,
      VISIT_NEEDS,
      (slice, { today, newId }) =>
        acceptVisits(slice, [{ day, tasks: [task] }], { today, newId, since: null }),
      around,
    );
  } else if (kind === 2) {
    const planning = { visitCost: Math.floor(random() * 80) };
    const change = changeSettings(await storage.ownSettings(), { planning });
    if (change.ok) await storage.apply(change.value, around.now, true);
  } else {
    await storage.takeBack(1 + Math.floor(random() * (await storage.lastSeq())), around.now);
  }
}

test.each([1, 2])("the visits kept current are the visits from scratch, seed %i", async (seed) => {
  const random = seededRandom(seed);
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  const keeper = new VisitKeeper(storage);
  let state: KeptState<VisitsUpdate> | undefined;
  let today = TODAY;
  for (let round = 0; round < 25; round += 1) {
    if (random() < 0.1) today = addDays(today, 1);
    if (round > 0) await changeSomething(storage, random, round);
    const update = await refreshed(keeper, today);
    if (update !== null) state = VISITS.reducer(state, VISITS.updated(update));
    expect(byId(state?.machines ?? [])).toEqual(await fromScratch(storage, today));
  }
});

test("a change of one machine plans that one only; a change of what all share plans all", async () => {
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  const keeper = new VisitKeeper(storage);
  expect((await refreshed(keeper, TODAY))?.machines).toHaveLength(BOOK.machines?.length ?? 0);
  expect(await refreshed(keeper, TODAY)).toBeNull();
  const around = countingSurroundings();
  const work = { day: TODAY, tasks: ["t-bus-oil" as TaskId], figures: [], note: "" };
  const bus = "m-bus" as MachineId;
  await storage.perform(bus, BOOK_NEEDS, (book, context) => logWork(book, work, context), around);
  expect((await refreshed(keeper, TODAY))?.machines.map(({ machine }) => machine.id)).toEqual([
    bus,
  ]);
  const change = changeSettings(await storage.ownSettings(), { leadDays: 12 });
  if (change.ok) await storage.apply(change.value, around.now, true);
  expect((await refreshed(keeper, TODAY))?.isWhole).toBe(true);
});
