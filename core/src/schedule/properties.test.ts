import fc from "fast-check";
import { bookOf, done, read, task, VAN, type BookParts } from "../../test/books.js";
import { workedCases } from "../../test/vectors.js";
import type { Book } from "../book/file/book.js";
import { readBook } from "../book/file/readBook.js";
import { addDays, dayOf, formatDay } from "../calendar/dayNumber.js";
import { dueList } from "./dueList.js";
import { reckonBook } from "./reckonBook.js";
import type { TaskReckoning } from "./reckonTask.js";

const TODAY = dayOf("2026-11-23");
const dated = (ago: number): string => formatDay(addDays(TODAY, -ago));

const anyLimit = fc.oneof(
  fc.record({
    meter: fc.constant("odo"),
    every: fc.integer({ min: 500, max: 60000 }),
    grace: fc.nat({ max: 300 }),
  }),
  fc.record({
    months: fc.integer({ min: 1, max: 60 }),
    grace: fc.nat({ max: 20 }),
    hard: fc.boolean(),
  }),
  fc.record({ days: fc.integer({ min: 11, max: 900 }) }),
);
const anyTask = fc.record({
  limits: fc.array(anyLimit, { minLength: 1, maxLength: 3 }),
  anchor: fc.constantFrom("done", "grid"),
  combine: fc.constantFrom("first", "last"),
});
const anyHistory = fc.record({
  perDay: fc.integer({ min: 5, max: 200 }),
  readAgo: fc.uniqueArray(fc.integer({ min: 1, max: 900 }), { minLength: 2, maxLength: 12 }),
  doneAgo: fc.uniqueArray(fc.integer({ min: 1, max: 900 }), { maxLength: 4 }),
});
type History = typeof anyHistory extends fc.Arbitrary<infer H> ? H : never;
type TaskShape = typeof anyTask extends fc.Arbitrary<infer T> ? T : never;

/** The van run evenly with a small unevenness, and one task done now and then. */
function partsOf(shape: TaskShape, { perDay, readAgo, doneAgo }: History): BookParts {
  const lifeAt = (ago: number): number => 100000 - perDay * ago + (ago % 7);
  return {
    tasks: [task("t", shape.limits, { anchor: shape.anchor, combine: shape.combine })],
    readings: readAgo.map((ago, index) =>
      read(dated(ago), lifeAt(ago), { id: `r${index}`, seq: index }),
    ),
    entries: doneAgo.map((ago, index) => done(`e${index}`, dated(ago), ["t"], { seq: index })),
  };
}

function reckoned(parts: BookParts, book: Book = bookOf(parts)): TaskReckoning {
  const found = reckonBook(book, TODAY)[0]?.tasks[0];
  if (found === undefined) throw new Error("the van has a task");
  return found;
}

test("early is never after likely, nor likely after late", () => {
  fc.assert(
    fc.property(anyTask, anyHistory, (shape, history) => {
      for (const { forecast } of reckoned(partsOf(shape, history)).limits) {
        if (forecast === null) continue;
        expect(forecast.early).toBeLessThanOrEqual(forecast.likely);
        expect(forecast.likely).toBeLessThanOrEqual(forecast.late);
      }
    }),
  );
});

test("a higher declared rate never makes a date later", () => {
  const rate = fc.double({ min: 0.5, max: 400, noNaN: true });
  const every = fc.integer({ min: 500, max: 60000 });
  fc.assert(
    fc.property(every, rate, rate, fc.integer({ min: 0, max: 60 }), (interval, one, other, ago) => {
      const likely = (perDay: number): number => {
        const machines = [{ ...VAN, meters: [{ ...VAN.meters[0], perDay }] }];
        const parts = {
          machines,
          tasks: [task("t", [{ meter: "odo", every: interval }])],
          readings: [read(dated(ago), 300)],
        };
        return reckoned(parts).limits[0]?.forecast?.likely ?? Number.MAX_SAFE_INTEGER;
      };
      expect(likely(Math.max(one, other))).toBeLessThanOrEqual(likely(Math.min(one, other)));
    }),
  );
});

test("a task done today with an interval over ten days is neither overdue, due nor soon by that limit", () => {
  fc.assert(
    fc.property(anyTask, anyHistory, (shape, history) => {
      const longEnough = shape.limits.filter(
        (limit) => !("every" in limit) || limit.every / history.perDay > 11,
      );
      fc.pre(longEnough.length > 0);
      const parts = partsOf({ ...shape, limits: longEnough, anchor: "done" }, history);
      const today = done("now", formatDay(TODAY), ["t"], { seq: 99 });
      for (const limit of reckoned({ ...parts, entries: [...(parts.entries ?? []), today] })
        .limits) {
        expect(["clear", "unknown"]).toContain(limit.status);
      }
    }),
  );
});

test("records that carry a seq may stand in any order", () => {
  const cases = workedCases();
  const one = fc.constantFrom(...cases);
  fc.assert(
    fc.property(one, fc.infiniteStream(fc.nat()), ({ book, on, due }, numbers) => {
      const opened = readBook(book);
      if (!opened.ok) throw new Error("worked cases are sound");
      const shuffled = <T>(records: readonly T[] | undefined): T[] =>
        (records ?? [])
          .map((record) => ({ record, key: numbers.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ record }) => record);
      const { readings, meterChanges, entries } = opened.value;
      const mixed = {
        ...opened.value,
        readings: shuffled(readings),
        meterChanges: shuffled(meterChanges),
        entries: shuffled(entries),
      };
      const today = dayOf(on);
      const before = dueList(reckonBook(opened.value, today), today);
      expect(dueList(reckonBook(mixed, today), today)).toEqual(before);
      expect(before.machines).toHaveLength(due.machines.length);
    }),
    { numRuns: 60 },
  );
});

test("a superseded or void record counts for nothing, and a correction takes its place in the order", () => {
  const entries = [
    done("first", "2026-11-01", ["t"], { seq: 1, meters: { odo: 100 } }),
    done("second", "2026-11-01", ["t"], { seq: 2, meters: { odo: 110 } }),
    done("corrected", "2026-11-01", ["t"], { seq: 9, replaces: "first", meters: { odo: 105 } }),
  ];
  const tasks = [task("t", [{ meter: "odo", every: 1000 }])];
  const latest = (list: typeof entries): unknown => {
    const basis = reckoned({ tasks, entries: list }).limits[0]?.basis;
    return basis?.code === "completed" ? [basis.last.entry, basis.last.dial] : basis?.code;
  };
  expect(latest(entries)).toEqual(["second", 110]);
  const withdrawn = done("gone", "2026-11-01", ["t"], { seq: 10, replaces: "second", void: true });
  expect(latest([...entries, withdrawn])).toEqual(["corrected", 105]);
});
