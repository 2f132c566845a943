import fc from "fast-check";
import { bookOf, read, task, VAN } from "../../test/books.js";
import type { LaidUp } from "../book/records/service.js";
import { addDays, dayOf, formatDay } from "../calendar/dayNumber.js";
import type { MeterReckoning } from "./reckonMeter.js";
import { runningDaysOf } from "./runningDays.js";
import { reckonBook } from "../schedule/reckonBook.js";
import type { TaskReckoning } from "../schedule/reckonTask.js";

const START = dayOf("2024-01-01");
const anyDay = fc.integer({ min: 0, max: 1200 }).map((days) => addDays(START, days));
const anyLayUp: fc.Arbitrary<LaidUp> = fc.oneof(
  fc.record({
    months: fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 6 }),
  }),
  fc.tuple(anyDay, fc.nat(120)).map(([from, length]) => ({
    from: formatDay(from),
    to: formatDay(addDays(from, length)),
  })),
);
const anyLayUps = fc.array(anyLayUp, { maxLength: 4 });
/** Of a machine that runs in some months at least. */
const someLayUps = anyLayUps.filter(
  (laidUp) => new Set(laidUp.flatMap(({ months }) => months ?? [])).size < 12,
);

test("running days are those that are not laid up, counted one by one", () => {
  fc.assert(
    fc.property(anyLayUps, anyDay, fc.nat(900), (laidUp, from, length) => {
      const running = runningDaysOf(laidUp);
      let count = 0;
      for (let ago = 1; ago <= length; ago += 1) {
        if (!running.isLaidUp(addDays(from, ago))) count += 1;
      }
      expect(running.between(from, addDays(from, length))).toBe(count);
    }),
  );
});

test("the day after so many running days is the first by which they have passed", () => {
  fc.assert(
    fc.property(someLayUps, anyDay, fc.nat(400), (laidUp, day, count) => {
      const running = runningDaysOf(laidUp);
      const reached = running.after(day, count);
      if (reached === null) throw new Error("it runs again");
      expect(running.between(day, reached)).toBe(count);
      if (count > 0) expect(running.between(day, addDays(reached, -1))).toBe(count - 1);
    }),
  );
});

test("a day is laid up in its months and between its dates, both ends among them", () => {
  const running = runningDaysOf([{ months: [12, 1] }, { from: "2026-05-01", to: "2026-05-10" }]);
  const laidUp = ["2026-01-31", "2026-12-01", "2026-05-01", "2026-05-10"].map((day) =>
    running.isLaidUp(dayOf(day)),
  );
  const inUse = ["2026-02-01", "2026-11-30", "2026-04-30", "2026-05-11"].map((day) =>
    running.isLaidUp(dayOf(day)),
  );
  expect([...laidUp, ...inUse]).toEqual([true, true, true, true, false, false, false, false]);
});

test.each<[string, LaidUp]>([
  ["with no end", { from: "2026-01-01" }],
  ["in every month", { months: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] }],
])("laid up %s it never runs again", (_name, laidUp) => {
  expect(runningDaysOf([laidUp]).after(dayOf("2026-06-01"), 1)).toBeNull();
});

const TODAY = "2026-11-23";

/** A van that runs 60 km a day and is read every ten days, up to the day its lay-up begins. */
function reckon(laidUp: readonly LaidUp[], lastRead = TODAY): MeterReckoning & TaskReckoning {
  const readings = Array.from({ length: 20 }, (_, index) => {
    const day = addDays(dayOf(lastRead), -10 * index);
    return read(formatDay(day), 30000 - 600 * index);
  });
  const tasks = [task("oil", [{ meter: "odo", every: 31000 }])];
  const machines = [{ ...VAN, laidUp }];
  const [machine] = reckonBook(bookOf({ machines, readings, tasks }), dayOf(TODAY));
  const [meter] = machine?.meters ?? [];
  const [oil] = machine?.tasks ?? [];
  if (meter === undefined || oil === undefined) throw new Error("the van has both");
  return { ...meter, ...oil };
}

const likely = (reckoned: TaskReckoning): string => {
  const day = reckoned.limits[0]?.forecast?.likely;
  return day === undefined ? "none" : formatDay(day);
};

test("a forecast passes over the days it will be laid up", () => {
  expect(likely(reckon([]))).toBe("2026-12-10");
  expect(likely(reckon([{ from: "2026-12-01", to: "2027-02-28" }]))).toBe("2027-03-10");
  expect(likely(reckon([{ months: [12, 1, 2] }]))).toBe("2027-03-10");
});

test("laid up for good there is no forecast, and the state goes by what is left", () => {
  const reckoned = reckon([{ from: "2026-11-24" }]);
  expect(likely(reckoned)).toBe("none");
  expect(reckoned.status).toBe("soon");
});

test("while it is laid up nothing is added to its life, and its pace is that of the days it ran", () => {
  const reckoned = reckon([{ from: "2026-09-02", to: "2026-11-30" }], "2026-09-01");
  expect(reckoned.life).toBe(30000);
  expect(reckoned.rate.perDay).toBeCloseTo(60);
  expect(reckon([], "2026-09-01").life).toBeCloseTo(30000 + 83 * 60);
});

test("a meter is not stale for not being read while it is laid up", () => {
  expect(reckon([{ from: "2026-09-02" }], "2026-09-01").stale).toBe(false);
  expect(reckon([], "2026-09-01").stale).toBe(true);
});

test("the pace across a lay-up is that of its running days", () => {
  const readings = [
    read("2026-03-01", 1000),
    read("2026-04-30", 1600),
    read("2026-10-31", 1600),
    read("2026-11-10", 1700),
  ];
  const machines = [{ ...VAN, laidUp: [{ months: [5, 6, 7, 8, 9, 10] }] }];
  const [machine] = reckonBook(bookOf({ machines, readings }), dayOf("2026-11-10"));
  expect(machine?.meters[0]?.rate).toMatchObject({ perDay: 10, source: { pairs: 2 } });
});
