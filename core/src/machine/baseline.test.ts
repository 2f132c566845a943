import { bookOf, done, read, task, VAN } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { MachineId, MeterId, TaskId } from "../book/records/ids.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { readBook } from "../book/file/readBook.js";
import { settingsOf } from "../book/records/settings.js";
import { dayOf } from "../calendar/dayNumber.js";
import { reckonMachineBook } from "../board/board.js";
import {
  baselineTasks,
  decideBaseline,
  finishBaseline,
  tasksWithoutStart,
  type BaselineDecision,
} from "./baseline.js";

const TODAY = dayOf("2026-11-23");

function context(): CommandContext {
  let count = 100;
  const next = (): number => (count += 1);
  return { today: TODAY, newId: () => `new-${next()}`, nextSeq: next };
}

function vanBook(entries: readonly object[] = []): MachineBook {
  const book = machineBookOf(
    bookOf({
      machines: [{ ...VAN, history: "unknown" }],
      readings: [read("2026-11-20", 80000, { seq: 1 })],
      tasks: [
        task("oil", [{ meter: "odo", every: 10000 }, { months: 12 }]),
        task("life", []),
        { id: "nuts", machine: "van", name: "nuts", follows: { task: "oil", days: 2 } },
        { id: "air", machine: "van", name: "air", nth: { of: "oil", every: 2 } },
      ],
      entries: entries.map((entry, index) => ({ ...entry, seq: index + 2 })),
    }),
    "van" as MachineId,
  );
  if (book === null) throw new Error("no van");
  return book;
}

function decided(book: MachineBook, id: string, decision: BaselineDecision): MachineBook {
  const result = decideBaseline(book, [id as TaskId], decision, context());
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  const after = applyChange(book, result.value);
  const whole = readBook(JSON.stringify({ format: "yonderfell-book", version: 2, ...after }));
  expect(whole.ok ? [] : whole.issues).toEqual([]);
  return after;
}

const answers = (book: MachineBook): string[] =>
  baselineTasks(book, TODAY).map(({ task: one, answer }) => `${one.id} ${answer.code}`);
const statusOf = (book: MachineBook, id: string): string | undefined =>
  reckonMachineBook(book, settingsOf({}), TODAY).tasks.find((one) => one.task.id === id)?.status;

test("only what counts from a time before needs a starting point, and nothing is overdue for want of one", () => {
  const book = vanBook();
  expect(answers(book)).toEqual(["oil open", "air open"]);
  expect(statusOf(book, "oil")).toBe("unknown");
});

test.each<[BaselineDecision, string, string]>([
  [{ code: "do-now" }, "do-now", "due"],
  [{ code: "done", day: dayOf("2025-10-01"), figures: [], note: "receipt" }, "done", "overdue"],
  [{ code: "judged-sound", figures: [], note: "clear" }, "judged-sound", "clear"],
  [{ code: "leave-unknown" }, "left-unknown", "unknown"],
])("decided by %j a task is %s, and then %s", (decision, code, status) => {
  const book = decided(vanBook(), "oil", decision);
  expect(answers(book)).toEqual([`oil ${code}`, "air open"]);
  expect(statusOf(book, "oil")).toBe(status);
  expect(book.machines[0].baseline?.begun).toBe("2026-11-23");
});

test("judged sound is assumed, on the figure reckoned for the day", () => {
  const figures = [{ meter: "odo" as MeterId, value: 80100, estimated: true, answer: null }];
  const book = decided(vanBook(), "oil", { code: "judged-sound", figures, note: "" });
  expect(book.entries[0]).toMatchObject({
    assumed: true,
    tasks: ["oil"],
    meters: { odo: 80100 },
    estimatedMeters: ["odo"],
  });
});

test("what was left unknown can be decided later, and what is wanted ends when it is done", () => {
  const left = decided(vanBook(), "oil", { code: "leave-unknown" });
  const wanted = decided(left, "oil", { code: "do-now" });
  expect(wanted.machines[0].baseline?.left).toEqual([]);
  expect(answers(vanBook([done("w", "2026-11-01", [], { wanted: ["oil"] })]))[0]).toBe(
    "oil do-now",
  );
  const both = [done("w", "2026-11-01", [], { wanted: ["oil"] }), done("e", "2026-11-02", ["oil"])];
  expect(answers(vanBook(both))[0]).toBe("oil done");
});

test("a day to come and a task that is not the machine's are refused", () => {
  const refusal = (id: string, decision: BaselineDecision): string | undefined => {
    const result = decideBaseline(vanBook(), [id as TaskId], decision, context());
    return result.ok ? undefined : result.issues[0]?.code;
  };
  const later = dayOf("2026-12-01");
  expect(refusal("oil", { code: "done", day: later, figures: [], note: "" })).toBe("day-in-future");
  expect(refusal("no", { code: "do-now" })).toBe("task-not-found");
});

test("it is finished when somebody says so, once", () => {
  const result = finishBaseline(vanBook(), context());
  if (!result.ok) throw new Error("refused");
  const after = applyChange(vanBook(), result.value);
  expect(after.machines[0].baseline).toEqual({ begun: "2026-11-23", finished: "2026-11-23" });
  const again = finishBaseline(after, context());
  expect(again.ok && again.value.records).toEqual([]);
});

test("several tasks of one date are decided together, by one entry", () => {
  const both = ["oil", "air"] as unknown as TaskId[];
  const decision = {
    code: "done",
    day: dayOf("2026-10-01"),
    figures: [],
    note: "receipt",
  } as const;
  const result = decideBaseline(vanBook(), both, decision, context());
  if (!result.ok) throw new Error("refused");
  const after = applyChange(vanBook(), result.value);
  expect(answers(after)).toEqual(["oil done", "air done"]);
  expect(after.entries.map(({ tasks }) => tasks)).toEqual([both]);
});

test("what is not due yet counts from when the machine was new", () => {
  const book = decided(vanBook(), "oil", { code: "from-new", note: "" });
  expect(answers(book)[0]).toBe("oil from-new");
  expect(book.entries[0]).toMatchObject({
    ...{ date: "2020-01-01", assumed: true, tasks: ["oil"] },
    ...{ meters: { odo: 0 }, estimatedMeters: ["odo"] },
  });
  const [machine] = vanBook().machines;
  const without = { ...vanBook(), machines: [{ ...machine, inService: null }] } as MachineBook;
  const decision = { code: "from-new", note: "" } as const;
  const refused = decideBaseline(without, ["oil" as TaskId], decision, context());
  expect(refused).toEqual({ ok: false, issues: [{ code: "in-service-missing" }] });
});

test("tasks that a machine of known history is past the first turn of, and that were never logged, lack a start", () => {
  const [machine] = vanBook().machines;
  const known = { ...vanBook(), machines: [{ ...machine, history: "known" }] } as MachineBook;
  const names = (book: MachineBook): string[] => tasksWithoutStart(book, TODAY).map(({ id }) => id);
  expect(names(known)).toEqual(["oil", "air"]);
  expect(names(vanBook())).toEqual([]);
  // Read but once, today, and without the day it went into service.
  const readings = [read("2026-11-23", 80000, { seq: 1 })] as unknown as MachineBook["readings"];
  const bought = { ...machine, history: "known", inService: null };
  expect(names({ ...known, machines: [bought], readings } as MachineBook)).toEqual(["oil", "air"]);
  const logged = [done("e", "2026-11-02", ["oil", "air"])] as unknown as MachineBook["entries"];
  expect(names({ ...known, entries: logged })).toEqual([]);
});

test("what follows work of a record is taken as done with it where that is said", () => {
  const day = dayOf("2026-10-01");
  const done = { code: "done", day, figures: [], note: "receipt" } as const;
  const nuts = (decision: BaselineDecision): string | undefined =>
    statusOf(decided(vanBook(), "oil", decision), "nuts");
  expect(nuts(done)).toBe("overdue");
  expect(nuts({ ...done, followUpsDone: true })).toBe("finished");
});

test("what was tested sound is looked at again; what is to be done now says why, and doing it ends both", () => {
  const sound = decided(vanBook(), "oil", { code: "look-again", months: 6, note: "clear" });
  expect(answers(sound)).toContain("oil look-again");
  expect(sound.entries.at(-1)).toMatchObject({
    lookAgain: [{ task: "oil", months: 6, found: "clear" }],
  });
  expect(statusOf(sound, "oil")).toBe("clear");
  const now = decided(sound, "oil", { code: "do-now", note: "flush: milky" });
  expect(answers(now)).toContain("oil do-now");
  expect(now.entries.at(-1)).toMatchObject({ wanted: ["oil"], note: "flush: milky" });
  expect(statusOf(now, "oil")).toBe("due");
});
