import fc from "fast-check";
import { day, someDays, someTurns, turn, WEIGHTS } from "../../../test/turns.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { ChainPlan } from "./chainPlan.js";
import { chainsOf } from "./chainsOf.js";
import { costOfTurn, countsOn, isAllowed, isPastHardEnd, turnOn, type Turn } from "./turn.js";
import { BEFORE, chainedTurn, TurnChain } from "./turnChain.js";

const DAYS = [90, 95, 100, 105, 110] as DayNumber[];

/** A chain of some turns over the days. */
function chainOf(...turns: readonly Turn[]): TurnChain {
  const chained = turns.map((one, place) => chainedTurn(one, place, DAYS, WEIGHTS));
  return new TurnChain(
    chained.filter((one) => one !== null),
    DAYS.length,
  );
}

const LATE = DAYS.length;

describe("a turn on some days", () => {
  test("is cheapest on its date, dearer to both sides, and infinite where it may not be done", () => {
    const one = chainedTurn(turn("oil", 100, { latest: 106, earliest: 95 }), 0, DAYS, WEIGHTS);
    expect(one?.costs).toEqual([Infinity, 2.5, 0, 20, Infinity]);
    expect([one?.first, one?.best, one?.last]).toEqual([1, 2, 3]);
  });

  test("may be done on none of the days", () => {
    expect(chainedTurn(turn("oil", 300), 0, DAYS, WEIGHTS)).toBeNull();
    expect(chainedTurn(turn("oil", 90, { avoided: DAYS }), 0, DAYS, WEIGHTS)).toBeNull();
  });
});

describe("between two neighbouring visits", () => {
  test("each turn is done at the cheaper of the two", () => {
    const chain = chainOf(turn("oil", 101, { value: 60 }));
    // A day early throws a sixtieth of it away; four days late cost four times four.
    expect(chain.between(1, 2)).toBeCloseTo(1, 9);
    expect(chain.between(1, 3)).toBeCloseTo(6, 9);
    expect(chain.between(BEFORE, 3)).toBe(16);
    // What is settled by a visit on its cheapest day is not looked at again.
    expect(chain.between(2, 3)).toBe(0);
    expect(chain.between(1, LATE)).toBeCloseTo(6, 9);
    expect(chain.between(BEFORE, LATE)).toBe(Infinity);
  });

  test("only what falls between them is settled, so that a row of visits adds up to all of it", () => {
    const turns = [turn("oil", 92), turn("wash", 104), turn("belt", 109)];
    const chain = chainOf(...turns);
    const visits = [0, 2, 4];
    const steps = [BEFORE, ...visits].map((from, at) => chain.between(from, visits[at] ?? LATE));
    const settled = chain.settle(visits);
    const cost = settled.reduce((sum, { turn: place, at }) => {
      const own = costOfTurn(turns[place] as Turn, DAYS[at] as DayNumber, WEIGHTS);
      return sum + own.wasted + own.late;
    }, 0);
    expect(steps.reduce((sum, one) => sum + one, 0)).toBeCloseTo(cost, 9);
    expect(settled.map(({ turn: place }) => place).sort()).toEqual([0, 1, 2]);
  });

  test("another visit must come before the last day of what none has settled yet", () => {
    const chain = chainOf(turn("test", 103, { latest: 106 }), turn("wash", 108));
    expect(chain.mustBy(BEFORE)).toBe(3);
    // A visit on the 95th can do both, early.
    expect(chain.mustBy(1)).toBe(Infinity);
    expect(chain.isServedOn(3, BEFORE)).toBe(true);
    expect(chainOf(turn("test", 100, { latest: 101 })).isServedOn(3, BEFORE)).toBe(false);
  });
});

test("the plan of one chain costs no more than that of any set of visits", () => {
  const chain = chainOf(turn("oil", 92), turn("wash", 101, { value: 200 }), turn("belt", 109));
  const paid = [30, 12, 30, 25, 18];
  const plan = new ChainPlan(chain, paid);
  const costs = Array.from({ length: 32 }, (_, bits) => {
    const visits = [0, 1, 2, 3, 4].filter((at) => (bits >> at) % 2 === 1);
    const steps = [BEFORE, ...visits].map((from, at) => chain.between(from, visits[at] ?? LATE));
    const fixed = visits.reduce((sum, at) => sum + (paid[at] ?? 0), 0);
    return fixed + steps.reduce((sum, one) => sum + one, 0);
  });
  expect(plan.cost).toBeCloseTo(Math.min(...costs), 9);
  expect(plan.least(BEFORE, 3)).toBeGreaterThanOrEqual(plan.cost);
  expect(plan.visits()).not.toEqual([]);
});

test("turns are put together by what they need open and are left out of; what one task alone opens is paid for once a turn", () => {
  const turns = [
    turn("oil", 100, { access: "sump" }),
    turn("belt", 100, { access: "front" }),
    turn("pump", 101, { access: "front" }),
    turn("hose", 101, { access: "front", avoided: [100] }),
    turn("wash", 102),
  ];
  const chains = chainsOf(turns, [day(95), day(100), day(105)], WEIGHTS);
  expect(chains?.constant).toBe(WEIGHTS.accessCost);
  expect(chains?.openings.map(({ access, chains: own }) => [access, own.length])).toEqual([
    [null, 1],
    ["front", 2],
  ]);
  expect(chains?.all.map(({ chain }) => chain.settle([]).length)).toEqual([2, 2, 1]);
  expect(chains?.all.map(({ closedOn }) => [...closedOn])).toEqual([[], [], [1]]);
});

test("every turn is in one chain, whatever the turns and days", () => {
  fc.assert(
    fc.property(someTurns, someDays, (turns, days) => {
      const chains = chainsOf(turns, days, WEIGHTS);
      const isPossible = turns.every((one) => days.some((each) => isAllowed(one, each.day)));
      expect(chains !== null).toBe(isPossible);
      if (chains === null) return;
      const sizes = chains.all.map(({ chain }) => chain.settle([]).length);
      expect(sizes.reduce((sum, size) => sum + size, 0)).toBe(turns.length);
    }),
    { numRuns: 200, seed: 7 },
  );
});

test("of the turns of a task that of a day is found: one that may be done on it, else the nearest, overdue ones from today", () => {
  const turns = [
    turn("oil", 20, { earliest: 10, latest: 110 }),
    turn("oil", 130, { number: 2, earliest: 125, latest: null }),
    turn("wash", 100),
  ];
  const of = (to: number): number | undefined =>
    turnOn(turns, "oil" as Turn["task"], to as DayNumber, 90 as DayNumber)?.number;
  expect([91, 110, 111, 125].map(of)).toEqual([1, 1, 2, 2]);
  expect([
    turnOn(
      [turn("oil", 20, { latest: 20 }), turn("oil", 130, { earliest: 125 })],
      "oil" as Turn["task"],
      100 as DayNumber,
      90 as DayNumber,
    )?.due,
  ]).toEqual([20]);
  expect(turnOn(turns, "belt" as Turn["task"], 100 as DayNumber, 90 as DayNumber)).toBeNull();
});

test("on fixed dates what is done before its days does not count; elsewhere it does, early as it is", () => {
  const onGrid = turn("test", 100, { earliest: 80, interval: null });
  const counts = [79, 80, 120].map((to) => countsOn(onGrid, to as DayNumber));
  expect(counts).toEqual([false, true, true]);
  expect(countsOn(turn("oil", 100, { earliest: 80 }), 60 as DayNumber)).toBe(true);
});

test("a hard end is passed on the day after it, and never where there is none", () => {
  const hard = turn("test", 100, { hardEnd: 96 });
  expect([96, 97].map((to) => isPastHardEnd(hard, to as DayNumber))).toEqual([false, true]);
  expect(isPastHardEnd(turn("oil", 100), 300 as DayNumber)).toBe(false);
});
