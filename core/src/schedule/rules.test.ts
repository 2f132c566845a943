import { done, read, task, VAN, type BookParts } from "../../test/books.js";
import { reckon, fromAndDue, at, doneAt } from "../../test/reckoned.js";

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
