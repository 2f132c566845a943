import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { hoursOf, ridgeOf, type CountedVisit } from "./ridge.js";
import { blockedOn, mondayOf, spareDays, weekdayOf } from "./spareDays.js";

const MONDAY = dayOf("2026-11-23");
const visit = (day: DayNumber, minutes: (number | null)[], isOutside = false): CountedVisit =>
  ({ day, turns: minutes.map((one) => ({ minutes: one })), otherMinutes: 0, isOutside }) as never;

const weeks = (count: number) =>
  Array.from({ length: count }, (_, week) => ({ monday: addDays(MONDAY, 7 * week), hours: 40 }));

test("weeks begin on Monday, also across 1970", () => {
  expect([weekdayOf(MONDAY), weekdayOf(addDays(MONDAY, 6)), weekdayOf(-1 as DayNumber)]).toEqual([
    1, 7, 3,
  ]);
  expect(mondayOf(addDays(MONDAY, 6))).toBe(MONDAY);
});

test("hours are summed by week; what has no estimate is counted, what is for others is not", () => {
  const visits = [
    visit(addDays(MONDAY, 1), [30, 60, null]),
    visit(addDays(MONDAY, 4), [90], true),
    visit(addDays(MONDAY, 7), [45]),
    visit(addDays(MONDAY, 70), [45]),
  ];
  const ridge = ridgeOf(visits, weeks(2));
  expect(
    ridge.map(({ monday, hours, unknown, visits: own }) => [monday, hours, unknown, own.length]),
  ).toEqual([
    [MONDAY, 1.5, 1, 2],
    [addDays(MONDAY, 7), 0.75, 0, 1],
  ]);
  expect(hoursOf({ ...visit(MONDAY, [30]), otherMinutes: 30 })).toBe(1);
});

test("a week that is just full holds no more than there is", () => {
  const visits = Array.from({ length: 30 }, () => visit(MONDAY, [20]));
  expect(ridgeOf(visits, weeks(1))[0]?.hours).toBe(10);
});

test("weekdays and dates of one line both hold, lines hold by themselves, and nobody works at weekends", () => {
  const needed = [
    { weekdays: [1], from: "2026-11-30", reason: "term" },
    { from: "2026-11-25", to: "2026-11-25" },
  ];
  const spare = spareDays(
    { needed },
    { workdays: [1, 2, 3, 4, 5], closed: [] },
    MONDAY,
    addDays(MONDAY, 8),
  );
  expect(spare.map((day) => day - MONDAY)).toEqual([0, 1, 3, 4, 8]);
  expect(blockedOn({ needed }, { workdays: [1], closed: [] }, addDays(MONDAY, 7))).toEqual({
    code: "needed",
    reason: "term",
  });
  expect(blockedOn({ needed }, { workdays: [1], closed: [] }, addDays(MONDAY, 1))).toEqual({
    code: "not-a-workday",
  });
});
