import type { Planning } from "../../book/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { costOfTurn, isAllowed, type Turn } from "./turn.js";

/** A day on which a visit is or may be. */
export interface VisitDay {
  readonly day: DayNumber;
  /** What it costs to have a visit that day: 0 where there is one already. */
  readonly cost: number;
  /** What is opened that day in any case. */
  readonly opened: ReadonlySet<string>;
}

/** What the search goes by. */
export type Weights = Pick<Planning, "accessCost" | "lateADay" | "pastGraceADay">;

/** Some shared turns that may be done at a visit, and what that costs. */
interface Choice {
  readonly chosen: readonly number[];
  readonly bits: bigint;
  readonly cost: number;
}

/** Which turns are done on which days, at the least cost. */
export interface CheapestDays {
  /** The day of each turn, in the order given. */
  readonly days: readonly DayNumber[];
  readonly cost: number;
}

/** Stands for the access of a turn that opens nothing and still has to be chosen for. */
const ALONE = "\u0000";

/** A way to the visit of a day: what it has cost so far, and how it came there. */
interface State {
  readonly cost: number;
  /** The shared turns done so far, as bits. */
  readonly done: bigint;
  readonly day: number;
  readonly before: State | null;
  /** The shared turns done on this day. */
  readonly chosen: readonly number[];
}

/**
 * The cheapest days for some turns of one machine, exactly, among `days` (rising): each visit costs what
 * its day costs, each turn what {@link costOfTurn} says, each access once a visit. Null where a turn
 * may be done on none of the days.
 *
 * Dynamic programming over the days. A turn that shares its access with no other is cheapest at the visit
 * before or the visit after the day it falls due, because its cost rises to both sides; so between two
 * neighbouring visits it is settled by these two. Turns that share an access, or are left out of some
 * visit, need not be at the nearest, so which of them are done is part of the state: once an access is open, all of it that is due is
 * done, and any of what is not due yet may be.
 */
export function cheapestDays(
  turns: readonly Turn[],
  days: readonly VisitDay[],
  weights: Weights,
): CheapestDays | null {
  return new Search(turns, days, weights).run();
}

class Search {
  private readonly costs: readonly (readonly number[])[];
  private readonly alone: readonly number[];
  private readonly shared: readonly number[];
  private readonly lastDay: readonly number[];
  /** The bit of each shared turn. */
  private readonly bits: bigint[] = [];
  /** The choices already worked out, by day and what is done. */
  private readonly chosen: Map<bigint, readonly Choice[]>[] = [];
  /** What has been summed between two visits. */
  private readonly known: number[] = [];
  /** What the accesses of the turns on their own cost, whenever they are done. */
  private readonly openings: number;

  constructor(
    private readonly turns: readonly Turn[],
    private readonly days: readonly VisitDay[],
    private readonly weights: Weights,
  ) {
    this.costs = turns.map((turn) =>
      days.map(({ day }) => {
        if (!isAllowed(turn, day)) return Infinity;
        const { wasted, late } = costOfTurn(turn, day, weights);
        return wasted + late;
      }),
    );
    const positions = turns.map((_, index) => index);
    const isShared = (index: number): boolean => sharesAccess(turns, index, days);
    this.alone = positions.filter((index) => !isShared(index));
    this.shared = positions.filter(isShared);
    this.shared.forEach((index, place) => (this.bits[index] = 1n << BigInt(place)));
    const opening = this.alone.filter((index) => (turns[index] as Turn).access !== null);
    this.openings = opening.length * weights.accessCost;
    this.lastDay = this.costs.map((row) => row.findLastIndex(Number.isFinite));
  }

  run(): CheapestDays | null {
    if (this.lastDay.some((last) => last < 0)) return null;
    const levels: Map<bigint, State>[] = [];
    const start: State = { cost: this.openings, done: 0n, day: -1, before: null, chosen: [] };
    let best: { readonly cost: number; readonly state: State } | null = null;
    const all = (1n << BigInt(this.shared.length)) - 1n;
    for (let at = -1; at < this.days.length; at += 1) {
      const here = at < 0 ? [start] : [...(levels[at]?.values() ?? [])];
      for (const state of here) {
        if (state.done === all) {
          const cost = state.cost + this.between(at, this.days.length);
          if (cost < (best?.cost ?? Infinity)) best = { cost, state };
        }
        this.goOn(state, levels);
      }
      if (at >= 0) levels[at] = new Map();
    }
    return best === null ? null : { days: this.daysOf(best.state), cost: best.cost };
  }

  /** Every visit that may come next after a state. */
  private goOn(state: State, levels: Map<bigint, State>[]): void {
    const must = this.mustBy(state.done);
    for (let next = state.day + 1; next <= Math.min(must, this.days.length - 1); next += 1) {
      const between = this.between(state.day, next);
      if (between === Infinity) continue;
      const cost = state.cost + between + (this.days[next] as VisitDay).cost;
      const level = (levels[next] ??= new Map<bigint, State>());
      for (const { chosen, bits, cost: extra } of this.choices(state.done, next)) {
        const done = state.done | bits;
        const known = level.get(done);
        const total = cost + extra;
        if (known !== undefined && known.cost <= total) continue;
        level.set(done, { cost: total, done, day: next, before: state, chosen });
      }
    }
  }

  private bit(index: number): bigint {
    return this.bits[index] ?? 0n;
  }

  /** The last day by which another visit must be, for the shared turns still to be done. */
  private mustBy(done: bigint): number {
    let by = this.days.length - 1;
    for (const index of this.shared) {
      if ((done & this.bit(index)) === 0n) by = Math.min(by, this.lastDay[index] ?? by);
    }
    return by;
  }

  /** What the turns on their own that fall due between two neighbouring visits cost; −1 and the number of days stand for none. */
  private between(from: number, to: number): number {
    const place = (from + 1) * (this.days.length + 1) + to;
    const known = this.known[place];
    if (known !== undefined) return known;
    const sum = this.sumBetween(from, to);
    this.known[place] = sum;
    return sum;
  }

  private sumBetween(from: number, to: number): number {
    let sum = 0;
    for (const index of this.alone) {
      if (this.dueAfter(index, from) && !this.dueAfter(index, to)) {
        sum += Math.min(this.cost(index, from), this.cost(index, to));
        if (sum === Infinity) return sum;
      }
    }
    return sum;
  }

  private dueAfter(index: number, at: number): boolean {
    if (at < 0) return true;
    return (
      at < this.days.length && (this.turns[index] as Turn).due > (this.days[at] as VisitDay).day
    );
  }

  private cost(index: number, at: number): number {
    return this.costs[index]?.[at] ?? Infinity;
  }

  /** Which shared turns may be done at a visit, and what that costs. */
  private choices(done: bigint, at: number): readonly Choice[] {
    const known = (this.chosen[at] ??= new Map<bigint, readonly Choice[]>());
    const before = known.get(done);
    if (before !== undefined) return before;
    const choices = this.choicesOf(done, at);
    known.set(done, choices);
    return choices;
  }

  private choicesOf(done: bigint, at: number): Choice[] {
    const { day, opened } = this.days[at] as VisitDay;
    const byAccess = new Map<string, number[]>();
    for (const index of this.shared) {
      if ((done & this.bit(index)) !== 0n || this.cost(index, at) === Infinity) continue;
      const access = (this.turns[index] as Turn).access ?? `${ALONE}${index}`;
      byAccess.set(access, [...(byAccess.get(access) ?? []), index]);
    }
    let choices: Choice[] = [{ chosen: [], bits: 0n, cost: 0 }];
    for (const [access, indices] of byAccess) {
      const due = indices.filter((index) => (this.turns[index] as Turn).due <= day);
      const early = indices.filter((index) => (this.turns[index] as Turn).due > day);
      const isFree = opened.has(access) || access.startsWith(ALONE);
      const opening = isFree ? 0 : this.weights.accessCost;
      const ways = subsetsOf(early)
        .map((some) => [...due, ...some])
        .filter((some) => some.length > 0)
        .map((some) => ({
          chosen: some,
          bits: some.reduce((bits, index) => bits | this.bit(index), 0n),
          cost: some.reduce((sum, index) => sum + this.cost(index, at), opening),
        }));
      choices = choices.flatMap((one) => [
        one,
        ...ways.map((way) => ({
          chosen: [...one.chosen, ...way.chosen],
          bits: one.bits | way.bits,
          cost: one.cost + way.cost,
        })),
      ]);
    }
    return choices;
  }

  private daysOf(last: State): DayNumber[] {
    const days = new Map<number, number>();
    const visits: number[] = [];
    for (let state: State | null = last; state !== null; state = state.before) {
      if (state.day >= 0) visits.unshift(state.day);
      for (const index of state.chosen) days.set(index, state.day);
    }
    for (const index of this.alone) {
      const costOf = (at: number | undefined): number =>
        at === undefined ? Infinity : this.cost(index, at);
      const earlier = visits.findLast((at) => this.dueAfter(index, at));
      const later = visits.find((at) => !this.dueAfter(index, at));
      days.set(index, (costOf(earlier) <= costOf(later) ? earlier : later) as number);
    }
    return this.turns.map((_, index) => (this.days[days.get(index) ?? 0] as VisitDay).day);
  }
}

/** Whether the nearest visit may not be the best for a turn: its access is opened for other tasks too or on a day in any case, or some day is left out. */
function sharesAccess(turns: readonly Turn[], index: number, days: readonly VisitDay[]): boolean {
  const { access, task, avoided = [] } = turns[index] as Turn;
  if (avoided.length > 0) return true;
  if (access === null) return false;
  return (
    turns.some((other) => other.access === access && other.task !== task) ||
    days.some(({ opened }) => opened.has(access))
  );
}

function subsetsOf(indices: readonly number[]): number[][] {
  return indices.reduce<number[][]>(
    (sets, index) => [...sets, ...sets.map((set) => [...set, index])],
    [[]],
  );
}
