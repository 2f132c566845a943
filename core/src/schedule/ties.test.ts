import { everyInterval } from "../limit/limit.js";
import { done, read, task, VAN, type BookParts } from "../../test/books.js";
import { reckon, fromAndDue } from "../../test/reckoned.js";

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
