import { betterWeeks } from "./betterWeeks.js";
import { costOfAnswer, type FleetAnswer } from "./fleetAnswer.js";
import { at, FleetGrid, type GridAnswer } from "./fleetGrid.js";
import type { FleetProblem } from "./fleetProblem.js";
import { WeekLoads } from "./weekLoads.js";

/** How far the weeks are shared. */
export interface Shared {
  readonly answer: FleetAnswer;
  /** What sharing the weeks costs by the answer, in the book's money. */
  readonly sharing: number;
  /** What it costs at least, however they are shared. */
  readonly bound: number;
  /** What an hour more of each pool in each week would save about, in the book's money. */
  readonly worth: readonly (readonly number[])[];
}

/** So many steps of prices at most. */
const STEPS = 600;
/** An answer is made of the prices every so many steps. */
const EVERY = 40;
/** After so many steps without a better bound they are halved. */
const PATIENCE = 12;
/** So near to the bound it is left as it is: a share of what sharing costs. */
const CLOSE = 0.0005;
const MINUTES_AN_HOUR = 60;

/**
 * A first answer and a bound, by prices: an hour of a pool in a week has a price, from nothing to that of an hour
 * over, and each machine goes to its cheapest weeks at these prices. Prices rise where that asks for more than there is and fall
 * where it asks for less (subgradient steps of the Lagrangian dual, after Polyak); what all machines pay less what the
 * hours there are fetch is never more than what the best answer costs. Now and then the machines' choices are made cheaper
 * in single steps ({@link betterWeeks}), as hours over are then paid in full.
 *
 * Yields after each step that answers anew; the last is the best that was found. Stops by itself. With an answer that is
 * `known`, nothing worse is ever answered.
 */
export function* shareWeeks(
  problem: FleetProblem,
  known: FleetAnswer | null = null,
): Generator<Shared, Shared, undefined> {
  const grid = new FleetGrid(problem);
  const loads = new WeekLoads(grid);
  const prices = new Prices(grid);
  let best: { answer: FleetAnswer; sharing: number } | null =
    known === null ? null : { answer: known, sharing: costOfAnswer(problem, known).sharing };
  const told = (): Shared => ({
    answer: best?.answer ?? [],
    sharing: best?.sharing ?? Infinity,
    bound: Math.min(prices.bound, best?.sharing ?? Infinity),
    worth: prices.worth(),
  });
  for (let step = 0; step <= STEPS; step += 1) {
    const chosen = prices.choose();
    loads.fill(chosen);
    if (step % EVERY === 0) {
      const copy = { option: chosen.option.slice(), choice: chosen.choice.slice() };
      const own = new WeekLoads(grid);
      own.fill(copy);
      betterWeeks(grid, copy, own);
      const answer = grid.answerOf(copy);
      const { sharing } = costOfAnswer(problem, answer);
      if (best === null || sharing < best.sharing) best = { answer, sharing };
      yield told();
    }
    const sharing = best?.sharing ?? Infinity;
    if (sharing - prices.bound <= Math.max(0.005, CLOSE * sharing)) break;
    if (!prices.step(loads, sharing)) break;
  }
  return told();
}

/** So many steps of prices go before a rough answer, and so many rounds after. */
const ROUGH = { steps: 80, rounds: 4, makesWay: false };

/** An answer soon: some steps of prices, and a few single steps that make what they ask for cheaper. */
export function roughWeeks(problem: FleetProblem): FleetAnswer {
  const grid = new FleetGrid(problem);
  const loads = new WeekLoads(grid);
  const prices = new Prices(grid);
  let chosen = prices.choose();
  loads.fill(chosen);
  const known = loads.overCost();
  for (let step = 0; step < ROUGH.steps && prices.step(loads, known); step += 1) {
    chosen = prices.choose();
    loads.fill(chosen);
  }
  betterWeeks(grid, chosen, loads, ROUGH);
  return grid.answerOf(chosen);
}

/** What an hour of each pool costs in each week, and what is known by it. */
class Prices {
  /** The best bound so far: of what sharing costs. */
  bound = -Infinity;
  private readonly prices: Float64Array;
  private best: Float64Array;
  private scale = 1;
  private since = 0;
  /** What the last choice comes to at these prices. */
  private last = 0;

  constructor(private readonly grid: FleetGrid) {
    this.prices = new Float64Array(grid.there.length);
    this.best = this.prices.slice();
  }

  /** What an hour more would save about, by pool and week, at the prices of the best bound. */
  worth(): number[][] {
    const { pools, weeks } = this.grid;
    return Array.from({ length: pools }, (_, pool) =>
      Array.from(
        this.best.subarray(pool * weeks, (pool + 1) * weeks),
        (price) => price * MINUTES_AN_HOUR,
      ),
    );
  }

  /** The cheapest way of every machine at these prices; makes the bound better where it can. */
  choose(): GridAnswer {
    const { grid, prices } = this;
    const { optionStart, machines, there } = grid;
    const answer = grid.empty();
    let sum = 0;
    for (let machine = 0; machine < machines; machine += 1) {
      let least = Infinity;
      for (let one = at(optionStart, machine); one < at(optionStart, machine + 1); one += 1) {
        const cost = this.chooseOption(one, answer.choice);
        if (cost < least) [least, answer.option[machine]] = [cost, one];
      }
      sum += least;
    }
    for (const [place, price] of prices.entries()) sum -= price * at(there, place);
    this.last = sum - grid.alone;
    this.since += 1;
    if (this.last > this.bound + 1e-9) {
      [this.bound, this.since, this.best] = [this.last, 0, prices.slice()];
    } else if (this.since >= PATIENCE) {
      [this.scale, this.since] = [this.scale / 2, 0];
    }
    return answer;
  }

  private chooseOption(option: number, choice: Int32Array): number {
    const { blockStart, choiceStart, choiceWeek, choiceCost } = this.grid;
    let sum = 0;
    for (let block = at(blockStart, option); block < at(blockStart, option + 1); block += 1) {
      let least = Infinity;
      for (let one = at(choiceStart, block); one < at(choiceStart, block + 1); one += 1) {
        const own = at(choiceCost, one);
        if (own >= least) continue;
        const cost = own + this.priceOf(block, at(choiceWeek, one));
        if (cost < least) [least, choice[block]] = [cost, one];
      }
      sum += least;
    }
    return sum;
  }

  private priceOf(block: number, week: number): number {
    const { useStart, usePool, useMinutes, weeks } = this.grid;
    let sum = 0;
    for (let use = at(useStart, block); use < at(useStart, block + 1); use += 1) {
      sum += at(this.prices, at(usePool, use) * weeks + week) * at(useMinutes, use);
    }
    return sum;
  }

  /** Moves the prices towards what an answer known to cost so much leaves to gain; false where nothing moves any more. */
  step(loads: WeekLoads, known: number): boolean {
    const { prices } = this;
    const most = this.grid.overMinute;
    const pulls = prices.map((price, place) => {
      const over = loads.overIn(place);
      return (price <= 0 && over < 0) || (price >= most && over > 0) ? 0 : over;
    });
    const length = pulls.reduce((sum, pull) => sum + pull * pull, 0);
    if (length < 1e-9 || this.scale < 1e-4) return false;
    const size = (this.scale * Math.max(known - this.last, 1e-3)) / length;
    for (const [place, pull] of pulls.entries()) {
      prices[place] = Math.min(most, Math.max(0, at(prices, place) + size * pull));
    }
    return true;
  }
}
