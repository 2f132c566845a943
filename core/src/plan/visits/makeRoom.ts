import type { DayNumber } from "../../calendar/dayNumber.js";
import { mondayOf } from "./spareDays.js";

/** A day in another week that a visit could go to. */
export interface Elsewhere {
  readonly day: DayNumber;
  /** How much more than where it stands the visit costs there, in money of the book; may be less than nothing. */
  readonly more: number;
}

/** A visit that may be moved out of its week. */
export interface Movable {
  /** Minutes of one's own work in it, whole; 0 frees nothing. */
  readonly minutes: number;
  /** The cheapest day in each other week, cheapest first. */
  readonly elsewhere: readonly Elsewhere[];
}

/** A visit to be moved, by its place among those given, and where to. */
export interface RoomMove {
  readonly at: number;
  readonly to: Elsewhere;
}

/** Of two ways that cost the same the one with fewer moves is taken: a move weighs this much more than nothing. */
const A_MOVE = 1e-6;

/** So finely the excess is divided at most; above, what a visit frees is rounded down to a step. */
const MOST_STEPS = 1000;

/**
 * Which visits to move out of a week that holds `excess` minutes more than there are, at least
 * cost, cheapest first; null where no such moves are found.
 *
 * Each visit goes to the cheapest other week with room for it (`roomIn`: minutes left in the week
 * of a Monday). Which of them go is exact: a least-cost cover of the excess, by dynamic
 * programming over minutes (over steps of a thousandth, where the excess is larger than a thousand
 * steps of the minutes that all visits share). Where some of them would overfill one week
 * together, those that lose least by it go to their next week, and the choice is made again; that
 * part is a rule of thumb, so that a way that shares weeks out more cleverly may not be found.
 */
export function makeRoom(
  movables: readonly Movable[],
  excess: number,
  roomIn: (monday: DayNumber) => number,
): RoomMove[] | null {
  const wanted = Math.ceil(excess);
  const left = movables.map(({ minutes, elsewhere }) =>
    minutes <= 0 ? [] : elsewhere.filter(({ day }) => roomIn(mondayOf(day)) >= minutes),
  );
  for (;;) {
    const moves =
      canFree(movables, left, roomIn) < wanted ? null : leastCover(movables, left, wanted);
    const barred = moves === null ? [] : overfilling(moves, movables, left, roomIn);
    if (moves === null || barred.length === 0) return moves;
    for (const { at } of barred) left[at] = left[at]?.slice(1) ?? [];
  }
}

/** The most minutes that could be freed: by the visits that have a week to go to, and for the room there is in these. */
function canFree(
  movables: readonly Movable[],
  left: readonly (readonly Elsewhere[])[],
  roomIn: (monday: DayNumber) => number,
): number {
  const weeks = new Set(left.flatMap((days) => days.map(({ day }) => mondayOf(day))));
  const room = [...weeks].reduce((sum, monday) => sum + roomIn(monday), 0);
  const work = movables.reduce(
    (sum, { minutes }, at) => sum + ((left[at]?.length ?? 0) > 0 ? minutes : 0),
    0,
  );
  return Math.min(room, work);
}

/** Of moves that would overfill a week together those that have to look further; none where all fit. */
function overfilling(
  moves: readonly RoomMove[],
  movables: readonly Movable[],
  left: readonly (readonly Elsewhere[])[],
  roomIn: (monday: DayNumber) => number,
): RoomMove[] {
  const lossOf = ({ at, to }: RoomMove): number => (left[at]?.[1]?.more ?? Infinity) - to.more;
  const room = new Map<DayNumber, number>();
  // Who loses most by going elsewhere has the room first.
  const byLoss = moves
    .map((move) => ({ move, loss: lossOf(move) }))
    .sort((one, other) => (one.loss === other.loss ? 0 : other.loss - one.loss));
  return byLoss.flatMap(({ move }) => {
    const monday = mondayOf(move.to.day);
    const rest = (room.get(monday) ?? roomIn(monday)) - (movables[move.at]?.minutes ?? 0);
    if (rest < 0) return [move];
    room.set(monday, rest);
    return [];
  });
}

/** The minutes a step of the reckoning stands for. */
function stepOf(movables: readonly Movable[], excess: number): number {
  const shared = movables.reduce((all, { minutes }) => divisor(all, minutes), 0);
  return Math.max(shared, Math.ceil(excess / MOST_STEPS));
}

/** The greatest common divisor of two whole numbers. */
function divisor(one: number, other: number): number {
  return other === 0 ? one : divisor(other, one % other);
}

/** The cheapest of all sets of visits, each in the first of the weeks left to it, that free `excess` minutes. */
function leastCover(
  movables: readonly Movable[],
  left: readonly (readonly Elsewhere[])[],
  excess: number,
): RoomMove[] | null {
  const step = stepOf(movables, excess);
  const all = Math.ceil(excess / step);
  // The least cost of freeing so many steps; more than the excess counts as the excess.
  const cost = new Float64Array(all + 1).fill(Infinity);
  cost[0] = 0;
  // From which state the visit in hand led to each, one more than it; 0 where it did not.
  const from = left.map(() => new Int32Array(all + 1));
  for (const [at, [to]] of left.entries()) {
    const steps = Math.floor((movables[at]?.minutes ?? 0) / step);
    if (to === undefined || steps === 0) continue;
    const came = from[at] ?? new Int32Array();
    for (let freed = all - 1; freed >= 0; freed--) {
      const then = Math.min(all, freed + steps);
      const sum = (cost[freed] ?? Infinity) + to.more + A_MOVE;
      if (sum >= (cost[then] ?? Infinity)) continue;
      cost[then] = sum;
      came[then] = freed + 1;
    }
  }
  return cost[all] === Infinity ? null : movesTo(all, from, left);
}

/** The moves that led to a state. */
function movesTo(
  state: number,
  from: readonly Int32Array[],
  left: readonly (readonly Elsewhere[])[],
): RoomMove[] {
  const moves: RoomMove[] = [];
  let freed = state;
  for (let at = left.length - 1; at >= 0; at--) {
    const before = from[at]?.[freed] ?? 0;
    const to = left[at]?.[0];
    if (before === 0 || to === undefined) continue;
    moves.push({ at, to });
    freed = before - 1;
  }
  return moves.sort((one, other) => one.to.more - other.to.more || one.at - other.at);
}
