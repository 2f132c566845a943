import fc from "fast-check";
import loadHighs, { type Highs } from "highs";
import { TODAY } from "../../../test/plans.js";
import { randomFleet } from "../../../test/randomFleet.js";
import { blocksOf, costAlone, costOfAnswer, loadsOf } from "./fleetAnswer.js";
import { FleetGrid } from "./fleetGrid.js";
import { fleetMilp } from "./fleetModel.js";
import type { FleetMachine, FleetProblem } from "./fleetProblem.js";
import { prepareFleet, type FleetBook } from "./prepareFleet.js";
import { shareWeeks, type Shared } from "./shareWeeks.js";
import { solveFleet } from "./solveFleet.js";

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

/** What a generator comes to. */
function endOf<Step, End>(steps: Generator<Step, End, undefined>): End {
  for (;;) {
    const step = steps.next();
    if (step.done === true) return step.value;
  }
}

const problemOf = (book: FleetBook): FleetProblem => endOf(prepareFleet(book, TODAY));
const solved = (problem: FleetProblem, known: Shared) =>
  solveFleet(highs, problem, { known, gap: 0, seconds: Infinity, onFound: () => undefined });

/** Every way a machine's work may be put, as what it asks of pools and weeks with what it costs: the cheapest of those that ask the same. */
function waysOf({ options }: FleetMachine, { pools, weeks }: FleetProblem): [number[], number][] {
  const found = new Map<string, [number[], number]>();
  for (const { blocks } of options) {
    let ways: [number[], number][] = [[pools.flatMap(() => weeks.map(() => 0)), 0]];
    for (const { choices, uses } of blocks) {
      ways = ways.flatMap(([loads, cost]) =>
        choices.map(({ week, cost: own }): [number[], number] => {
          const next = [...loads];
          for (const [pool, minutes] of uses) {
            next[pool * weeks.length + week] = (next[pool * weeks.length + week] ?? 0) + minutes;
          }
          return [next, cost + own];
        }),
      );
    }
    for (const way of ways) {
      const key = way[0].join(" ");
      if ((found.get(key)?.[1] ?? Infinity) > way[1]) found.set(key, way);
    }
  }
  return [...found.values()];
}

/** The least that sharing the weeks costs, of all there is. */
function leastSharing(problem: FleetProblem): number {
  const { pools, overMinute } = problem;
  const there = pools.flatMap(({ minutes }) => minutes);
  const all = problem.machines.map((machine) => waysOf(machine, problem));
  let least = Infinity;
  const go = (at: number, loads: readonly number[], cost: number): void => {
    const own = all[at];
    if (own === undefined) {
      const over = loads.reduce(
        (sum, one, place) => sum + Math.max(0, one - (there[place] ?? 0)),
        0,
      );
      least = Math.min(least, cost + over * overMinute);
      return;
    }
    for (const [more, dearer] of own) {
      if (cost + dearer >= least) continue;
      go(
        at + 1,
        loads.map((one, place) => one + (more[place] ?? 0)),
        cost + dearer,
      );
    }
  };
  go(
    0,
    there.map(() => 0),
    0,
  );
  return least - costAlone(problem);
}

test("three machines, four weeks: the same cost as the best of every assignment of the same plans", () => {
  let shared = 0;
  let ways = 0;
  fc.assert(
    fc.property(randomFleet({ machines: 3, weeks: 3 }), (book) => {
      const problem = problemOf(book);
      const first = endOf(shareWeeks(problem));
      const least = leastSharing(problem);
      expect(first.bound).toBeLessThanOrEqual(least + 1e-6);
      expect(first.sharing).toBeGreaterThanOrEqual(least - 1e-6);
      const best = solved(problem, first);
      expect(costOfAnswer(problem, best.answer).sharing).toBeCloseTo(least, 5);
      expect(best.sharing).toBeCloseTo(least, 5);
      expect(best.bound).toBeCloseTo(least, 4);
      shared += Number(least > 0.01);
      ways += Number(problem.machines.some(({ options }) => options.length > 1));
    }),
    { numRuns: 300, seed: 2601 },
  );
  expect(shared).toBeGreaterThan(150);
  expect(ways).toBeGreaterThan(60);
});

test("an answer goes into the model's columns and back, and keeps to all of its rows", () => {
  fc.assert(
    fc.property(randomFleet({ machines: 4, weeks: 6 }), (book) => {
      const problem = problemOf(book);
      const { answer } = endOf(shareWeeks(problem));
      const { model, columnsOf, answerOf } = fleetMilp(problem);
      const columns = columnsOf(answer);
      expect(answerOf(columns)).toEqual(answer);
      const { starts, indices, values } = model.matrix;
      const rows = new Float64Array(model.numRows);
      let cost = model.offset;
      for (let column = 0; column < model.numCols; column += 1) {
        const value = columns[column] ?? 0;
        cost += value * (model.colCost[column] ?? 0);
        for (let one = starts[column] ?? 0; one < (starts[column + 1] ?? 0); one += 1) {
          const row = indices[one] ?? 0;
          rows[row] = (rows[row] ?? 0) + value * (values[one] ?? 0);
        }
      }
      expect(cost).toBeCloseTo(costOfAnswer(problem, answer).sharing, 5);
      for (const [row, value] of rows.entries()) {
        expect(value).toBeGreaterThanOrEqual((model.rowLower[row] ?? 0) - 1e-9);
        expect(value).toBeLessThanOrEqual((model.rowUpper[row] ?? 0) + 1e-9);
      }
    }),
    { numRuns: 100, seed: 2602 },
  );
});

test("every answer on the way is what it is said to cost, and bounds only rise", () => {
  fc.assert(
    fc.property(randomFleet({ machines: 5, weeks: 8 }), (book) => {
      const problem = problemOf(book);
      let before: Shared | null = null;
      for (const found of shareWeeks(problem)) {
        expect(costOfAnswer(problem, found.answer).sharing).toBeCloseTo(found.sharing, 6);
        expect(found.bound).toBeLessThanOrEqual(found.sharing + 1e-9);
        if (before !== null) {
          expect(found.sharing).toBeLessThanOrEqual(before.sharing);
          expect(found.bound).toBeGreaterThanOrEqual(Math.min(before.bound, found.sharing) - 1e-9);
        }
        before = found;
      }
    }),
    { numRuns: 100, seed: 2603 },
  );
});

test("pinned visits stay, turns are done once, nothing is put on a closed day, and loads are sums", () => {
  fc.assert(
    fc.property(randomFleet({ machines: 4, weeks: 6 }), (book) => {
      const problem = problemOf(book);
      const { answer } = endOf(shareWeeks(problem));
      const grid = new FleetGrid(problem);
      expect(grid.answerOf(grid.gridAnswer(answer))).toEqual(answer);
      for (const [at, { options }] of problem.machines.entries()) {
        const keys = options.map(({ blocks }) =>
          blocks
            .flatMap(({ turns, added }) => [...turns, ...added])
            .map(({ task, number }) => `${task} ${number}`)
            .sort(),
        );
        // All ways do the same turns, each once.
        for (const own of keys) {
          expect(own).toEqual(keys[0]);
          expect(new Set(own).size).toBe(own.length);
        }
        for (const { blocks } of options) {
          for (const { held, choices, day } of blocks) {
            if (held?.pinned === true) expect(choices.map((one) => one.day)).toEqual([day]);
            const weeks = choices.map(({ week }) => week);
            expect(weeks).toEqual([...new Set(weeks)].sort((a, b) => a - b));
          }
        }
        expect(answer[at]?.choices).toHaveLength(
          options[answer[at]?.option ?? 0]?.blocks.length ?? -1,
        );
      }
      const minutes = loadsOf(problem, answer).map((load) =>
        load.reduce((sum, one) => sum + one, 0),
      );
      const work = problem.machines.flatMap((machine, at) =>
        blocksOf(machine, answer[at] ?? { option: 0, choices: [] }).map((block) => block.minutes),
      );
      const all = work.reduce((sum, one) => sum + one, 0);
      // All of one's own work is in the pools of all people, and of all bays.
      problem.pools.forEach(({ isWhole }, pool) => {
        if (isWhole) expect(minutes[pool]).toBe(all);
        else expect(minutes[pool]).toBeLessThanOrEqual(all);
      });
    }),
    { numRuns: 150, seed: 2604 },
  );
});
