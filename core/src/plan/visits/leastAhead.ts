import { ChainPlan } from "./chainPlan.js";
import type { Chains } from "./chainsOf.js";
import { BEFORE, type TurnChain } from "./turnChain.js";
import type { VisitDay } from "./visitDay.js";

/** What the visits after one on a day cost at least, where each chain was last open on the days given. */
export type LeastAhead = (at: number, last: readonly number[]) => number;

/** What is known of a plan before it is searched for. */
export interface Bounds {
  readonly least: LeastAhead;
  /** What some plan costs; infinite where there is none. */
  readonly known: number;
}

/** So often the shares are bettered at most. */
const ROUNDS = 200;
/** After so many rounds without a better bound the steps are halved. */
const PATIENCE = 4;
/** A gap of so small a share of the cost is left to the search. */
const CLOSE = 0.0005;

/** What each chain pays of a visit on each day, or for being opened on it. */
type Costs = readonly (readonly number[])[];

/**
 * A bound from below of what is still to come, for leaving out ways that cannot be the cheapest. Each chain is
 * planned by itself and pays a share of each visit; as the shares of a visit add up to what it costs
 * and nothing is counted twice, the sum is never more than what a plan of all of them costs. Shares are
 * moved to the chains that want a visit from those that do not, as long as that raises the bound
 * (subgradient ascent of the Lagrangian dual with Polyak's steps).
 */
export function leastAhead(chains: Chains, days: readonly VisitDay[]): Bounds {
  const visits = days.map(({ cost }) => cost);
  const openings = openingCosts(chains, days);
  let shares: Costs = chains.all.map(() => visits.map((cost) => cost / chains.all.length));
  let plans = plansOf(chains, shares, openings);
  let best = plans;
  let known = costTogether(chains, plans, visits, openings);
  let step = 1;
  let since = 0;
  for (let round = 0; round < ROUNDS && known - best.cost > CLOSE * known; round += 1) {
    shares = movedShares(shares, plans, visits, step * (known - plans.cost));
    plans = plansOf(chains, shares, openings);
    known = Math.min(known, costTogether(chains, plans, visits, openings));
    since += 1;
    if (plans.cost > best.cost) [best, since] = [plans, 0];
    if (since === PATIENCE) [step, since] = [step / 2, 0];
  }
  const { own } = best;
  const least: LeastAhead = (at, last) =>
    last.reduce((sum, place, index) => sum + (own[index]?.least(place, at) ?? 0), 0);
  return { least, known: known + chains.constant };
}

/** What it costs each chain to be opened on each day, beside the visit. */
function openingCosts({ all, openings }: Chains, days: readonly VisitDay[]): Costs {
  const costs: number[][] = [];
  for (const { access, chains, cost } of openings) {
    for (const index of chains) {
      costs[index] = days.map(({ opened }, place) => {
        if (all[index]?.closedOn.has(place) === true) return Infinity;
        return access === null || opened.has(access) ? 0 : cost;
      });
    }
  }
  return costs;
}

/** The plans of the chains, each by itself. */
interface Plans {
  readonly own: readonly ChainPlan[];
  readonly cost: number;
}

function plansOf({ all, openings }: Chains, shares: Costs, opening: Costs): Plans {
  const own: ChainPlan[] = [];
  for (const { chains } of openings) {
    for (const index of chains) {
      const paid = (shares[index] ?? []).map(
        // What is opened for several chains is paid by them together.
        (share, place) => share + (opening[index]?.[place] ?? 0) / chains.length,
      );
      own[index] = new ChainPlan((all[index] as Chains["all"][number]).chain, paid);
    }
  }
  return { own, cost: own.reduce((sum, { cost }) => sum + cost, 0) };
}

/** What a plan costs in which each chain may have all visits that any chain wants. */
function costTogether(
  { all }: Chains,
  { own }: Plans,
  visits: readonly number[],
  openings: Costs,
): number {
  const wanted = [...new Set(own.flatMap((plan) => plan.visits()))].sort((a, b) => a - b);
  const together = wanted.reduce((sum, place) => sum + (visits[place] ?? 0), 0);
  return all.reduce((sum, { chain }, index) => {
    const opening = openings[index] ?? [];
    return sum + leastOnSome(chain, wanted, opening);
  }, together);
}

/** The least that a chain costs where it may have visits on some days only. */
function leastOnSome(
  chain: TurnChain,
  some: readonly number[],
  opening: readonly number[],
): number {
  const end = opening.length;
  const after: number[] = [];
  for (let at = some.length - 1; at >= -1; at -= 1) {
    const from = some[at] ?? BEFORE;
    let least = chain.between(from, end);
    for (let next = at + 1; next < some.length; next += 1) {
      const day = some[next] as number;
      least = Math.min(
        least,
        chain.between(from, day) + (opening[day] as number) + (after[next + 1] as number),
      );
    }
    after[at + 1] = least;
  }
  return after[0] as number;
}

/** Shares moved towards the chains that want a visit on a day: none below nothing, all of a day adding up to what it costs. */
function movedShares(shares: Costs, { own }: Plans, visits: readonly number[], gap: number): Costs {
  const wants = new Map<number, number[]>();
  for (const [index, plan] of own.entries()) {
    for (const place of plan.visits()) wants.set(place, [...(wants.get(place) ?? []), index]);
  }
  // What all want stays as it is.
  const parted = [...wants].filter(([, chains]) => chains.length < own.length);
  const length = parted.reduce(
    (sum, [, { length: some }]) => sum + some * (1 - some / own.length),
    0,
  );
  if (length === 0) return shares;
  const moved = shares.map((one) => [...one]);
  for (const [place, chains] of parted) {
    const mean = chains.length / own.length;
    const pulled = shares.map(
      (one, index) =>
        (one[place] as number) + (gap / length) * (Number(chains.includes(index)) - mean),
    );
    const level = levelOf(pulled, visits[place] as number);
    for (const [index, one] of moved.entries()) {
      one[place] = Math.max(0, (pulled[index] as number) - level);
    }
  }
  return moved;
}

/** What is to be taken from each of some numbers so that those still above nothing add up to a sum. */
function levelOf(numbers: readonly number[], wanted: number): number {
  const sorted = [...numbers].sort((one, other) => other - one);
  let sum = 0;
  let level = 0;
  for (const [index, number] of sorted.entries()) {
    sum += number;
    const next = (sum - wanted) / (index + 1);
    if (number < next) break;
    level = next;
  }
  return level;
}
