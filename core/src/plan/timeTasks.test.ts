import { applyChange } from "../book/change/change.js";
import type { Task } from "../book/records/task.js";
import { timeTasks, untimedTasks } from "./timeTasks.js";
import { changeOf } from "../../test/changeOf.js";
import { bookOf, task } from "../../test/books.js";

const named = (id: string, name: string, more: object = {}): Task =>
  task(id, [{ months: 12 }], { name, ...more }) as unknown as Task;

const TASKS = [
  named("a", "Air filter"),
  named("b", "Oil & filter"),
  named("c", "oil & filter "),
  named("d", "Oil & filter", { minutes: 40 }),
  named("e", "Test", { outside: { because: "licensed" } }),
  named("f", "Belt", { minutes: 0 }),
];

test("tasks without minutes stand by their name, the most frequent first", () => {
  const found = untimedTasks(TASKS);
  expect(found.map(({ name, tasks }) => [name, tasks.map(({ id }) => id)])).toEqual([
    ["Oil & filter", ["b", "c"]],
    ["Air filter", ["a"]],
  ]);
});

test("minutes said by name go to all tasks of that name that have none", () => {
  const keyed = (minutes: (name: string) => number): ReadonlyMap<string, number> =>
    new Map(untimedTasks(TASKS).map(({ key, name }) => [key, minutes(name)]));
  const change = changeOf(
    timeTasks(
      TASKS,
      keyed((name) => (name.startsWith("Air") ? 15 : 30)),
    ),
  );
  const after = applyChange(bookOf({ tasks: TASKS }), change);
  expect(after.tasks?.map(({ minutes }) => minutes)).toEqual([15, 30, 30, 40, undefined, 0]);
  const refused = { ok: false, issues: [{ code: "nothing-to-time" }] };
  for (const minutes of [0, -5, Number.NaN, Infinity]) {
    expect(
      timeTasks(
        TASKS,
        keyed(() => minutes),
      ),
    ).toEqual(refused);
  }
  expect(timeTasks(TASKS, new Map())).toEqual(refused);
});
