import fc from "fast-check";
import {
  bruteForce,
  costOf,
  day,
  someDays,
  someTurns,
  turn,
  WEIGHTS,
} from "../../../test/turns.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { candidateDays } from "./candidates.js";
import { cheapestDays } from "./cheapestDays.js";
import type { Turn } from "./turn.js";
import type { VisitDay } from "./visitDay.js";

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

test("a turn whose last day comes before its date is done up to that day, past a nearer visit", () => {
  const turns = [
    turn("test", 100, { latest: 96 }),
    turn("wash", 98, { earliest: 98, latest: 98, value: 0 }),
  ];
  const days = [day(90), day(95), day(98)];
  const found = cheapestDays(turns, days, WEIGHTS);
  expect(found).toEqual({ days: [95, 98], cost: 80 + (30 * 5) / 60 });
});

test("what is left out of a visit is done at another whose access is open, not the nearest", () => {
  const given = [day(90, 0, ["belt"]), day(100, 0, ["belt"])];
  const turns = [turn("pulley", 100, { access: "belt", value: 6, avoided: [100] })];
  expect(cheapestDays(turns, given, WEIGHTS)).toEqual({ days: [90], cost: 1 });
});

test("where a turn may be done on none of the days there is no plan", () => {
  expect(cheapestDays([turn("test", 100, { latest: 99 })], [day(101)], WEIGHTS)).toBeNull();
});

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

/** The least cost by going through all sets of visits, and for each access through all sets of its openings. */
function bruteForceBySets(turns: readonly Turn[], days: readonly VisitDay[]): number {
  const sets = Array.from({ length: 1 << days.length }, (_, bits) =>
    [...days.keys()].filter((at) => (bits >> at) % 2 === 1),
  );
  const accesses = [...new Set(turns.map(({ access }) => access))];
  const costIn = (own: readonly Turn[], open: readonly number[]): number =>
    own.reduce((sum, one) => {
      const costs = open.map((at) => costOf([one], [free(days[at] as VisitDay)], [0]));
      return sum + Math.min(Infinity, ...costs);
    }, 0);
  const byAccess = accesses.map((access) => {
    const own = turns.filter((one) => one.access === access);
    return sets.map((open) => {
      const opening = access === null ? 0 : WEIGHTS.accessCost * open.length;
      return opening + costIn(own, open);
    });
  });
  const bits = [...sets.keys()];
  return Math.min(
    ...bits.map((visits) => {
      const fixed = (sets[visits] ?? []).reduce((sum, at) => sum + (days[at]?.cost ?? 0), 0);
      return byAccess.reduce((sum, costs) => {
        const within = bits.filter((open) => (open & visits) === open);
        return sum + Math.min(...within.map((open) => costs[open] as number));
      }, fixed);
    }),
  );
}

/** A day without what is paid for it, its accesses all open. */
const free = ({ day: number }: VisitDay): VisitDay => day(number, 0, ["belt", "pan", "wheels"]);

test("many turns behind few accesses cost what the best of all sets of visits costs", () => {
  const access = fc.option(fc.constantFrom("belt", "pan", "wheels"));
  const one = fc.record({ due: fc.integer({ min: 0, max: 60 }), value: fc.nat(90), access });
  const many = fc.array(one, { minLength: 10, maxLength: 14 });
  fc.assert(
    fc.property(many, (list) => {
      const turns = list.map(({ due, value, access: own }, index) =>
        turn(`t${index}`, due, { earliest: due - 40, latest: due + 25, value, access: own }),
      );
      const days = [3, 11, 20, 28, 35, 44, 52].map((number) => day(number, 25));
      const found = cheapestDays(turns, days, WEIGHTS);
      expect(found?.cost ?? Infinity).toBeCloseTo(bruteForceBySets(turns, days), 9);
      if (found === null) return;
      const chosen = found.days.map((date) => days.findIndex((each) => each.day === date));
      expect(costOf(turns, days, chosen)).toBeCloseTo(found.cost, 9);
    }),
    { numRuns: 60, seed: 7 },
  );
});

test("half a year of a machine with forty turns behind five accesses has a plan", () => {
  const turns = Array.from({ length: 40 }, (_, index) =>
    turn(`t${index}`, (index * 37) % 180, {
      earliest: ((index * 37) % 180) - 80,
      latest: ((index * 37) % 180) + 60,
      interval: 160,
      value: 20 + ((index * 13) % 90),
      access: ["belt", "pan", "wheels", "cab", "tank"][index % 5],
    }),
  );
  const days = Array.from({ length: 90 }, (_, index) => day(index * 2));
  const found = cheapestDays(turns, days, WEIGHTS);
  const chosen = found?.days.map((date) => date / 2) ?? [];
  expect(costOf(turns, days, chosen)).toBeCloseTo(found?.cost ?? 0, 9);
  const onTheDay = turns.map(({ due }) => Math.floor(due / 2));
  expect(found?.cost).toBeLessThan(costOf(turns, days, onTheDay) / 2);
});
