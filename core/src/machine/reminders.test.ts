import { bookOf, done, task, VAN } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { EntryId, MachineId, TaskId } from "../book/records/ids.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { settingsOf } from "../book/records/settings.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { correctEntry } from "../ledger/corrections.js";
import { logWork, type LogWorkInput } from "../ledger/logWork.js";
import { reckonMachineBook } from "../board/board.js";
import { noteReminder, reminderStates } from "./reminders.js";

const TODAY = dayOf("2026-11-23");
const OIL = "oil" as TaskId;
const WORK: LogWorkInput = { day: TODAY, tasks: [], figures: [], note: "" };

function context(): CommandContext {
  let count = 100;
  return { today: TODAY, newId: () => `new-${(count += 1)}`, nextSeq: () => (count += 1) };
}

function vanBook(entries: readonly object[]): MachineBook {
  const machines = [{ ...VAN, reminders: [{ code: "SVC", tasks: ["oil", "filter"] }] }];
  const tasks = [task("oil", [{ months: 12 }]), task("filter", [{ months: 24 }])];
  const numbered = entries.map((entry, seq) => ({ ...entry, seq }));
  const book = machineBookOf(bookOf({ machines, tasks, entries: numbered }), "van" as MachineId);
  if (book === null) throw new Error("no van");
  return book;
}

const said = (date: string, fact: string, code = "SVC"): object =>
  done(`${code} ${fact} ${date}`, date, [], { reminders: [{ code, fact }] });

/** Raised, done, each task logged, reset, and whether it is open, in a line. */
function states(entries: readonly object[]): string[] {
  const on = (day: number | null): string =>
    day === null ? "-" : formatDay(day as never).slice(5);
  return reminderStates(vanBook(entries), TODAY).map(
    ({ code, raisedOn, doneOn, tasks, resetOn, isOpen }) =>
      `${code}: ${on(raisedOn)} ${on(doneOn)} ${tasks.map(({ loggedOn }) => on(loggedOn)).join("/")} ${on(resetOn)} ${isOpen ? "open" : "closed"}`,
  );
}

test.each<[string, readonly object[], string[]]>([
  ["never raised", [], ["SVC: - - -/- - closed"]],
  ["raised", [said("2026-11-10", "raised")], ["SVC: 11-10 - -/- - open"]],
  [
    "said to be done, and not logged",
    [said("2026-11-10", "raised"), said("2026-11-12", "done")],
    ["SVC: 11-10 11-12 -/- - open"],
  ],
  [
    "one of its tasks logged",
    [said("2026-11-10", "raised"), done("w", "2026-11-11", ["oil"])],
    ["SVC: 11-10 - 11-11/- - open"],
  ],
  [
    "all logged, and not reset",
    [said("2026-11-10", "raised"), done("w", "2026-11-11", ["oil", "filter"])],
    ["SVC: 11-10 - 11-11/11-11 - open"],
  ],
  [
    "reset without being logged",
    [said("2026-11-10", "raised"), said("2026-11-11", "reset")],
    ["SVC: 11-10 - -/- 11-11 open"],
  ],
  [
    "all of it",
    [
      said("2026-11-10", "raised"),
      done("w", "2026-11-11", ["oil", "filter"]),
      said("2026-11-11", "reset"),
    ],
    ["SVC: 11-10 - 11-11/11-11 11-11 closed"],
  ],
  [
    "raised anew, what came before no longer counts",
    [done("w", "2026-11-09", ["oil"]), said("2026-11-09", "reset"), said("2026-11-10", "raised")],
    ["SVC: 11-10 - -/- - open"],
  ],
  [
    "a code that is not written down is shown all the same",
    [said("2026-11-10", "raised", "E7")],
    ["SVC: - - -/- - closed", "E7: 11-10 -  - open"],
  ],
])("a reminder: %s", (_, entries, expected) => {
  expect(states(entries)).toEqual(expected);
});

test("noting that it was raised makes its tasks due, and a day to come is refused", () => {
  const book = vanBook([done("w", "2026-11-01", ["oil", "filter"])]);
  const result = noteReminder(book, "SVC", "raised", TODAY, context());
  if (!result.ok) throw new Error("refused");
  const after = reckonMachineBook(applyChange(book, result.value), settingsOf({}), TODAY);
  expect(after.tasks.map(({ status }) => status)).toEqual(["due", "due"]);
  const early = noteReminder(book, "SVC", "raised", dayOf("2026-11-24"), context());
  expect(early.ok ? "" : early.issues[0]?.code).toBe("day-in-future");
});

describe("logging a test", () => {
  const test6 = { task: OIL, months: 6 };

  test("is one entry that says so and does not do the task", () => {
    const result = logWork(vanBook([]), { ...WORK, lookAgain: [test6] }, context());
    if (!result.ok) throw new Error("refused");
    expect(result.value.records[0]?.after).toMatchObject({ tasks: [], lookAgain: [test6] });
  });

  test.each<[string, Partial<LogWorkInput>]>([
    ["done-and-tested", { tasks: [OIL], lookAgain: [test6] }],
    ["look-again-missing", { lookAgain: [{ task: OIL }] }],
    ["look-again-missing", { lookAgain: [{ task: OIL, months: 0 }] }],
    ["look-again-missing", { lookAgain: [{ task: OIL, days: 2.5 }] }],
    ["task-not-found", { lookAgain: [{ task: "no" as TaskId, days: 5 }] }],
    ["task-not-found", { wanted: ["no" as TaskId] }],
    ["nothing-done", { lookAgain: [], wanted: [], reminders: [] }],
  ])("is refused: %s", (code, part) => {
    const result = logWork(vanBook([]), { ...WORK, ...part }, context());
    expect(result.ok ? "" : result.issues[0]?.code).toBe(code);
  });

  test("a correction keeps what it does not speak of, and takes away what it says is not", () => {
    const book = vanBook([done("e", "2026-11-20", [], { lookAgain: [test6], wanted: ["filter"] })]);
    const id = "e" as EntryId;
    const corrected = (part: Partial<LogWorkInput>): unknown => {
      const result = correctEntry(book, id, { ...WORK, note: "x", ...part }, context());
      return result.ok ? result.value.records.at(-1)?.after : result.issues;
    };
    expect(corrected({})).toMatchObject({ lookAgain: [test6], wanted: ["filter"] });
    expect(corrected({ lookAgain: [] })).not.toHaveProperty("lookAgain");
    expect(corrected({ lookAgain: [] })).toMatchObject({ wanted: ["filter"] });
  });
});
