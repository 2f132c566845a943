import { everyInterval } from "../limit/limit.js";
import { bookOf, done, read, task, VAN, type BookParts } from "../../test/books.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import type { LimitReckoning } from "./limitReckoning.js";
import { reckonBook } from "./reckonBook.js";
import type { TaskReckoning } from "./reckonTask.js";

/** A task of the van as reckoned on a day. */
function reckon(parts: BookParts, id = "t", on = "2026-11-23"): TaskReckoning {
  const machine = reckonBook(bookOf(parts), dayOf(on))[0];
  const found = machine?.tasks.find((candidate) => candidate.task.id === id);
  if (found === undefined) throw new Error(`no task ${id}`);
  return found;
}

/** Where a limit counts from and is due, as a person would write it. */
function fromAndDue(limit: LimitReckoning | undefined): string {
  if (limit === undefined) return "no limit";
  if (limit.kind === "meter") return `${limit.from} → ${limit.dueAt}`;
  const words = [limit.from, limit.dueOn].map((day) => (day === null ? "null" : formatDay(day)));
  return words.join(" → ");
}

const at = (life: number): readonly object[] => [read("2026-11-20", life)];
const doneAt = (life: number, date = "2026-06-01"): readonly object[] => [
  done("e", date, ["t"], { meters: { odo: life } }),
];

describe("meter limits", () => {
  const ladder = { meter: "odo", at: [1000, 5000], every: 10000 };
  test.each([
    ["never done: the first point, from 0", ladder, "done", [], "0 → 1000"],
    ["never done, on the grid: the same", ladder, "grid", [], "0 → 1000"],
    [
      "done early, near the first milestone: the second is next",
      ladder,
      "done",
      doneAt(800),
      "800 → 5000",
    ],
    [
      "done too early for it: the first is still to come",
      ladder,
      "done",
      doneAt(740),
      "740 → 1000",
    ],
    ["done just near enough, a quarter of the step", ladder, "done", doneAt(750), "750 → 5000"],
    [
      "past the milestones: so much after it was done",
      ladder,
      "done",
      doneAt(6200),
      "6200 → 16200",
    ],
    [
      "near the last milestone: so much after it was done",
      ladder,
      "done",
      doneAt(4100),
      "4100 → 14100",
    ],
    [
      "past the milestones, on the grid: the next point of it",
      ladder,
      "grid",
      doneAt(6200),
      "5000 → 15000",
    ],
    [
      "late on the grid: the point passed over is not made up for",
      ladder,
      "grid",
      doneAt(19000),
      "15000 → 25000",
    ],
    [
      "late and near the next point of the grid: that one counts as done",
      ladder,
      "grid",
      doneAt(13000),
      "15000 → 25000",
    ],
    [
      "no milestones, on the grid: multiples",
      { meter: "odo", every: 10000 },
      "grid",
      doneAt(7400),
      "0 → 10000",
    ],
    [
      "no milestones, near the first multiple",
      { meter: "odo", every: 10000 },
      "grid",
      doneAt(7500),
      "10000 → 20000",
    ],
    [
      "no milestones, from when it was done",
      { meter: "odo", every: 10000 },
      "done",
      doneAt(7400),
      "7400 → 17400",
    ],
    ["exactly on a point", { meter: "odo", every: 10000 }, "grid", doneAt(20000), "20000 → 30000"],
  ] as const)("%s", (_, limit, anchor, entries, expected) => {
    const parts = {
      tasks: [task("t", [limit], { anchor })],
      readings: at(60000),
      entries,
    } as BookParts;
    expect(fromAndDue(reckon(parts).limits[0])).toBe(expected);
  });

  test("once-only milestones are finished after the last", () => {
    const parts = {
      tasks: [task("t", [{ meter: "odo", at: [1000] }])],
      readings: at(9000),
      entries: doneAt(900),
    };
    expect(reckon(parts as BookParts)).toMatchObject({ status: "finished", governs: null });
  });

  test("decimal steps do not miss their own grid point", () => {
    const parts = {
      tasks: [task("t", [{ meter: "odo", every: 0.1 }], { anchor: "grid" })],
      readings: at(5),
      entries: doneAt(0.3),
    };
    const [limit] = reckon(parts).limits;
    expect(limit?.kind === "meter" ? limit.dueAt : null).toBeCloseTo(0.4, 9);
  });

  test("a completion from before anything was read has no life, and the limit is unknown", () => {
    const entries = [done("e", "2026-01-01", ["t"])];
    const parts = {
      tasks: [task("t", [{ meter: "odo", every: 1000 }])],
      readings: at(5000),
      entries,
    };
    const found = reckon(parts);
    expect(found).toMatchObject({ status: "unknown", doubtful: true });
    expect(found.limits[0]).toMatchObject({ from: null, dueAt: null, status: "unknown" });
  });

  test("a completion without a figure has the life between the readings around it", () => {
    const readings = [read("2026-01-01", 1000), read("2026-01-11", 2000), read("2026-11-20", 9000)];
    const parts = {
      tasks: [task("t", [{ meter: "odo", every: 10000 }])],
      readings,
      entries: [done("e", "2026-01-04", ["t"])],
    };
    expect(fromAndDue(reckon(parts).limits[0])).toBe("1300 → 11300");
  });

  test("a completion's own figure is not believed where it is out of line", () => {
    const readings = [read("2026-01-01", 1000), read("2026-01-11", 2000), read("2026-11-20", 9000)];
    const entries = [done("e", "2026-01-06", ["t"], { meters: { odo: 700 } })];
    const parts = { tasks: [task("t", [{ meter: "odo", every: 10000 }])], readings, entries };
    expect(fromAndDue(reckon(parts).limits[0])).toBe("1500 → 11500");
  });

  test("without any reading what is due is known, what is left is not", () => {
    const [limit] = reckon({ tasks: [task("t", [{ meter: "odo", every: 1000 }])] }).limits;
    expect(limit).toMatchObject({
      from: 0,
      dueAt: 1000,
      dialAt: 1000,
      remaining: null,
      status: "unknown",
    });
  });
});

describe("calendar limits", () => {
  const yearly = { months: 12, from: "2021-04-03" };
  const entry = (date: string): readonly object[] => [done("e", date, ["t"])];
  test.each([
    [
      "never done: an interval after the day in service",
      { months: 12 },
      "done",
      [],
      "2020-01-01 → 2021-01-01",
    ],
    [
      "done: an interval after it",
      { months: 6 },
      "done",
      entry("2026-08-31"),
      "2026-08-31 → 2027-02-28",
    ],
    ["done: days are days", { days: 90 }, "done", entry("2026-11-01"), "2026-11-01 → 2027-01-30"],
    [
      "grid, never done: the first point not before its beginning",
      yearly,
      "grid",
      [],
      "2020-01-01 → 2021-04-03",
    ],
    [
      "grid: late does not move the date",
      yearly,
      "grid",
      entry("2026-06-20"),
      "2026-04-03 → 2027-04-03",
    ],
    [
      "grid: early within a quarter counts for the one to come",
      yearly,
      "grid",
      entry("2026-02-10"),
      "2026-04-03 → 2027-04-03",
    ],
    [
      "grid: earlier than that counts for the one before",
      yearly,
      "grid",
      entry("2025-12-20"),
      "2025-04-03 → 2026-04-03",
    ],
    [
      "grid: done long before its beginning",
      yearly,
      "grid",
      entry("2019-12-01"),
      "2019-04-03 → 2021-04-03",
    ],
    [
      "grid counts months from its origin, not from a shortened month",
      { months: 1, from: "2026-01-31" },
      "grid",
      entry("2026-02-28"),
      "2026-02-28 → 2026-03-31",
    ],
  ] as const)("%s", (_, limit, anchor, entries, expected) => {
    const parts = { tasks: [task("t", [limit], { anchor })], entries } as BookParts;
    expect(fromAndDue(reckon(parts).limits[0])).toBe(expected);
  });

  test("without a day in service there is nothing to count from", () => {
    const machines = [{ ...VAN, inService: null }];
    const parts = { machines, tasks: [task("t", [{ months: 12 }])] };
    expect(reckon(parts).limits[0]).toMatchObject({
      status: "unknown",
      basis: { code: "date-missing" },
    });
    const grid = { machines, tasks: [task("t", [yearly], { anchor: "grid" })] };
    expect(fromAndDue(reckon(grid).limits[0])).toBe("null → 2021-04-03");
  });
});

describe("unknown history", () => {
  const machines = [{ ...VAN, history: "unknown" }];
  test("what was never recorded is unknown, not overdue on everything", () => {
    const parts = {
      machines,
      tasks: [task("t", [{ meter: "odo", every: 1000 }, { months: 12 }])],
      readings: [read("2026-11-20", 90000)],
    };
    expect(reckon(parts)).toMatchObject({ status: "unknown", governs: null, doubtful: true });
  });

  test("what was done once counts from there, assumed or not", () => {
    const entries = [done("e", "2026-11-01", ["t"], { assumed: true })];
    const found = reckon({ machines, tasks: [task("t", [{ months: 12 }])], entries });
    expect(found.status).toBe("clear");
    expect(found.limits[0]?.basis).toMatchObject({ code: "completed", last: { assumed: true } });
  });
});

describe("regimes", () => {
  const regimes = { handbook: [{ months: 24 }], cautious: [{ months: 12 }] };
  const months = (machine: object, more: object): unknown => {
    const parts = {
      machines: [{ ...VAN, ...machine }],
      tasks: [task("t", [], { regimes, ...more })],
    };
    const { regime, limits } = reckon(parts);
    return [regime, limits[0]?.limit];
  };
  test.each([
    [{}, {}, "handbook", 24],
    [{ regime: "cautious" }, {}, "cautious", 12],
    [{ regime: "hard use" }, {}, "handbook", 24],
    [{ regime: "cautious" }, { regime: "handbook" }, "handbook", 24],
    [{ regime: "cautious" }, { regime: "hard use" }, "cautious", 12],
    [{ regime: "toString" }, {}, "handbook", 24],
  ])("machine %j with task %j follows %s", (machine, more, regime, count) => {
    expect(months(machine, more)).toEqual([regime, everyInterval({ months: count })]);
  });

  test("a task without limits in any of them is unknown, and not doubtful", () => {
    const parts = { tasks: [task("t", [], { regimes: { cautious: [{ months: 12 }] } })] };
    expect(reckon(parts)).toMatchObject({
      status: "unknown",
      regime: null,
      doubtful: false,
      limits: [],
    });
  });
});

describe("first and last", () => {
  const limits = [{ months: 80 }, { months: 120 }, { meter: "odo", every: 90000 }];
  const readings = [read("2026-11-01", 1000), read("2026-11-20", 1100)];
  test.each([
    ["first", 0, "overdue"],
    ["last", 1, "clear"],
  ])("%s: limit %i decides", (combine, governs, status) => {
    const parts = { tasks: [task("t", limits, { combine })], readings };
    expect(reckon(parts)).toMatchObject({ governs, status });
  });

  test("last is unknown where any limit is", () => {
    const parts = { tasks: [task("t", limits, { combine: "last" })] };
    expect(reckon(parts)).toMatchObject({ status: "unknown", governs: null });
  });
});

describe("every nth", () => {
  const tasks = [
    task("oil", [{ meter: "odo", every: 10000 }, { months: 12 }]),
    task("t", [], { regimes: null, nth: { of: "oil", every: 3 } }),
  ];
  const oil = (count: number): object[] =>
    Array.from({ length: count }, (_, turn) =>
      done(`oil${turn}`, `202${turn + 1}-06-01`, ["oil"], {
        meters: { odo: 10000 * (turn + 1) },
        seq: turn,
      }),
    );
  const filter = (date: string, life: number): object =>
    done("own", date, ["t"], { meters: { odo: life }, seq: 50 });
  const readings = [read("2020-01-02", 0)];

  test.each([
    ["never done, no turn yet: with the third", [], "0 → 30000", "2020-01-01 → 2023-01-01"],
    ["one turn since: two more", oil(1), "0 → 30000", "2020-01-01 → 2023-06-01"],
    ["two turns since: the next", oil(2), "0 → 30000", "2020-01-01 → 2023-06-01"],
    [
      "the third turn passed it over: due since then",
      oil(3),
      "0 → 30000",
      "2020-01-01 → 2023-06-01",
    ],
    [
      "done with the second: the turns after count",
      [...oil(3), filter("2022-06-01", 20000)],
      "20000 → 50000",
      "2022-06-01 → 2025-06-01",
    ],
  ] as const)("%s", (_, entries, meter, calendar) => {
    const parts = { tasks, readings, entries } as unknown as BookParts;
    const { limits, regime } = reckon(parts);
    expect(limits.map(fromAndDue)).toEqual([meter, calendar]);
    expect(regime).toBeNull();
  });

  test("never before one interval after its own last time", () => {
    const every = [tasks[0]!, task("t", [], { regimes: null, nth: { of: "oil", every: 1 } })];
    const entries = [...oil(1), filter("2021-09-01", 13000)] as BookParts["entries"];
    const found = reckon({ tasks: every, readings, entries: entries ?? [] });
    expect(fromAndDue(found.limits[0])).toBe("13000 → 23000");
    expect(found.limits[0]?.basis).toMatchObject({ code: "nth", heldBack: true });
  });
});

describe("follow-ups", () => {
  const wheels = task("wheels", [{ months: 12 }]);
  const byMeter = task("t", [], {
    regimes: null,
    follows: { task: "wheels", meter: "odo", amount: 50 },
  });
  const byDays = task("t", [], { regimes: null, follows: { task: "wheels", days: 5 } });
  const armed = done("w", "2026-11-10", ["wheels"], { meters: { odo: 1000 }, seq: 1 });
  const own = (date: string, life: number, seq = 2): object =>
    done("o", date, ["t"], { meters: { odo: life }, seq });
  const readings = [read("2026-11-01", 900), read("2026-11-22", 1120)];

  test("nothing is due before the other has been done", () => {
    expect(reckon({ tasks: [wheels, byMeter], readings })).toMatchObject({
      status: "finished",
      limits: [{ basis: { code: "follows-waiting" } }],
    });
  });

  test.each([
    ["by meter, not done", byMeter, [armed], "1000 → 1050"],
    ["by meter, done too soon", byMeter, [armed, own("2026-11-11", 1024)], "1000 → 1050"],
    ["by days, not done", byDays, [armed], "2026-11-10 → 2026-11-15"],
    ["by days, done too soon", byDays, [armed, own("2026-11-12", 1030)], "2026-11-10 → 2026-11-15"],
    [
      "by days, on the day itself with an earlier seq",
      byDays,
      [armed, own("2026-11-10", 1000, 0)],
      "2026-11-10 → 2026-11-15",
    ],
  ])("still due: %s", (_, follower, entries, expected) => {
    expect(fromAndDue(reckon({ tasks: [wheels, follower], readings, entries }).limits[0])).toBe(
      expected,
    );
  });

  test.each([
    ["by meter, half the way and more", byMeter, [armed, own("2026-11-12", 1025)]],
    ["by days, half the way rounded up", byDays, [armed, own("2026-11-13", 1030)]],
  ])("finished: %s", (_, follower, entries) => {
    const found = reckon({ tasks: [wheels, follower], readings, entries });
    expect(found).toMatchObject({
      status: "finished",
      limits: [{ basis: { code: "follows-done" } }],
    });
  });

  test("the same entry never finishes what it arms", () => {
    const both = done("w", "2026-11-10", ["wheels", "t"], { meters: { odo: 1000 }, seq: 1 });
    expect(
      fromAndDue(reckon({ tasks: [wheels, byDays], readings, entries: [both] }).limits[0]),
    ).toBe("2026-11-10 → 2026-11-15");
  });
});
