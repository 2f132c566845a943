import { bookOf, task, VAN } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { MachineId, MeterId, TaskId } from "../book/records/ids.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { readBook } from "../book/file/readBook.js";
import { dayOf } from "../calendar/dayNumber.js";
import {
  laddersOf,
  stepsIncluded,
  writeLadder,
  type LadderInput,
  type StepInput,
} from "./ladder.js";

const HRS = "hrs" as MeterId;

function context(): CommandContext {
  let count = 0;
  const next = (): number => (count += 1);
  return { today: dayOf("2026-11-23"), newId: () => `step ${next()}`, nextSeq: next };
}

function digger(tasks: readonly object[] = []): MachineBook {
  const machines = [{ ...VAN, meters: [{ id: "hrs", measure: "hours", unit: "h" }] }];
  const book = machineBookOf(bookOf({ machines, tasks }), "van" as MachineId);
  if (book === null) throw new Error("no van");
  return book;
}

const step = (at: number, name: string, id: string | null = null): StepInput => ({
  id: id as TaskId | null,
  at,
  name,
  minutes: null,
});
const LADDER: LadderInput = {
  name: "hours",
  meter: HRS,
  every: 250,
  steps: [step(1000, "large"), step(250, "small"), step(500, "middle")],
};

function written(book: MachineBook, input: LadderInput, before: string | null = null): MachineBook {
  const result = writeLadder(book, input, before, context());
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  const after = applyChange(book, result.value);
  const whole = readBook(JSON.stringify({ format: "yonderfell-book", version: 2, ...after }));
  expect(whole.ok ? [] : whole.issues).toEqual([]);
  return after;
}

const shape = (book: MachineBook): string[] =>
  (laddersOf(book.tasks).get("hours") ?? []).map(
    ({ task: own, multiple }) => `${own.name} ${multiple} ${own.nth?.of ?? "own"}`,
  );

test("a ladder is its first step by the meter, and each larger one with every n-th turn of it", () => {
  const book = written(digger(), LADDER);
  expect(shape(book)).toEqual(["small 1 own", "middle 2 step 1", "large 4 step 1"]);
  expect(book.tasks.find(({ name }) => name === "small")?.regimes).toEqual({
    handbook: [{ meter: "hrs", every: 250 }],
  });
});

test("writing it anew keeps the tasks, moves the interval, and sets a step free that is left out", () => {
  const book = written(digger(), LADDER);
  const idOf = (name: string): string => book.tasks.find((one) => one.name === name)?.id ?? "";
  const again: LadderInput = {
    ...LADDER,
    every: 200,
    steps: [step(200, "small", idOf("small")), step(800, "large", idOf("large"))],
  };
  const after = written(book, again, "hours");
  expect(shape(after)).toEqual(["small 1 own", "large 4 step 1"]);
  expect(after.tasks).toHaveLength(3);
  expect(after.tasks.find(({ name }) => name === "middle")).toMatchObject({ ladder: null });
});

test("other limits of the first step stay", () => {
  const own = task("t", [{ meter: "hrs", every: 100 }, { months: 12 }], { ladder: "hours" });
  const book = written(digger([own]), { ...LADDER, steps: [step(250, "small", "t")] }, "hours");
  expect(book.tasks[0]?.regimes).toEqual({
    handbook: [{ meter: "hrs", every: 250 }, { months: 12 }],
  });
});

test.each<[Partial<LadderInput>, object]>([
  [{ name: " " }, { code: "name-missing" }],
  [{ every: 0 }, { code: "interval-missing" }],
  [{ every: Number.NaN }, { code: "interval-missing" }],
  [{ steps: [step(500, "middle")] }, { code: "no-first-step", every: 250 }],
  [{ steps: [step(250, "a"), step(300, "b")] }, { code: "not-a-multiple", at: 300, every: 250 }],
  [{ steps: [step(250, "a"), step(500, "")] }, { code: "step-name-missing", at: 500 }],
  [{ steps: [step(250, "a"), step(250, "b")] }, { code: "two-steps-at", at: 250 }],
])("a ladder with %j is refused", (patch, issue) => {
  const result = writeLadder(digger(), { ...LADDER, ...patch }, null, context());
  expect(result.ok ? [] : result.issues).toEqual([issue]);
});

test("a larger step includes the smaller ones whose turn it is as well", () => {
  const { tasks } = written(digger(), { ...LADDER, steps: [...LADDER.steps, step(750, "odd")] });
  const included = (name: string): string[] => {
    const id = tasks.find((one) => one.name === name)?.id as TaskId;
    const ids = stepsIncluded(id, tasks);
    return ids.map((one) => tasks.find((other) => other.id === one)?.name ?? "");
  };
  expect(included("large")).toEqual(["small", "middle"]);
  expect(included("odd")).toEqual(["small"]);
  expect(included("small")).toEqual([]);
  expect(stepsIncluded("none" as TaskId, tasks)).toEqual([]);
});
