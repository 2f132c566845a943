import type { MeterId } from "../book/records/ids.js";
import type { LimitRecord } from "../book/records/limitRecord.js";
import { dayOf } from "../calendar/dayNumber.js";
import { graceOf, limitOf, limitsOfKind, limitsOnMeter } from "./limit.js";

const odo = "odo" as MeterId;

test.each([
  [
    { meter: odo, every: 500 },
    { kind: "meter", meter: odo, every: 500, at: [] },
  ],
  [
    { meter: odo, at: [50] },
    { kind: "meter", meter: odo, every: null, at: [50] },
  ],
  [
    { meter: odo, every: 9, months: null, days: null },
    { kind: "meter", meter: odo, every: 9, at: [] },
  ],
  [{ months: 12 }, { kind: "calendar", interval: { months: 12 }, from: null }],
  [
    { days: 30, months: null, meter: null },
    { kind: "calendar", interval: { days: 30 }, from: null },
  ],
  [
    { days: 7, from: "2026-01-31" },
    { kind: "calendar", interval: { days: 7 }, from: dayOf("2026-01-31") },
  ],
])("the kind of %j, and what nothing is said of", (record, limit) => {
  expect(limitOf(record as LimitRecord)).toEqual({
    ...limit,
    ...{ grace: 0, hard: false, products: [] },
  });
});

test("grace, hardness and products are the limit's own; a hard one has no grace", () => {
  const limit = limitOf({ months: 1, grace: 5, hard: true, for: ["mineral"] });
  expect(limit).toMatchObject({ grace: 5, hard: true, products: ["mineral"] });
  expect([graceOf(limit), graceOf({ ...limit, hard: false })]).toEqual([0, 5]);
});

test("the limits of a kind, and those on one meter", () => {
  const records: LimitRecord[] = [
    { months: 1 },
    { meter: odo, every: 1 },
    { meter: "hrs" as MeterId, every: 2 },
  ];
  const limits = records.map(limitOf);
  expect(limitsOfKind(limits, "calendar")).toEqual([limits[0]]);
  expect(limitsOfKind(limits, "meter")).toEqual([limits[1], limits[2]]);
  expect(limitsOnMeter(limits, odo)).toEqual([limits[1]]);
});
