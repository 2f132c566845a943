import { bookOf, done, read, task, VAN, type BookParts } from "../../test/books.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { readBook } from "../book/file/readBook.js";
import { reckonBook } from "./reckonBook.js";
import type { TaskReckoning } from "./reckonTask.js";

function reckon(parts: BookParts, id = "t", on = "2026-11-23"): TaskReckoning {
  const book = bookOf(parts);
  const read = readBook(JSON.stringify(book));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const found = reckonBook(read.value, dayOf(on))[0]?.tasks.find((one) => one.task.id === id);
  if (found === undefined) throw new Error(`no task ${id}`);
  return found;
}

/** Each limit in a word, its date or figure, and which governs. */
function told({ limits, governs, status }: TaskReckoning): string {
  const each = limits.map(({ basis, ...limit }) => {
    const due = limit.kind === "calendar" ? limit.dueOn : limit.dueAt;
    const shown = limit.kind === "calendar" && due !== null ? formatDay(limit.dueOn!) : due;
    return `${basis.code} ${shown}`;
  });
  return `${status}: ${each.join(", ")}; ${governs}`;
}

const YEARLY = [{ months: 12 }];
const DONE = done("e", "2025-10-01", ["t"]);
const tested = (date: string, more: object, id = "s"): object =>
  done(id, date, [], { lookAgain: [{ task: "t", ...more }] });

describe("a task tested sound", () => {
  test.each<[string, readonly unknown[], readonly object[], string]>([
    ["without a test it is late", YEARLY, [DONE], "overdue: completed 2026-10-01; 0"],
    [
      "a test moves it so much after the test",
      YEARLY,
      [DONE, tested("2026-10-20", { months: 6 })],
      "clear: tested-sound 2027-04-20; 0",
    ],
    [
      "of several the latest counts",
      YEARLY,
      [DONE, tested("2026-10-20", { days: 10 }), tested("2026-11-01", { days: 60 }, "s2")],
      "clear: tested-sound 2026-12-31; 0",
    ],
    [
      "it ends when the task is done",
      YEARLY,
      [DONE, tested("2026-10-20", { months: 6 }), done("e2", "2026-11-01", ["t"])],
      "clear: completed 2027-11-01; 0",
    ],
    [
      "an entry that does the task and calls it sound has done it",
      YEARLY,
      [DONE, done("e2", "2026-11-01", ["t"], { lookAgain: [{ task: "t", days: 3 }] })],
      "clear: completed 2027-11-01; 0",
    ],
    [
      "it is not an end to what is required by law",
      [{ months: 12, hard: true }, { months: 24 }],
      [DONE, tested("2026-10-20", { months: 6 })],
      "overdue: tested-sound 2027-04-20, completed 2026-10-01; 1",
    ],
    [
      "it may bring a date nearer",
      [{ months: 60 }],
      [DONE, tested("2026-10-20", { days: 30 })],
      "overdue: tested-sound 2026-11-19; 0",
    ],
    [
      "a test to come counts for nothing yet",
      YEARLY,
      [DONE, tested("2026-11-24", { months: 6 })],
      "overdue: completed 2026-10-01; 0",
    ],
  ])("%s", (_, limits, entries, expected) => {
    expect(told(reckon({ tasks: [task("t", limits)], entries }))).toBe(expected);
  });

  test("by a meter it counts from the life at the test", () => {
    const parts = {
      tasks: [task("t", [{ meter: "odo", every: 10000 }])],
      readings: [read("2026-10-01", 9000), read("2026-10-20", 12000), read("2026-11-20", 13000)],
      entries: [tested("2026-10-20", { meter: "odo", amount: 5000 })],
    };
    const found = reckon(parts);
    expect(found.limits[0]).toMatchObject({ from: 12000, dueAt: 17000, status: "clear" });
  });

  test("a date it gives stands also where the history is unknown", () => {
    const machines = [{ ...VAN, history: "unknown" }];
    const unknown = { machines, tasks: [task("t", YEARLY)] };
    expect(reckon(unknown).status).toBe("unknown");
    const found = reckon({ ...unknown, entries: [tested("2026-11-01", { months: 6 })] });
    expect(found).toMatchObject({ status: "clear", governs: 0, doubtful: false });
  });

  test("a task that follows another is not moved by a test from before it was armed, nor once it is finished", () => {
    const tasks = [
      task("wheels", YEARLY),
      { id: "t", machine: "van", name: "nuts", follows: { task: "wheels", days: 2 } },
    ];
    const armed = [tested("2026-11-10", { days: 90 }), done("w", "2026-11-20", ["wheels"])];
    expect(told(reckon({ tasks, entries: armed }))).toBe("overdue: follows-armed 2026-11-22; 0");
    const moved = [...armed, tested("2026-11-21", { days: 90 }, "s2")];
    expect(told(reckon({ tasks, entries: moved }))).toBe("clear: tested-sound 2027-02-19; 0");
    const finished = [
      ...armed,
      done("n", "2026-11-22", ["t"]),
      tested("2026-11-23", { days: 5 }, "s3"),
    ];
    expect(reckon({ tasks, entries: finished }).status).toBe("finished");
  });

  test("what comes with every second turn goes by the other's own limits", () => {
    const tasks = [
      task("t", YEARLY),
      { id: "second", machine: "van", name: "second", nth: { of: "t", every: 2 } },
    ];
    const entries = [DONE];
    const before = told(reckon({ tasks, entries }, "second"));
    const after = told(
      reckon({ tasks, entries: [DONE, tested("2026-11-01", { months: 6 })] }, "second"),
    );
    expect(after).toBe(before);
  });
});

describe("a task wanted at once", () => {
  const machines = [{ ...VAN, reminders: [{ code: "SVC", tasks: ["t"] }] }];
  const raised = (date: string, id = "raise"): object =>
    done(id, date, [], { reminders: [{ code: "SVC", fact: "raised" }] });
  const FRESH = done("e", "2026-11-01", ["t"]);

  test.each<[string, readonly object[], string]>([
    [
      "a raised code makes it due at once",
      [FRESH, raised("2026-11-22")],
      "due: completed 2027-11-01, wanted 2026-11-22; 1",
    ],
    [
      "and late once the window of due has passed",
      [FRESH, raised("2026-11-10")],
      "overdue: completed 2027-11-01, wanted 2026-11-10; 1",
    ],
    [
      "doing it ends the call, on the same day and by the same entry too",
      [done("e2", "2026-11-22", ["t"], { reminders: [{ code: "SVC", fact: "raised" }] })],
      "clear: completed 2027-11-22; 0",
    ],
    [
      "testing it sound ends the call",
      [FRESH, raised("2026-11-20"), tested("2026-11-21", { months: 3 })],
      "clear: tested-sound 2027-02-21; 0",
    ],
    [
      "a code raised anew after the test calls again",
      [FRESH, tested("2026-11-20", { months: 3 }), raised("2026-11-21")],
      "due: tested-sound 2027-02-20, wanted 2026-11-21; 1",
    ],
    [
      "being told as done or reset is not doing it",
      [
        FRESH,
        raised("2026-11-20"),
        done("r", "2026-11-21", [], {
          reminders: [
            { code: "SVC", fact: "done" },
            { code: "SVC", fact: "reset" },
          ],
        }),
      ],
      "due: completed 2027-11-01, wanted 2026-11-20; 1",
    ],
    [
      "a code the machine does not have asks for nothing",
      [FRESH, done("x", "2026-11-20", [], { reminders: [{ code: "OTHER", fact: "raised" }] })],
      "clear: completed 2027-11-01; 0",
    ],
    [
      "a person can want it as well",
      [FRESH, done("w", "2026-11-23", [], { wanted: ["t"] })],
      "due: completed 2027-11-01, wanted 2026-11-23; 1",
    ],
  ])("%s", (_, entries, expected) => {
    expect(told(reckon({ machines, tasks: [task("t", YEARLY)], entries }))).toBe(expected);
  });

  test("a limit that is worse still governs, and combining by the last does not hide the call", () => {
    const late = { machines, tasks: [task("t", YEARLY)] };
    const old = done("e", "2024-01-01", ["t"]);
    expect(reckon({ ...late, entries: [old, raised("2026-11-22")] }).governs).toBe(0);
    const last = task("t", [{ months: 12 }, { months: 24 }], { combine: "last" });
    const found = reckon({ machines, tasks: [last], entries: [FRESH, raised("2026-11-22")] });
    expect([found.status, found.governs]).toEqual(["due", 2]);
  });

  test("what is finished or unknown is called for all the same", () => {
    const unknown = [{ ...VAN, history: "unknown", reminders: [{ code: "SVC", tasks: ["t"] }] }];
    const found = reckon({
      machines: unknown,
      tasks: [task("t", YEARLY)],
      entries: [raised("2026-11-22")],
    });
    expect([found.status, found.governs]).toEqual(["due", 1]);
  });
});

describe("limits for some products only", () => {
  const fluid = (product: string | null): object => ({
    fluids: [{ id: "f", machine: "van", system: "engine", kind: "engine oil", product }],
    products: [
      { id: "mineral", name: "Plain", kind: "engine oil", base: "mineral" },
      { id: "full", name: "Fine", kind: "engine oil", base: "full synthetic" },
      { id: "bare", name: "Bare", kind: "engine oil" },
    ],
  });
  const limits = [
    { months: 6, for: ["mineral"] },
    { months: 12, for: ["part synthetic", "full synthetic"] },
    { months: 24 },
  ];
  const uses = { uses: [{ fluid: "f" }] };

  test.each<[string | null, object, string]>([
    ["mineral", uses, "2027-05-01, 2028-11-01"],
    ["full", uses, "2027-11-01, 2028-11-01"],
    ["bare", uses, "2027-05-01, 2027-11-01, 2028-11-01"],
    [null, uses, "2027-05-01, 2027-11-01, 2028-11-01"],
    ["full", {}, "2027-05-01, 2027-11-01, 2028-11-01"],
  ])("with %s in it, and a task that uses %j, these hold: %s", (product, more, dates) => {
    const parts = {
      ...fluid(product),
      tasks: [task("t", limits, more)],
      entries: [done("e", "2026-11-01", ["t"])],
    };
    const due = reckon(parts).limits.map((limit) =>
      limit.kind === "calendar" ? formatDay(limit.dueOn!) : "",
    );
    expect(due.join(", ")).toBe(dates);
  });
});

test.each<[object, string]>([
  [{ eachUse: "before", regimes: { handbook: [] } }, "clear"],
  [{ regimes: { handbook: [], cautious: YEARLY } }, "unknown"],
])("a task of %j without limits in force is %s", (more, status) => {
  const found = reckon({ tasks: [{ ...task("t", []), ...more }] });
  expect([found.status, found.governs, found.regime]).toEqual([status, null, "handbook"]);
});

test.each<[BookParts, string]>([
  [{ entries: [done("e", "2026-01-01", [], { wanted: ["nothing"] })] }, "entries.0.wanted.0"],
  [
    { entries: [done("e", "2026-01-01", [], { lookAgain: [{ task: "no", days: 3 }] })] },
    "entries.0.lookAgain.0.task",
  ],
  [{ entries: [tested("2026-01-01", {})] }, "entries.0.lookAgain.0"],
  [{ entries: [tested("2026-01-01", { days: 3, months: 3 })] }, "entries.0.lookAgain.0"],
  [{ entries: [tested("2026-01-01", { meter: "odo" })] }, "entries.0.lookAgain.0"],
  [{ entries: [tested("2026-01-01", { meter: "hrs", amount: 5 })] }, "entries.0.lookAgain.0.meter"],
  [
    { machines: [{ ...VAN, reminders: [{ code: "A", tasks: ["no"] }] }] },
    "machines.0.reminders.0.tasks.0",
  ],
  [{ tasks: [task("t", YEARLY, { uses: [{ fluid: "no" }] })] }, "tasks.0.uses.0.fluid"],
])("a book with %j is refused at %s", (parts, path) => {
  const result = readBook(JSON.stringify(bookOf({ tasks: [task("t", YEARLY)], ...parts })));
  expect(!result.ok && result.issues.map((issue) => issue.path.join("."))).toEqual([path]);
});
