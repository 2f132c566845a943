import fc from "fast-check";
import type { Visit } from "../src/book/records/visit.js";
import type { Journey } from "../src/book/records/journey.js";
import { done, task, VAN, type BookParts } from "./books.js";
import { inDays, visit } from "./plans.js";

/** A machine as it might stand in a shed, with what is planned for it. */
export interface DrawnMachine {
  readonly parts: BookParts;
  readonly visits: readonly Visit[];
  readonly journeys: readonly Journey[];
}

const limit = fc.oneof(
  fc.record({
    days: fc.integer({ min: 36, max: 400 }),
    grace: fc.constantFrom(0, 0, 14),
    hard: fc.constantFrom(true, false, false),
  }),
  fc.record({
    meter: fc.constant("odo"),
    every: fc.integer({ min: 3000, max: 20000 }),
    grace: fc.constantFrom(0, 0, 500),
    hard: fc.constantFrom(true, false, false),
  }),
);

const drawnTask = fc.record({
  limits: fc.array(limit, { minLength: 1, maxLength: 2 }),
  anchor: fc.constantFrom("done", "done", "done", "grid"),
  combine: fc.constantFrom("first", "first", "first", "last"),
  access: fc.constantFrom(null, null, "belt", "pan"),
  outside: fc.constantFrom(null, null, null, { because: "licensed" }),
  minutes: fc.constantFrom(null, 20, 60, 180),
  doneDaysAgo: fc.option(fc.integer({ min: 0, max: 500 })),
});

const drawnNeed = fc.oneof(
  fc.record({
    weekdays: fc.subarray([1, 2, 3, 4, 5], { minLength: 1, maxLength: 5 }),
    reason: fc.constant("round"),
  }),
  fc
    .tuple(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 0, max: 60 }))
    .map(([from, days]) => ({ from: inDays(from), to: inDays(from + days), reason: "fair" })),
);

const NAMES = ["a", "b", "c", "d", "e"];

/** A machine with a few tasks, some overdue, some by law, that cannot be spared on some days, with visits on the book and some journeys. */
export const randomMachine: fc.Arbitrary<DrawnMachine> = fc
  .record({
    tasks: fc.array(drawnTask, { minLength: 1, maxLength: NAMES.length }),
    needed: fc.array(drawnNeed, { maxLength: 2 }),
    perDay: fc.constantFrom(null, 0, 40, 90),
    readings: fc.integer({ min: 0, max: 4 }),
    visits: fc.array(
      fc.record({
        inDays: fc.integer({ min: -10, max: 120 }),
        tasks: fc.subarray(NAMES, { minLength: 1, maxLength: 3 }),
        without: fc.subarray(NAMES, { maxLength: 1 }),
      }),
      { maxLength: 2 },
    ),
    journey: fc.option(fc.integer({ min: 0, max: 60 })),
  })
  .map(({ tasks, needed, perDay, readings, visits, journey }) => {
    const names = NAMES.slice(0, tasks.length);
    const has = (name: string): boolean => names.includes(name);
    return {
      parts: {
        machines: [{ ...VAN, needed, meters: [{ ...VAN.meters[0], perDay }] }],
        readings: Array.from({ length: readings }, (_, at) => ({
          ...{ id: `r${at}`, machine: "van", meter: "odo" },
          ...{ date: inDays(-90 * (readings - at)), value: 2000 * (at + 1) + 777 * at * at },
        })),
        tasks: tasks.map(({ limits, doneDaysAgo: _, ...rest }, at) =>
          task(names[at] ?? "", limits, rest),
        ),
        entries: tasks.flatMap(({ doneDaysAgo }, at) =>
          doneDaysAgo === null
            ? []
            : [done(`e${at}`, inDays(-doneDaysAgo), [names[at] ?? ""], { seq: at + 1 })],
        ),
      },
      visits: visits.flatMap(({ inDays: days, tasks: own, without }, at): Visit[] => {
        const kept = own.filter(has);
        const left = without.filter((name) => has(name) && !kept.includes(name));
        if (kept.length === 0) return [];
        return [visit(inDays(days), kept, { id: `v${at}`, without: left })];
      }),
      journeys:
        journey === null
          ? []
          : [{ id: "j", machine: "van", name: "Fair", date: inDays(journey), days: 4 } as never],
    };
  });
