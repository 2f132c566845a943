import type { Planning } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { costOfTurn, isAllowed, type Turn } from "./turn.js";

/** A turn with what it costs on each of the days looked at, and where that is least. */
interface ChainedTurn {
  /** The place of the turn among those given. */
  readonly turn: number;
  /** By the place of the day; infinite where it may not be done. */
  readonly costs: readonly number[];
  /** The place of its cheapest day, the first of several. */
  readonly best: number;
  /** The places of the first and the last day on which it may be done. */
  readonly first: number;
  readonly last: number;
}

/** Stands for *no visit yet* among the places of days. */
export const BEFORE = -1;

/**
 * Turns that may be done at the same visits: those at which what they need is open and that they are not
 * left out of. What such a turn costs falls up to its cheapest day and rises from there, so it is best done at
 * the last of these visits up to that day, or at the first after it. Therefore what is done between two
 * neighbouring ones is settled by these two alone.
 *
 * Days are told by their places among those looked at: −1 before all of them, their number after.
 */
export class TurnChain {
  private readonly turns: readonly ChainedTurn[];
  /** What has been summed between two visits. */
  private readonly sums: Float64Array;
  private readonly deadlines: Float64Array;

  constructor(
    turns: readonly ChainedTurn[],
    /** How many days are looked at. */
    private readonly days: number,
  ) {
    this.turns = [...turns].sort((one, other) => one.best - other.best);
    this.sums = new Float64Array((days + 1) * (days + 1)).fill(NaN);
    this.deadlines = new Float64Array(days + 1).fill(NaN);
  }

  /** The least that its turns whose cheapest days lie after `from` and not after `to` cost, where these are neighbouring visits. */
  between(from: number, to: number): number {
    const place = (from + 1) * (this.days + 1) + to;
    const known = this.sums[place] as number;
    if (!Number.isNaN(known)) return known;
    let sum = 0;
    for (const { costs, best } of this.turns) {
      if (best > to || sum === Infinity) break;
      if (best > from) sum += Math.min(costs[from] ?? Infinity, costs[to] ?? Infinity);
    }
    this.sums[place] = sum;
    return sum;
  }

  /** The last day by which a visit after that of `from` must be; infinite where none must. */
  mustBy(from: number): number {
    const known = this.deadlines[from + 1] as number;
    if (!Number.isNaN(known)) return known;
    const open = this.turns.filter(
      ({ costs, best }) => best > from && (costs[from] ?? Infinity) === Infinity,
    );
    const by = Math.min(...open.map(({ last }) => last), Infinity);
    this.deadlines[from + 1] = by;
    return by;
  }

  /** Whether a visit on a day may be of any use to a turn that is not settled by that of `from`. */
  isServedOn(day: number, from: number): boolean {
    return this.turns.some(({ first, last, best }) => first <= day && day <= last && best > from);
  }

  /** Where each turn is done when the visits are on some days (rising): the place of its day. */
  settle(visits: readonly number[]): { readonly turn: number; readonly at: number }[] {
    return this.turns.map(({ turn, costs, best }) => {
      const earlier = visits.findLast((at) => at <= best);
      const later = visits.find((at) => at > best);
      const costOn = (at: number | undefined): number =>
        at === undefined ? Infinity : (costs[at] ?? Infinity);
      return { turn, at: (costOn(earlier) <= costOn(later) ? earlier : later) as number };
    });
  }
}

/** A turn with its costs on some days (rising), whatever it is left out of; null where it may be done on none. */
export function chainedTurn(
  turn: Turn,
  place: number,
  days: readonly DayNumber[],
  weights: Pick<Planning, "lateADay" | "pastGraceADay">,
): ChainedTurn | null {
  const { avoided: _, ...whole } = turn;
  const costs = days.map((day) => {
    if (!isAllowed(whole, day)) return Infinity;
    const { wasted, late } = costOfTurn(turn, day, weights);
    return wasted + late;
  });
  const isOpen = (day: DayNumber): boolean => isAllowed(turn, day);
  if (!days.some(isOpen)) return null;
  return {
    turn: place,
    costs,
    best: costs.indexOf(Math.min(...costs)),
    first: costs.findIndex(Number.isFinite),
    last: costs.findLastIndex(Number.isFinite),
  };
}
