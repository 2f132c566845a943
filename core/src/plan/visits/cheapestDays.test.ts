import fc from "fast-check";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { candidateDays } from "./candidates.js";
import { cheapestDays, type VisitDay, type Weights } from "./cheapestDays.js";
import { costOfTurn, isAllowed, type Turn } from "./turn.js";

const WEIGHTS: Weights = { accessCost: 7, lateADay: 1, pastGraceADay: 4 };

function turn(task: string, due: number, more: Partial<Record<keyof Turn, unknown>> = {}): Turn {
  return {
    ...{ task, number: 1, due, earliest: due - 30, latest: null, graceEnd: due, hardEnd: null },
    ...{ interval: 60, value: 30, access: null, minutes: 30, isOutside: false },
    ...more,
  } as unknown as Turn;
}

const day = (number: number, cost = 40, opened: readonly string[] = []): VisitDay => ({
  day: number as DayNumber,
  cost,
  opened: new Set(opened),
});

/** The cost of an assignment of turns to days, counted out. */
function costOf(
  turns: readonly Turn[],
  days: readonly VisitDay[],
  chosen: readonly number[],
): number {
  let sum = 0;
  for (const [at, one] of days.entries()) {
    const own = turns.filter((_, index) => chosen[index] === at);
    if (own.length > 0) sum += one.cost;
    const accesses = new Set(own.flatMap(({ access }) => access ?? []));
    for (const access of accesses) if (!one.opened.has(access)) sum += WEIGHTS.accessCost;
    for (const each of own) {
      if (!isAllowed(each, one.day)) return Infinity;
      const { wasted, late } = costOfTurn(each, one.day, WEIGHTS);
      sum += wasted + late;
    }
  }
  return sum;
}

/** The least cost of all assignments there are. */
function bruteForce(turns: readonly Turn[], days: readonly VisitDay[]): number {
  let best = Infinity;
  const chosen: number[] = [];
  const go = (index: number): void => {
    if (index === turns.length) best = Math.min(best, costOf(turns, days, chosen));
    else {
      for (let at = 0; at < days.length; at += 1) {
        chosen[index] = at;
        go(index + 1);
      }
    }
  };
  go(0);
  return best;
}

test("two jobs a week apart are done in one visit, the dear one on its day", () => {
  const turns = [turn("wash", 100, { value: 10 }), turn("oil", 107, { value: 80 })];
  const days = Array.from({ length: 20 }, (_, index) => day(95 + index));
  expect(cheapestDays(turns, days, WEIGHTS)).toEqual({
    days: [100, 100],
    cost: 40 + (80 * 7) / 60,
  });
});

test("jobs far apart have a visit each", () => {
  const turns = [turn("wash", 100), turn("oil", 170, { earliest: 120 })];
  const days = Array.from({ length: 90 }, (_, index) => day(95 + index));
  expect(cheapestDays(turns, days, WEIGHTS)?.days).toEqual([100, 170]);
});

test("what shares an access goes where it is open, past a nearer visit", () => {
  const given = [day(80, 0, ["belt"]), day(95, 0)];
  const turns = [turn("pulley", 100, { access: "belt", value: 4 })];
  expect(cheapestDays(turns, given, WEIGHTS)).toEqual({ days: [80], cost: (4 * 20) / 60 });
});

test("where a turn may be done on none of the days there is no plan", () => {
  expect(cheapestDays([turn("test", 100, { latest: 99 })], [day(101)], WEIGHTS)).toBeNull();
});

const anyTurn = fc.record({
  task: fc.constantFrom("a", "b", "c", "d"),
  due: fc.integer({ min: 0, max: 40 }),
  before: fc.integer({ min: 0, max: 30 }),
  grace: fc.integer({ min: 0, max: 6 }),
  after: fc.option(fc.integer({ min: 0, max: 12 })),
  interval: fc.option(fc.integer({ min: 10, max: 90 })),
  value: fc.integer({ min: 0, max: 120 }),
  access: fc.option(fc.constantFrom("belt", "pan")),
  avoided: fc.array(fc.integer({ min: 0, max: 50 }), { maxLength: 2 }),
});

/** Turns as they come from a machine: of one task each, and in number. */
const someTurns = fc
  .uniqueArray(anyTurn, { minLength: 1, maxLength: 4, selector: ({ task }) => task })
  .map((list) =>
    list.map(({ task, due, before, grace, after, interval, value, access, avoided }) =>
      turn(task, due, {
        earliest: due - before,
        graceEnd: due + grace,
        latest: after === null ? null : due + after,
        ...{ interval, value, access, avoided },
      }),
    ),
  );

const someDays = fc
  .uniqueArray(fc.integer({ min: 0, max: 50 }), { minLength: 1, maxLength: 7 })
  .chain((days) =>
    fc
      .array(
        fc.tuple(
          fc.constantFrom(40, 40, 12, 0),
          fc.subarray(["belt", "pan"], { minLength: 0, maxLength: 1 }),
        ),
        { minLength: days.length, maxLength: days.length },
      )
      .map((given) =>
        days
          .sort((one, other) => one - other)
          .map((number, index) => {
            const [cost = 0, opened = []] = given[index] ?? [];
            // Something is open only where there is a visit already.
            return day(number, cost, cost === 0 ? opened : []);
          }),
      ),
  );

test("the plan costs what the best of all assignments costs", () => {
  fc.assert(
    fc.property(someTurns, someDays, (turns, days) => {
      const found = cheapestDays(turns, days, WEIGHTS);
      const best = bruteForce(turns, days);
      expect(found?.cost ?? Infinity).toBeCloseTo(best, 9);
      if (found === null) return;
      const chosen = found.days.map((one) => days.findIndex((each) => each.day === one));
      expect(costOf(turns, days, chosen)).toBeCloseTo(found.cost, 9);
    }),
    { numRuns: 400, seed: 7 },
  );
});

test("the days looked at are enough: all spare days give no cheaper plan", () => {
  fc.assert(
    fc.property(someTurns, fc.subarray([...Array(60).keys()], { minLength: 3 }), (turns, spare) => {
      const all = cheapestDays(
        turns,
        spare.map((one) => day(one)),
        WEIGHTS,
      );
      const few = cheapestDays(
        turns,
        candidateDays(spare as DayNumber[], turns).map((one) => day(one)),
        WEIGHTS,
      );
      expect(few?.cost ?? Infinity).toBeCloseTo(all?.cost ?? Infinity, 9);
    }),
    { numRuns: 300, seed: 7 },
  );
});
