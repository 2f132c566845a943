import fc from "fast-check";
import { addDays, dayOf, formatDay, parseDay, type DayNumber } from "./dayNumber.js";
import { addIntervals, addMonths, intervalsUpTo } from "./interval.js";

const anyDay = fc.integer({ min: -100000, max: 200000 }).map((day) => day as DayNumber);

test("a day number written as a date and read again is the same day", () => {
  fc.assert(
    fc.property(anyDay, (day) => parseDay(formatDay(day)) === day && dayOf(formatDay(day)) === day),
  );
});

test("day numbers agree with the calendar of the platform", () => {
  fc.assert(
    fc.property(
      anyDay,
      (day) => formatDay(day) === new Date(day * 86400000).toISOString().slice(0, 10),
    ),
  );
});

test.each([
  "2026-02-29",
  "2026-13-01",
  "2026-00-10",
  "2026-04-31",
  "26-01-01",
  "2026-1-1",
  "2026-01-01T00",
  "",
])("%j is no date", (text) => expect(parseDay(text)).toBeNull());

test.each([
  ["2026-01-31", 1, "2026-02-28"],
  ["2024-01-31", 1, "2024-02-29"],
  ["2026-01-31", 2, "2026-03-31"],
  ["2026-03-31", -1, "2026-02-28"],
  ["2024-02-29", 12, "2025-02-28"],
  ["2026-11-30", 3, "2027-02-28"],
])("%s and %i months is %s", (from, months, to) => {
  expect(formatDay(addMonths(dayOf(from), months))).toBe(to);
});

test("the count of intervals up to a day is the last that is not after it", () => {
  const interval = fc.oneof(
    fc.integer({ min: 1, max: 72 }).map((months) => ({ months })),
    fc.integer({ min: 1, max: 900 }).map((days) => ({ days })),
  );
  fc.assert(
    fc.property(anyDay, interval, fc.integer({ min: -9000, max: 9000 }), (origin, step, off) => {
      const day = addDays(origin, off);
      const count = intervalsUpTo(origin, step, day);
      return (
        addIntervals(origin, step, count) <= day && addIntervals(origin, step, count + 1) > day
      );
    }),
  );
});
