import fc from "fast-check";
import type { DayNumber } from "../src/calendar/dayNumber.js";
import { costOfTurn, isAllowed, type Turn } from "../src/plan/visits/turn.js";
import type { VisitDay, Weights } from "../src/plan/visits/visitDay.js";

/** What the small cases are weighed by. */
export const WEIGHTS: Weights = { accessCost: 7, lateADay: 1, pastGraceADay: 4 };

/** A turn of a task that opens nothing, unless it says otherwise. */
export function turn(
  task: string,
  due: number,
  more: Partial<Record<keyof Turn, unknown>> = {},
): Turn {
  return {
    ...{ task, number: 1, due, earliest: due - 30, latest: null, graceEnd: due, hardEnd: null },
    ...{ interval: 60, value: 30, access: null, minutes: 30, isOutside: false },
    ...more,
  } as unknown as Turn;
}

/** A day on which a visit is or may be. */
export const day = (number: number, cost = 40, opened: readonly string[] = []): VisitDay => ({
  day: number as DayNumber,
  cost,
  opened: new Set(opened),
});

/** The cost of an assignment of turns to days, counted out. */
export function costOf(
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
export function bruteForce(turns: readonly Turn[], days: readonly VisitDay[]): number {
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

const anyTurn = fc.record({
  task: fc.constantFrom("a", "b", "c", "d"),
  due: fc.integer({ min: 0, max: 40 }),
  before: fc.integer({ min: 0, max: 30 }),
  grace: fc.integer({ min: 0, max: 6 }),
  after: fc.option(fc.integer({ min: -15, max: 12 })),
  interval: fc.option(fc.integer({ min: 10, max: 90 })),
  value: fc.integer({ min: 0, max: 120 }),
  access: fc.option(fc.constantFrom("belt", "pan")),
  avoided: fc.array(fc.integer({ min: 0, max: 50 }), { maxLength: 2 }),
});

/** Turns as they come from a machine: of one task each, and in number. */
export const someTurns = fc
  .uniqueArray(anyTurn, { minLength: 1, maxLength: 4, selector: ({ task }) => task })
  .map((list) =>
    list.map(({ task, due, before, grace, after, interval, value, access, avoided }) =>
      turn(task, due, {
        earliest: due - before,
        graceEnd: due + grace,
        // A hard limit by meter ends before its likely date.
        latest: after === null ? null : due + after,
        ...{ interval, value, access, avoided },
      }),
    ),
  );

/** A few days, some of them with a visit already. */
export const someDays = fc
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
