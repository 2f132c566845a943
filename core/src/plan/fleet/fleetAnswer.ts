import type { FleetBlock, FleetMachine, FleetProblem } from "./fleetProblem.js";

/** Minutes nearer than this count as equal. */
export const NEGLIGIBLE = 1e-6;

/** What is chosen for one machine. */
export interface Chosen {
  /** The place of the option among its own. */
  readonly option: number;
  /** Of each block of the option the place of its choice. */
  readonly choices: readonly number[];
}

/** A choice for every machine, in their order. */
export type FleetAnswer = readonly Chosen[];

/** What an answer comes to, in the book's money. */
export interface FleetCost {
  /** Visits, life unused and lateness. */
  readonly work: number;
  /** Hours more than there are, at their price. */
  readonly over: number;
  /** What all machines would cost by themselves, each its cheapest way: no answer costs less. */
  readonly alone: number;
  /** What sharing the weeks costs: all of it less `alone`. */
  readonly sharing: number;
}

/** The blocks of a machine that are chosen. */
export function blocksOf(machine: FleetMachine, { option }: Chosen): readonly FleetBlock[] {
  return machine.options[option]?.blocks ?? [];
}

/** The minutes an answer asks of each pool in each week. */
export function loadsOf({ pools, machines }: FleetProblem, answer: FleetAnswer): number[][] {
  const loads = pools.map(({ minutes }) => minutes.map(() => 0));
  machines.forEach((machine, at) => {
    const chosen = answer[at];
    if (chosen === undefined) return;
    blocksOf(machine, chosen).forEach(({ uses, choices }, index) => {
      const choice = choices[chosen.choices[index] ?? 0];
      if (choice === undefined) return;
      for (const [pool, minutes] of uses) {
        const load = loads[pool] as number[];
        load[choice.week] = (load[choice.week] ?? 0) + minutes;
      }
    });
  });
  return loads;
}

/** What a machine costs where each of its blocks is done as chosen. */
function costOf(machine: FleetMachine, chosen: Chosen): number {
  return blocksOf(machine, chosen).reduce(
    (sum, { choices }, index) => sum + (choices[chosen.choices[index] ?? 0]?.cost ?? 0),
    0,
  );
}

/** What an answer costs. */
export function costOfAnswer(problem: FleetProblem, answer: FleetAnswer): FleetCost {
  const { machines, pools, overMinute } = problem;
  const work = machines.reduce((sum, machine, at) => {
    const chosen = answer[at];
    return chosen === undefined ? sum : sum + costOf(machine, chosen);
  }, 0);
  const loads = loadsOf(problem, answer);
  const over = pools.reduce(
    (sum, { minutes }, pool) =>
      minutes.reduce(
        (all, there, week) => all + Math.max(0, (loads[pool]?.[week] ?? 0) - there) * overMinute,
        sum,
      ),
    0,
  );
  const alone = costAlone(problem);
  return { work, over, alone, sharing: Math.max(0, work + over - alone) };
}

/** What all machines cost by themselves, each its cheapest way. */
export function costAlone({ machines }: FleetProblem): number {
  return machines.reduce((sum, machine) => {
    const costs = machine.options.map(({ blocks }) =>
      blocks.reduce((all, { choices }) => all + Math.min(...choices.map(({ cost }) => cost)), 0),
    );
    return sum + Math.min(...costs);
  }, 0);
}

/** How far an answer may be from the least there can be: a share of what sharing costs at least, 0 where it is the best; null where nothing is known. */
export function gapOf(sharing: number, bound: number): number | null {
  if (sharing - bound < 0.005) return 0;
  return bound <= 0 ? null : (sharing - bound) / bound;
}
