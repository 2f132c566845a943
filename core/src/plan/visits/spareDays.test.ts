import { addDays, dayOf, formatDay, type DayNumber } from "../../calendar/dayNumber.js";
import { turn } from "../../../test/turns.js";
import { candidateDays, firstOn, lastUpTo } from "./candidates.js";
import { blockedOn, mondayOf, spareDays, weekdayOf } from "./spareDays.js";

const MONDAY = dayOf("2026-11-23");
const WORKDAYS = [1, 2, 3, 4, 5];
const dates = (days: readonly DayNumber[]): string[] => days.map(formatDay);

test("a week runs from Monday to Sunday, before 1970 as after", () => {
  const week = Array.from({ length: 7 }, (_, after) => weekdayOf(addDays(MONDAY, after)));
  expect(week).toEqual([1, 2, 3, 4, 5, 6, 7]);
  // 31 December 1969 was a Wednesday.
  expect(weekdayOf(dayOf("1969-12-31"))).toBe(3);
  expect(formatDay(mondayOf(dayOf("2026-11-29")))).toBe("2026-11-23");
  expect(formatDay(mondayOf(MONDAY))).toBe("2026-11-23");
});

test("work is done on workdays on which the machine is not needed", () => {
  const needed = [{ weekdays: [2, 4], reason: "round" }];
  const days = spareDays(
    { needed },
    { workdays: WORKDAYS, closed: [] },
    MONDAY,
    addDays(MONDAY, 6),
  );
  expect(dates(days)).toEqual(["2026-11-23", "2026-11-25", "2026-11-27"]);
});

test.each<readonly [object, string, unknown]>([
  [{ weekdays: [1], from: "2026-12-01", to: null }, "2026-11-23", null],
  [
    { weekdays: [1], from: "2026-12-01", to: null, reason: "term" },
    "2026-12-07",
    { code: "needed", reason: "term" },
  ],
  [{ from: "2026-11-20", to: "2026-11-23" }, "2026-11-23", { code: "needed", reason: null }],
  [{ from: "2026-11-20", to: "2026-11-23" }, "2026-11-24", null],
  // A line that says nothing blocks nothing.
  [{ weekdays: [], from: null, to: null }, "2026-11-23", null],
  [{ from: "2026-11-28" }, "2026-11-28", { code: "needed", reason: null }],
  [{ weekdays: [1] }, "2026-11-28", { code: "not-a-workday" }],
])("%j on %s: %j", (line, date, blocked) => {
  expect(
    blockedOn({ needed: [line as never] }, { workdays: WORKDAYS, closed: [] }, dayOf(date)),
  ).toEqual(blocked);
});

test("the last day up to one and the first from it on are found", () => {
  const days = [3, 7, 9] as DayNumber[];
  const at = (day: number) => [lastUpTo(days, day as DayNumber), firstOn(days, day as DayNumber)];
  expect([2, 3, 8, 10].map(at)).toEqual([
    [null, 3],
    [3, 3],
    [7, 9],
    [9, null],
  ]);
});

test("only days beside a corner are looked at, and the first", () => {
  const spare = Array.from({ length: 60 }, (_, index) => index as DayNumber);
  const one = turn("oil", 30, { earliest: 10, latest: 50, graceEnd: 34 });
  expect(candidateDays(spare, [one])).toEqual([0, 10, 30, 34, 50]);
  const gaps = spare.filter((each) => each % 10 === 5);
  expect(candidateDays(gaps, [one])).toEqual([5, 15, 25, 35, 45, 55]);
  expect(candidateDays(spare, [{ ...one, avoided: [30 as DayNumber] }])).toContain(29);
  expect(candidateDays([], [one])).toEqual([]);
});
