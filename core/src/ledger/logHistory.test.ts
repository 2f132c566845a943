import { bookOf, done, read, task, VAN, type BookParts } from "../../test/books.js";
import { reckonMachineBook } from "../board/board.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import { readBookData } from "../book/file/readBook.js";
import type { MachineId, TaskId } from "../book/records/ids.js";
import { settingsOf } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { followUpsOwed } from "./followUps.js";
import { logWork, mayHoldUntil, type LogWorkInput } from "./logWork.js";

const TODAY = dayOf("2026-11-23");

function context(): CommandContext {
  let count = 100;
  return { today: TODAY, newId: () => `new-${(count += 1)}`, nextSeq: () => (count += 1) };
}

function vanBook(parts: BookParts): MachineBook {
  const read = readBookData(bookOf(parts));
  const book = read.ok ? machineBookOf(read.value, "van" as MachineId) : null;
  if (book === null) throw new Error("no van");
  return book;
}

/** The van after work, and the entries it left. */
function logged(book: MachineBook, input: Partial<LogWorkInput>) {
  const whole = { day: TODAY, tasks: [], figures: [], note: "", ...input };
  const result = logWork(book, whole, context());
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  const after = applyChange(book, result.value);
  const [entry] = result.value.records.filter(({ section }) => section === "entries");
  const owed = followUpsOwed(book, result.value, (entry?.id ?? "") as never, TODAY);
  const machine = reckonMachineBook(after, settingsOf({}), TODAY);
  const statusOf = (id: string): unknown => machine.tasks.find((one) => one.task.id === id)?.status;
  const entries = result.value.records.flatMap(({ section, after: one }) =>
    section === "entries" ? [one] : [],
  );
  return { owed, entries, statusOf, after, machine };
}

const WHEELS = "wheels" as TaskId;
const wheels = task("wheels", [{ months: 12 }]);
const nuts = task("nuts", [], {
  regimes: null,
  follows: { task: "wheels", meter: "odo", amount: 50 },
});
const level = task("level", [], { regimes: null, follows: { task: "wheels", days: 3 } });
const readings = [read("2026-01-01", 10000), read("2026-07-01", 19050), read("2026-11-23", 26300)];

test("follow-ups of work entered as history are owed unless they were done with it: then a separate entry takes them as done", () => {
  const book = vanBook({ tasks: [wheels, nuts, level], readings });
  const day = dayOf("2026-03-10");
  const still = logged(book, { day, tasks: [WHEELS] });
  expect(still.owed.map(({ task: id, day: on }) => [id, formatDay(on)])).toEqual([
    ["nuts", "2026-03-11"],
    ["level", "2026-03-13"],
  ]);
  expect([still.statusOf("nuts"), still.statusOf("level")]).toEqual(["overdue", "overdue"]);
  const both = logged(book, { day, tasks: [WHEELS], followUpsDone: true });
  expect([both.statusOf("nuts"), both.statusOf("level")]).toEqual(["finished", "finished"]);
  expect(both.entries).toMatchObject([
    { date: "2026-03-10", tasks: ["wheels"] },
    { date: "2026-03-11", tasks: ["nuts"], assumed: true, meters: {} },
    { date: "2026-03-13", tasks: ["level"], assumed: true },
  ]);
});

test("where only half the span is through it counts from then; where not even half is, nothing can have been done", () => {
  const book = vanBook({ tasks: [wheels, level], readings });
  const half = logged(book, { day: dayOf("2026-11-21"), tasks: [WHEELS], followUpsDone: true });
  expect(half.entries[1]).toMatchObject({ date: "2026-11-23", tasks: ["level"] });
  expect(half.statusOf("level")).toBe("finished");
  const fresh = logged(book, { day: dayOf("2026-11-22"), tasks: [WHEELS], followUpsDone: true });
  expect([fresh.owed, fresh.entries.length]).toEqual([[], 1]);
});

test("nothing is asked of work of today, nor of work that was done again since", () => {
  const book = vanBook({
    tasks: [wheels, nuts, level],
    readings,
    entries: [done("e", "2026-11-20", ["wheels"], { seq: 1 })],
  });
  expect(logged(book, { tasks: [WHEELS] }).owed).toEqual([]);
  expect(logged(book, { day: dayOf("2026-03-10"), tasks: [WHEELS] }).owed).toEqual([]);
});

const mot = task("test", [{ months: 12, hard: true }], { anchor: "grid" });
const machines = [{ ...VAN, inService: null }];

test("a test on fixed dates that nothing else fixes is counted from the first time it was done", () => {
  const book = vanBook({ machines, tasks: [mot] });
  const { machine } = logged(book, { day: dayOf("2026-03-10"), tasks: ["test" as TaskId] });
  const [limit] = machine.tasks[0]?.limits ?? [];
  expect(limit?.kind === "calendar" && limit.dueOn && formatDay(limit.dueOn)).toBe("2027-03-10");
  expect(limit?.basis).toMatchObject({ code: "grid", first: { day: dayOf("2026-03-10") } });
});

test("until when papers say it is valid fixes its dates, in every regime", () => {
  const book = vanBook({ machines, tasks: [mot] });
  const until = { task: "test" as TaskId, day: dayOf("2027-04-30") };
  const input = { day: dayOf("2026-04-02"), tasks: ["test" as TaskId], validUntil: [until] };
  const { machine, after } = logged(book, input);
  const [limit] = machine.tasks[0]?.limits ?? [];
  expect(limit?.kind === "calendar" && limit.dueOn && formatDay(limit.dueOn)).toBe("2027-04-30");
  expect(after.tasks[0]?.regimes).toEqual({
    handbook: [{ months: 12, hard: true, from: "2027-04-30" }],
  });
  expect(after.tasks.map(mayHoldUntil)).toEqual([true]);
  expect(mayHoldUntil(wheels as unknown as Task)).toBe(false);
});

test("papers that end before they begin are refused", () => {
  const book = vanBook({ machines, tasks: [mot] });
  const validUntil = [{ task: "test" as TaskId, day: TODAY }];
  const input = { day: TODAY, tasks: ["test" as TaskId], figures: [], note: "", validUntil };
  expect(logWork(book, input, context())).toEqual({
    ok: false,
    issues: [{ code: "valid-until-early", task: "test" }],
  });
});
