import { at, type FleetGrid, type GridAnswer } from "./fleetGrid.js";
import type { WeekLoads } from "./weekLoads.js";

/** Less than this is no gain. */
const GAIN = 1e-7;
/** How long a search goes on. */
export interface Thoroughness {
  /** So many rounds over all blocks at most. */
  readonly rounds: number;
  /** Whether blocks also make room for others. */
  readonly makesWay: boolean;
}

const THOROUGH: Thoroughness = { rounds: 40, makesWay: true };

/**
 * Makes an answer cheaper in single steps as long as one is found: a block in another week, a machine by another of
 * its ways, two blocks of which one makes room for the other. Changes the answer in place; `loads` are its own.
 */
export function betterWeeks(
  grid: FleetGrid,
  answer: GridAnswer,
  loads: WeekLoads,
  { rounds, makesWay }: Thoroughness = THOROUGH,
): void {
  for (let round = 0; round < rounds; round += 1) {
    let gained = 0;
    for (let machine = 0; machine < grid.machines; machine += 1) {
      gained += moveBlocks(grid, answer, loads, machine);
      gained += otherOption(grid, answer, loads, machine);
    }
    if (gained < GAIN && makesWay) gained += makeWay(grid, answer, loads);
    if (gained < GAIN) return;
  }
}

/** Moves each block of a machine to its cheapest week as the others stand; answers what is gained. */
function moveBlocks(
  grid: FleetGrid,
  { option, choice }: GridAnswer,
  loads: WeekLoads,
  machine: number,
): number {
  const { blockStart, choiceWeek, choiceCost } = grid;
  let gained = 0;
  const own = at(option, machine);
  for (let block = at(blockStart, own); block < at(blockStart, own + 1); block += 1) {
    const stands = at(choice, block);
    const week = at(choiceWeek, stands);
    const before = at(choiceCost, stands) - loads.put(block, week, -1);
    const [best, cost] = cheapest(grid, loads, block);
    const isBetter = cost < before - GAIN;
    loads.put(block, isBetter ? at(choiceWeek, best) : week, 1);
    if (!isBetter) continue;
    choice[block] = best;
    gained += before - cost;
  }
  return gained;
}

/** The cheapest choice of a block that stands nowhere, and what it costs with the hours over it makes. */
function cheapest(
  { choiceStart, choiceWeek, choiceCost }: FleetGrid,
  loads: WeekLoads,
  block: number,
): [choice: number, cost: number] {
  let best = at(choiceStart, block);
  let least = Infinity;
  for (let one = at(choiceStart, block); one < at(choiceStart, block + 1); one += 1) {
    const cost = at(choiceCost, one);
    if (cost >= least) continue;
    const all = cost + loads.moreBy(block, at(choiceWeek, one), 1);
    if (all < least) [best, least] = [one, all];
  }
  return [best, least];
}

/** Takes all blocks of an option out, or puts them in as they stand; answers what that costs more. */
function putAll(
  grid: FleetGrid,
  choice: Int32Array,
  loads: WeekLoads,
  option: number,
  sign: 1 | -1,
): number {
  const { blockStart, choiceWeek, choiceCost } = grid;
  let cost = 0;
  for (let block = at(blockStart, option); block < at(blockStart, option + 1); block += 1) {
    const one = at(choice, block);
    cost += sign * at(choiceCost, one) + loads.put(block, at(choiceWeek, one), sign);
  }
  return cost;
}

/** The cheapest of a machine's ways as the others stand, its blocks put in one after the other; answers what is gained. */
function otherOption(
  grid: FleetGrid,
  { option, choice }: GridAnswer,
  loads: WeekLoads,
  machine: number,
): number {
  const { optionStart, blockStart, choiceWeek } = grid;
  const from = at(optionStart, machine);
  const to = at(optionStart, machine + 1);
  if (to - from < 2) return 0;
  const stands = at(option, machine);
  const before = -putAll(grid, choice, loads, stands, -1);
  let [best, least] = [stands, before - GAIN];
  for (let other = from; other < to; other += 1) {
    if (other === stands) continue;
    let cost = 0;
    for (let block = at(blockStart, other); block < at(blockStart, other + 1); block += 1) {
      const [one, own] = cheapest(grid, loads, block);
      choice[block] = one;
      cost += own;
      loads.put(block, at(choiceWeek, one), 1);
    }
    putAll(grid, choice, loads, other, -1);
    if (cost < least) [best, least] = [other, cost];
  }
  option[machine] = best;
  putAll(grid, choice, loads, best, 1);
  return best === stands ? 0 : before - least;
}

/** Blocks that stand in each week. */
function byWeek(grid: FleetGrid, { option, choice }: GridAnswer): number[][] {
  const { blockStart, choiceWeek } = grid;
  const weeks = Array.from({ length: grid.weeks }, (): number[] => []);
  for (const own of option) {
    for (let block = at(blockStart, own); block < at(blockStart, own + 1); block += 1) {
      weeks[at(choiceWeek, at(choice, block))]?.push(block);
    }
  }
  return weeks;
}

/** Moves a block where it would be cheaper were there room, and another out of there for it, where both together gain. */
function makeWay(grid: FleetGrid, answer: GridAnswer, loads: WeekLoads): number {
  const { choiceStart, choiceWeek, choiceCost } = grid;
  const { choice } = answer;
  const weeks = byWeek(grid, answer);
  let gained = 0;
  for (const block of weeks.flat()) {
    const stands = at(choice, block);
    const from = at(choiceWeek, stands);
    for (let to = at(choiceStart, block); to < at(choiceStart, block + 1); to += 1) {
      const week = at(choiceWeek, to);
      // Only where it would be cheaper but for the hours.
      if (week === from || at(choiceCost, to) >= at(choiceCost, stands)) continue;
      const before =
        at(choiceCost, to) -
        at(choiceCost, stands) +
        loads.put(block, from, -1) +
        loads.put(block, week, 1);
      const found = wayOut(grid, answer, loads, weeks[week] ?? [], before);
      if (found === null) {
        loads.put(block, week, -1);
        loads.put(block, from, 1);
        continue;
      }
      choice[block] = to;
      gained += found;
      break;
    }
  }
  return gained;
}

/** Moves the first of some blocks elsewhere that gains more than `paid`; answers what is gained, null where none does. */
function wayOut(
  grid: FleetGrid,
  { choice }: GridAnswer,
  loads: WeekLoads,
  blocks: readonly number[],
  paid: number,
): number | null {
  const { choiceWeek, choiceCost } = grid;
  for (const other of blocks) {
    const stands = at(choice, other);
    const week = at(choiceWeek, stands);
    const frees = at(choiceCost, stands) - loads.put(other, week, -1);
    const [best, cost] = cheapest(grid, loads, other);
    const gain = frees - cost - paid;
    if (gain > GAIN) {
      loads.put(other, at(choiceWeek, best), 1);
      choice[other] = best;
      return gain;
    }
    loads.put(other, week, 1);
  }
  return null;
}
