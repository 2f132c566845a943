import type { DayNumber } from "../../calendar/dayNumber.js";
import { chainsOf, type Chains } from "./chainsOf.js";
import { leastAhead, type LeastAhead } from "./leastAhead.js";
import type { Turn } from "./turn.js";
import { BEFORE } from "./turnChain.js";
import type { VisitDay, Weights } from "./visitDay.js";

/** Which turns are done on which days, at the least cost. */
export interface CheapestDays {
  /** The day of each turn, in the order given. */
  readonly days: readonly DayNumber[];
  readonly cost: number;
}

/** A way to the visit of a day: what it has cost so far, what each chain of turns was last opened for, and how it came there. */
interface State {
  readonly cost: number;
  /** The place of the last visit of each chain. */
  readonly last: readonly number[];
  /** The place of its day. */
  readonly at: number;
  readonly before: State | null;
}

/** So many ways to a day are kept in a narrow search. */
const NARROW = 4;
/** In it a level is let grow to so many times what is kept before it is sorted. */
const SLACK = 4;
/** Costs nearer than this count as equal, as sums of many do not come out the same in another order. */
const NEGLIGIBLE = 1e-9;

/**
 * The cheapest days for some turns of one machine, exactly, among `days` (rising): each visit costs what
 * its day costs, each turn what {@link costOfTurn} says, each access once a visit. Null where there is no
 * way to do all of them.
 *
 * Dynamic programming over the days (docs/visits.md). What is done between neighbouring visits is settled by these
 * two ({@link TurnChain}); so all that matters of a way to a visit is when each access was last open. Of two
 * ways, one that has cost no more and was nowhere open earlier than the other is never the worse, and the other
 * is let go; so is one that cannot come down to what some plan is known to cost ({@link leastAhead}). A narrow
 * search first betters what is known.
 */
export function cheapestDays(
  turns: readonly Turn[],
  days: readonly VisitDay[],
  weights: Weights,
): CheapestDays | null {
  const chains = chainsOf(turns, days, weights);
  if (chains === null) return null;
  const { least, known } = leastAhead(chains, days);
  if (known === Infinity) return null;
  const narrow = search(chains, days, { most: NARROW, upTo: known, least });
  if (!narrow.isCut) return narrow.found;
  const upTo = Math.min(known, narrow.found?.cost ?? Infinity);
  return search(chains, days, { most: Infinity, upTo, least }).found;
}

/** How a search is narrowed. */
interface Narrowing {
  /** So many ways to a day are kept. */
  readonly most: number;
  /** Ways that must cost more are let go. */
  readonly upTo: number;
  readonly least: LeastAhead;
}

interface Searched {
  readonly found: CheapestDays | null;
  /** Whether ways were let go for their number, so that there may be a cheaper one. */
  readonly isCut: boolean;
}

function search(chains: Chains, days: readonly VisitDay[], narrowing: Narrowing): Searched {
  const { most } = narrowing;
  const levels = days.map((): readonly State[] => []);
  let isCut = false;
  let best: State | null = null;
  let least = Infinity;
  const goOn = (state: State): void => {
    const cost = costToEnd(state, chains, days.length);
    if (cost < least) [best, least] = [state, cost];
    const until = nextBy(state, chains, days);
    for (let next = state.at + 1; next <= until; next += 1) {
      const ways = waysOn(state, next, chains, days[next] as VisitDay);
      const level = withWays(levels[next] ?? [], ways, narrowing);
      const isTooMuch = level.length > most * SLACK;
      isCut ||= isTooMuch;
      levels[next] = isTooMuch ? mostPromising(level, narrowing) : level;
    }
  };
  const last = chains.all.map(() => BEFORE);
  goOn({ cost: chains.constant, last, at: BEFORE, before: null });
  for (const at of days.keys()) {
    const level = levels[at] ?? [];
    isCut ||= level.length > most;
    mostPromising(level, narrowing).forEach(goOn);
    levels[at] = [];
  }
  return { found: best === null ? null : foundBy(best, least, chains, days), isCut };
}

/** What a way costs if no visit follows. */
function costToEnd({ cost, last }: State, { all }: Chains, end: number): number {
  return all.reduce(
    (sum, { chain }, index) => sum + chain.between(last[index] as number, end),
    cost,
  );
}

/** The last day on which the visit after a state's may be. */
function nextBy({ at, last }: State, { all }: Chains, days: readonly VisitDay[]): number {
  const must = all.map(({ chain }, index) => chain.mustBy(last[index] as number));
  // A visit there is already costs nothing more and opens the way for all.
  const given = days.findIndex(({ cost }, place) => place > at && cost === 0);
  return Math.min(days.length - 1, given < 0 ? Infinity : given, ...must);
}

/** The ways on from a state to a visit on a day: each access opened or left closed. */
function waysOn(state: State, next: number, { all, openings }: Chains, day: VisitDay): State[] {
  let ways: State[] = [{ ...state, cost: state.cost + day.cost, at: next, before: state }];
  for (const { chains, access, cost } of openings) {
    const isOpen = access === null || day.opened.has(access);
    const opened = ways.map((way) => open(way, chains, next, isOpen ? 0 : cost, all));
    if (isOpen) ways = opened;
    else if (
      chains.some((index) => all[index]?.chain.isServedOn(next, state.last[index] as number))
    ) {
      ways = [...ways, ...opened];
    }
  }
  return ways.filter(
    ({ cost, last }) =>
      cost < Infinity &&
      all.every(({ chain }, index) => chain.mustBy(last[index] as number) > next),
  );
}

function open(
  way: State,
  chains: readonly number[],
  next: number,
  cost: number,
  all: Chains["all"],
): State {
  const last = [...way.last];
  let sum = way.cost + cost;
  for (const index of chains) {
    const { chain, closedOn } = all[index] as Chains["all"][number];
    if (closedOn.has(next)) continue;
    sum += chain.between(last[index] as number, next);
    last[index] = next;
  }
  return { ...way, cost: sum, last };
}

/** The ways to a day with some more: without those that must cost too much, and those that another is never worse than. */
function withWays(
  level: readonly State[],
  ways: readonly State[],
  { upTo, least }: Narrowing,
): readonly State[] {
  let kept = level;
  for (const way of ways) {
    if (way.cost + least(way.at, way.last) > upTo + NEGLIGIBLE) continue;
    if (kept.some((other) => isNeverWorse(other, way))) continue;
    kept = [...kept.filter((other) => !isNeverWorse(way, other)), way];
  }
  return kept;
}

function isNeverWorse(one: State, other: State): boolean {
  return (
    one.cost <= other.cost &&
    one.last.every((place, index) => place >= (other.last[index] as number))
  );
}

/** As many ways as are kept, the most promising. */
function mostPromising(level: readonly State[], { most, least }: Narrowing): readonly State[] {
  const promise = ({ cost, at, last }: State): number => cost + least(at, last);
  return [...level].sort((one, other) => promise(one) - promise(other)).slice(0, most);
}

/** The days of the turns on a way. */
function foundBy(
  way: State,
  cost: number,
  { all, count }: Chains,
  days: readonly VisitDay[],
): CheapestDays {
  const places: number[] = new Array<number>(count).fill(0);
  all.forEach(({ chain }, index) => {
    const visits: number[] = [];
    for (let state: State | null = way; state !== null; state = state.before) {
      const place = state.last[index] as number;
      if (place >= 0 && place !== visits[0]) visits.unshift(place);
    }
    for (const { turn, at } of chain.settle(visits)) places[turn] = at;
  });
  return { days: places.map((place) => (days[place] as VisitDay).day), cost };
}
