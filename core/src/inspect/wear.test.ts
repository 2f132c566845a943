import { bookOf, done, read, task, VAN } from "../../test/books.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import { dayOf, formatDay } from "../calendar/dayNumber.js";
import type { MachineId } from "../book/records/ids.js";
import { checkLimits } from "./checkLimits.js";
import { checklist, measure } from "./library/draft.js";
import { wearOf, type Wear } from "./wear.js";

const LIST = checklist("Trial", [], "monthly", [
  measure("Pads", "brakes", "thick", {
    ...{ unit: "mm", wears: "down", points: ["left", "right"], least: 3, source: "handbook" },
  }),
]);
const [CHECK] = LIST.checks as [NonNullable<typeof LIST.checks>[number]];
const SETTINGS = { dueWithinDays: 7, leadDays: 30, staleAfterDays: 45 };

const walked = (date: string, odo: number, left: number) => ({
  ...{ id: `r-${date}`, machine: "van", checklist: LIST.id, date, finished: true },
  ...{ seq: dayOf(date), meters: { odo } },
  results: [{ check: CHECK.id, point: "left", readings: [{ value: left, unit: "mm" }] }],
});
const ROUNDS = [
  walked("2026-01-10", 1000, 8),
  walked("2026-03-10", 2000, 7),
  walked("2026-05-10", 3000, 6),
];

function wear(parts: object, point = "left", on = "2026-06-01"): Wear {
  const book = bookOf({
    machines: [VAN],
    readings: [read("2026-01-01", 900), read("2026-06-01", 3300)],
    rounds: ROUNDS,
    ...parts,
  });
  const own = machineBookOf(book, "van" as MachineId);
  const limits = checkLimits(CHECK, []);
  if (own === null || limits === null) throw new Error("the van is read");
  return wearOf(own, { check: CHECK, point }, limits, SETTINGS, dayOf(on));
}

test("what was read is told by the life of the meter, and meets its limit where the line does", () => {
  const found = wear({});
  expect(found.readings.map(({ day, value }) => [formatDay(day), value])).toEqual([
    ["2026-01-10", 8],
    ["2026-03-10", 7],
    ["2026-05-10", 6],
  ]);
  expect(found).toMatchObject({ meter: "odo", limit: 3 });
  expect(found.trend?.slope).toBeCloseTo(-0.001, 9);
  expect(found.trend?.atLimit).toBeCloseTo((found.readings[0]?.life ?? 0) + 5000, 6);
  expect(found.meets?.likely ?? 0).toBeGreaterThan(dayOf("2026-06-01"));
  expect(wear({}, "right").readings).toEqual([]);
});

test("rounds that are still to come on a day are not known on it", () => {
  expect(wear({}, "left", "2026-03-10").readings).toHaveLength(2);
});

const byMeasure = {
  measured: [{ checklist: LIST.id, check: CHECK.id, point: "left", meter: "odo", limit: 3 }],
};
const PADS = { ...task("pads", []), regimes: byMeasure };

test("since the work that goes by it was done only what came after counts, from what was measured new", () => {
  const measures = [{ name: "Pads, left", readings: [{ value: 1.2, unit: "cm" }] }];
  const entry = done("e1", "2026-03-10", ["pads"], { meters: { odo: 2000 }, measures });
  const found = wear({ tasks: [PADS], entries: [entry] });
  expect(found.readings.map(({ value }) => value)).toEqual([6]);
  expect(found.trend?.slope).toBeCloseTo(-0.006, 9);
  expect(found.trend?.rough).toBe(true);
  const bare = wear({ tasks: [PADS], entries: [done("e1", "2026-03-10", ["pads"])] });
  expect(bare.trend?.slope).toBeNull();
  // Work of the other side, and work that is still to come, renews nothing.
  const other = [{ ...byMeasure.measured[0], point: "right" }];
  const apart = { ...PADS, regimes: { measured: other } };
  expect(wear({ tasks: [apart], entries: [entry] }).readings).toHaveLength(3);
  const late = done("e1", "2026-06-02", ["pads"]);
  expect(wear({ tasks: [PADS], entries: [late] }).readings).toHaveLength(3);
});

test("work that closed a finding of it renews it as well", () => {
  const finding = {
    ...{ id: "f1", machine: "van", found: "2026-03-10", decision: "now" },
    ...{ check: CHECK.id, point: "left" },
  };
  const entries = [done("e1", "2026-04-01", [], { closes: ["f1"] })];
  expect(wear({ findings: [finding], entries }).readings).toHaveLength(1);
  const right = { ...finding, point: "right" };
  expect(wear({ findings: [right], entries }).readings).toHaveLength(3);
});

test("what grows has used a share of its limit, what wears away none", () => {
  const grows = { ...CHECK, wears: "up" as const, least: null, most: 10 };
  const own = machineBookOf(
    bookOf({ machines: [VAN], readings: [read("2026-06-01", 3300)], rounds: ROUNDS }),
    "van" as MachineId,
  );
  const limits = checkLimits(grows, []);
  if (own === null || limits === null) throw new Error("the van is read");
  const place = { check: grows, point: "left" };
  expect(wearOf(own, place, limits, SETTINGS, dayOf("2026-06-01")).used).toBeCloseTo(0.6, 9);
  const right = { check: grows, point: "right" };
  expect(wearOf(own, right, limits, SETTINGS, dayOf("2026-06-01")).used).toBeNull();
  expect(wear({}).used).toBeNull();
});
