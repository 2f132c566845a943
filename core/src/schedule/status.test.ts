import { bookOf, done, read, task, type BookParts } from "../../test/books.js";
import { addDays, dayOf, formatDay } from "../calendar/dayNumber.js";
import { reckonBook } from "./reckonBook.js";
import type { MeterId } from "../book/records/ids.js";
import type { LimitRecord } from "../book/records/limitRecord.js";
import { everyInterval, everySoMuch, limitOf } from "../limit/limit.js";
import { limitDays } from "./limits/kinds.js";
import { calendarStatus, meterStatus, windowsFor } from "./status.js";

const TODAY = dayOf("2026-11-23");
const SETTINGS = { dueWithinDays: 7, leadDays: 30, staleAfterDays: 45 };

test.each([
  [{ days: 1 }, null, 0, 0],
  [{ days: 30 }, null, 3, 7],
  [{ months: 2 }, null, 6, 15],
  [{ months: 12 }, null, 7, 30],
  [{ meter: "odo", every: 600 }, 60, 1, 2],
  [{ meter: "odo", every: 30000 }, 60, 7, 30],
  [{ meter: "odo", every: 600 }, null, 7, 30],
  [{ meter: "odo", every: 600 }, 0, 7, 30],
  [{ meter: "odo", at: [600] }, 60, 7, 30],
])("the windows of %j at %j a day are %i and %i days", (limit, perDay, dueWithin, lead) => {
  const days = limitDays(limitOf(limit as LimitRecord), () => perDay);
  expect(windowsFor(days, SETTINGS)).toEqual({ dueWithin, lead });
});

const WINDOWS = { dueWithin: 7, lead: 30 };

test.each([
  [-1, 0, false, "overdue"],
  [-5, 5, false, "due"],
  [-6, 5, false, "overdue"],
  [-1, 5, true, "overdue"],
  [0, 0, true, "due"],
  [7, 0, false, "due"],
  [8, 0, false, "soon"],
  [30, 0, false, "soon"],
  [31, 0, false, "clear"],
])(
  "a calendar limit with %i days left, grace %i, hard %s is %s",
  (remaining, grace, hard, status) => {
    const limit = { ...everyInterval({ months: 12 }), grace, hard };
    expect(calendarStatus(limit, remaining, TODAY, WINDOWS)).toBe(status);
  },
);

test.each([
  [-0.5, 0, "overdue"],
  [-0.5, 1, "due"],
  [-0.0000001, 0, "due"],
  [0.0000001, 0, "due"],
  [2, 0, "due"],
  [2.1, 0, "soon"],
  [10, 0, "soon"],
  [10.1, 0, "clear"],
])(
  "a meter limit without a forecast, %d of 100 left, grace %d, goes by its share: %s",
  (remaining, grace, status) => {
    const limit = { ...everySoMuch("odo" as MeterId, 100), grace };
    expect(meterStatus(limit, remaining, 100, null, TODAY, WINDOWS)).toBe(status);
  },
);

test("a daily check done today is clear until tomorrow", () => {
  const parts = (date: string): BookParts => ({
    tasks: [task("t", [{ days: 1 }])],
    entries: [done("e", date, ["t"])],
  });
  const statusOn = (date: string, on = TODAY): unknown =>
    reckonBook(bookOf(parts(date)), on)[0]?.tasks[0]?.status;
  expect(statusOn(formatDay(TODAY))).toBe("clear");
  expect(statusOn(formatDay(addDays(TODAY, -1)))).toBe("due");
  expect(statusOn(formatDay(addDays(TODAY, -2)))).toBe("overdue");
});

test("what has been reached is dated to the first day on which it was, between readings and past them", () => {
  const readings = [read("2026-11-01", 1000), read("2026-11-11", 2000), read("2026-11-21", 3000)];
  const on = (every: number): unknown => {
    const [limit] =
      reckonBook(bookOf({ tasks: [task("t", [{ meter: "odo", every }])], readings }), TODAY)[0]
        ?.tasks[0]?.limits ?? [];
    return limit?.forecast === null || limit === undefined
      ? null
      : formatDay(limit.forecast.likely);
  };
  expect(on(900)).toBe("2026-11-01");
  expect(on(1000)).toBe("2026-11-01");
  expect(on(1501)).toBe("2026-11-07");
  expect(on(2000)).toBe("2026-11-11");
  expect(on(3150)).toBe("2026-11-23");
});

test("a machine that does not run has no forecast, and one with twenty years to go neither", () => {
  const likely = (perDay: number, every: number): unknown => {
    const machines = [
      {
        ...bookOf({}).machines?.[0],
        meters: [{ id: "odo", measure: "distance", unit: "km", perDay }],
      },
    ];
    const parts = {
      machines,
      tasks: [task("t", [{ meter: "odo", every }])],
      readings: [read("2026-11-23", 0)],
    };
    return reckonBook(bookOf(parts), TODAY)[0]?.tasks[0]?.limits[0]?.forecast;
  };
  expect(likely(0, 100)).toBeNull();
  expect(likely(1, 7301)).toBeNull();
  expect(likely(1, 7300)).not.toBeNull();
});
