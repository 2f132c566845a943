import { dayOf, machineBookOf, type Machine, type MachineId, type Task } from "@yonderfell/core";
import { BOOK, onTheBoard, TODAY } from "../../../../test/skarrowVale.js";
import { taskSentence } from "../../../words/taskWords.js";
import { turnsOf } from "./turnsOf.js";
import { taskProblemWords } from "./taskFormWords.js";
import { BY_ROUNDS, emptyLimit, measureKey } from "./limitModel.js";
import { modelOf, taskOf, type TaskModel } from "./taskModel.js";

const BUS = onTheBoard("m-bus").machine;
const plain = (text: string): string => text.replaceAll("\u00a0", " ");

/** A task without what the form adds where nothing was said. */
function said(task: Task | null): unknown {
  const kept = Object.entries(task ?? {}).filter(
    ([key, value]: [string, unknown]) =>
      value !== null &&
      !(Array.isArray(value) && value.length === 0) &&
      !(key === "anchor" && value === "done") &&
      !(key === "combine" && value === "first"),
  );
  return Object.fromEntries(kept);
}

test("every task of Skarrow Vale comes out of the form as it went in", () => {
  const tasks = BOOK.tasks ?? [];
  expect(tasks.length).toBeGreaterThan(80);
  for (const task of tasks) {
    const machine = (BOOK.machines ?? []).find(({ id }) => id === task.machine) as Machine;
    const { task: after, problems } = taskOf(modelOf(task, machine), task, machine);
    expect([task.name, problems]).toEqual([task.name, []]);
    expect(said(after)).toEqual(said(task));
  }
});

const NEW: TaskModel = { ...modelOf(null, BUS), name: "Greasing" };
const limited = (patch: object): Partial<TaskModel> => ({
  regimes: [
    { key: "r", name: "handbook", forLife: false, limits: [{ ...emptyLimit("odo"), ...patch }] },
  ],
});

test.each<[string, Partial<TaskModel>, RegExp]>([
  ["no name", { name: " " }, /Say what is done/],
  ["no limit", limited({}), /every how much/],
  ["nothing that is measured", limited({ by: BY_ROUNDS }), /what rounds measure/],
  ["no figure to be due at", limited({ by: BY_ROUNDS }), /at which figure/],
  ["no meter to set wear against", limited({ by: BY_ROUNDS }), /Choose the meter/],
  ["a figure that is none", limited({ every: "often" }), /figure above 0/],
  ["months that are not whole", limited({ by: "months", every: "1.5" }), /whole number/],
  ["milestones that fall", limited({ at: "5000; 1000" }), /must rise/],
  ["two regimes of one name", { regimes: [...NEW.regimes, ...NEW.regimes] }, /one name/],
  [
    "another regime without a reason",
    { ...limited({ every: "5" }), regime: "cautious" },
    /Say why/,
  ],
  ["with no other task", { tie: "nth" }, /goes with/],
  ["after no other task", { tie: "follows" }, /follows/],
  [
    "after so much of nothing",
    { tie: "follows", followsTask: "t-bus-oil", followsAmount: "" },
    /whole number/,
  ],
  ["minutes that are none", { ...limited({ every: "5" }), minutes: "long" }, /Minutes/],
  [
    "a fluid that is not chosen",
    { ...limited({ every: "5" }), uses: [{ key: "u", fluid: "", condition: "", quantity: "" }] },
    /Choose each fluid/,
  ],
])("a task with %s is answered", (_, patch, problem) => {
  const { task, problems } = taskOf({ ...NEW, ...patch }, null, BUS);
  expect(task).toBeNull();
  expect(problems.map(taskProblemWords).join()).toMatch(problem);
});

test("all that is wrong is said at once, each at its field", () => {
  const patch = { ...limited({ every: "often", grace: "some" }), name: "", minutes: "long" };
  expect(taskOf({ ...NEW, ...patch }, null, BUS).problems).toEqual([
    { field: "name", code: "name-missing" },
    { field: "minutes", code: "not-above-0" },
    { field: "regimes.0.limits.0.every", code: "not-above-0" },
    { field: "regimes.0.limits.0.grace", code: "not-above-0" },
  ]);
});

test.each<[object, object]>([
  [{ every: "12 k" }, { meter: "odo", every: 12000 }],
  [{ every: "100 mi" }, { meter: "odo", every: 160.9344 }],
  [
    { every: "5000", at: "1000; 2500" },
    { meter: "odo", at: [1000, 2500], every: 5000 },
  ],
  [
    { by: "months", every: "24", grace: "14", hard: true },
    { months: 24, grace: 14, hard: true },
  ],
  [
    { by: "days", every: "7", products: "mineral, full synthetic" },
    { days: 7, for: ["mineral", "full synthetic"] },
  ],
  [
    { by: BY_ROUNDS, measure: measureKey("cl", "pads"), figure: "2,5", life: "odo", grace: "100" },
    { checklist: "cl", check: "pads", meter: "odo", limit: 2.5, grace: 100 },
  ],
])("a limit typed as %j is kept as %j", (typed, limit) => {
  const { task } = taskOf({ ...NEW, ...limited(typed) }, null, BUS);
  expect(task?.regimes).toEqual({ handbook: [limit] });
});

test.each<[string, string]>([
  ["t-bus-oil", "Every 12 000 km (500 km of grace) or every 12 months, whichever comes first."],
  ["t-bus-air", "With every second Engine oil and filter."],
  ["t-bus-nuts", "Once after each Wheels off, brakes looked over, 50 km later."],
  [
    "t-bus-test",
    "Every 12 months, counted from 3 Apr 2021 (required by law or warranty, no grace). On fixed points, whenever it was last done.",
  ],
])("the rule of %s is read back", (id, words) => {
  const names = new Map((BOOK.tasks ?? []).map((task) => [task.id as string, task.name]));
  const task = (BOOK.tasks ?? []).find((one) => one.id === id) as Task;
  const place = { machine: BUS, nameOf: (other: string) => names.get(other) ?? other };
  expect(plain(taskSentence(task, place))).toBe(words);
});

test.each<[Partial<Task>, string]>([
  [{ regimes: { handbook: [] } }, "For life, it is said: no date."],
  [{ regimes: { handbook: [] }, eachUse: "before" }, "Before each use."],
  [{ regimes: {} }, "Nothing is said of when."],
  [
    { regimes: { handbook: [{ days: 1 }, { days: 2 }] }, combine: "last" },
    "Every 1 day and every 2 days, whichever comes last.",
  ],
])("a task of %j reads: %s", (task, words) => {
  const place = { machine: BUS, nameOf: (id: string) => id };
  expect(plain(taskSentence(task as Task, place))).toBe(words);
});

test("the next turns are those of the form, before anything is saved", () => {
  const book = machineBookOf(BOOK, "m-bus" as MachineId);
  if (book === null) throw new Error("no bus");
  const { task } = taskOf({ ...NEW, ...limited({ by: "months", every: "2" }) }, null, BUS);
  const turns = turnsOf(task as Task, book, BOOK.settings, TODAY);
  expect(turns).toHaveLength(5);
  expect(turns[0]).toBe(TODAY);
  expect(turns[4]).toBe(dayOf("2027-07-23"));
});
