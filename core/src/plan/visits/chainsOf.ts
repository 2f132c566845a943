import type { VisitDay, Weights } from "./visitDay.js";
import type { Turn } from "./turn.js";
import { chainedTurn, TurnChain } from "./turnChain.js";

/** A chain of turns, and the places of the days on which it stays closed though its access is open: its turns are left out there. */
interface OpenChain {
  readonly chain: TurnChain;
  readonly closedOn: ReadonlySet<number>;
}

/** What is opened at a visit for some chains together; `access` is null for what is open at each. */
interface Opening {
  readonly access: string | null;
  readonly cost: number;
  /** The places of the chains among all. */
  readonly chains: readonly number[];
}

/** The turns of a machine, put together by when they can be done. */
export interface Chains {
  readonly all: readonly OpenChain[];
  readonly openings: readonly Opening[];
  /** What is paid whatever the days: the accesses that one task alone needs, once a turn. */
  readonly constant: number;
  /** How many turns there are. */
  readonly count: number;
}

/** Puts turns together by what they need open and what they are left out of; null where one may be done on no day. */
export function chainsOf(
  turns: readonly Turn[],
  days: readonly VisitDay[],
  weights: Weights,
): Chains | null {
  const dates = days.map(({ day }) => day);
  const shared = sharedAccesses(turns, days);
  // What is open at each visit comes first.
  const groups = new Map<string | null, Map<string, number[]>>([[null, new Map([["", []]])]]);
  for (const [place, { access, avoided = [] }] of turns.entries()) {
    const opening = access !== null && shared.has(access) ? access : null;
    const byLeftOut = groups.get(opening) ?? new Map<string, number[]>();
    const key = [...new Set(avoided)].sort((one, other) => one - other).join();
    byLeftOut.set(key, [...(byLeftOut.get(key) ?? []), place]);
    groups.set(opening, byLeftOut);
  }
  const all: OpenChain[] = [];
  const openings: Opening[] = [];
  for (const [access, byLeftOut] of groups) {
    const chains: number[] = [];
    for (const places of byLeftOut.values()) {
      const chained = places.map((place) =>
        chainedTurn(turns[place] as Turn, place, dates, weights),
      );
      const possible = chained.filter((turn) => turn !== null);
      if (possible.length < chained.length) return null;
      const avoided = turns[places[0] ?? -1]?.avoided ?? [];
      const closedOn = new Set(avoided.map((day) => dates.indexOf(day)));
      chains.push(all.push({ chain: new TurnChain(possible, days.length), closedOn }) - 1);
    }
    openings.push({ access, chains, cost: access === null ? 0 : weights.accessCost });
  }
  const own = turns.filter(({ access }) => access !== null && !shared.has(access));
  return { all, openings, constant: own.length * weights.accessCost, count: turns.length };
}

/** The accesses that more than one task needs, or that are open on some day in any case. */
function sharedAccesses(turns: readonly Turn[], days: readonly VisitDay[]): Set<string> {
  const first = new Map<string, Turn["task"]>();
  const shared = new Set(days.flatMap(({ opened }) => [...opened]));
  for (const { access, task } of turns) {
    if (access === null) continue;
    if (first.has(access) && first.get(access) !== task) shared.add(access);
    else first.set(access, task);
  }
  return shared;
}
