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

/**
 * Which visits to move out of a week that holds `excess` minutes more than there are, at least
 * cost, cheapest first; null where no such moves are found.
 *
 * Each visit goes to the cheapest other week with room for it (`roomIn`: minutes left in the week
 * of a Monday). Which of them go is exact: a least-cost cover of the excess, by dynamic
 * programming over minutes. Where two of them would overfill one week together, the one that
 * loses least by it goes to its next week, and the choice is made again; that part is a rule of
 * thumb, so that a way that shares weeks out more cleverly may not be found.
 */
export function makeRoom(
  movables: readonly Movable[],
  excess: number,
  roomIn: (monday: DayNumber) => number,
): RoomMove[] | null {
  const left = movables.map(({ minutes, elsewhere }) =>
    minutes <= 0 ? [] : elsewhere.filter(({ day }) => roomIn(mondayOf(day)) >= minutes),
  );
  for (;;) {
    const moves = leastCover(movables, left, Math.ceil(excess));
    const over = moves === null ? null : overfilled(moves, movables, roomIn);
    if (moves === null || over === null) return moves;
    const { at } = leastLoss(over, left);
    left[at] = left[at]?.slice(1) ?? [];
  }
}

/** The moves into the first week that they would overfill together; null where there is none. */
function overfilled(
  moves: readonly RoomMove[],
  movables: readonly Movable[],
  roomIn: (monday: DayNumber) => number,
): RoomMove[] | null {
  const byWeek = new Map<DayNumber, RoomMove[]>();
  for (const move of moves) {
    const monday = mondayOf(move.to.day);
    byWeek.set(monday, [...(byWeek.get(monday) ?? []), move]);
  }
  const minutesOf = (own: readonly RoomMove[]): number =>
    own.reduce((sum, { at }) => sum + (movables[at]?.minutes ?? 0), 0);
  for (const [monday, own] of byWeek) if (minutesOf(own) > roomIn(monday)) return own;
  return null;
}

/** Of some moves that of the visit whose next week costs least more. */
function leastLoss(moves: readonly RoomMove[], left: readonly (readonly Elsewhere[])[]): RoomMove {
  const lossOf = ({ at, to }: RoomMove): number => (left[at]?.[1]?.more ?? Infinity) - to.more;
  return moves.reduce((least, move) => (lossOf(move) < lossOf(least) ? move : least));
}

/** The cheapest of all sets of visits, each in the first of the weeks left to it, that free `excess` minutes. */
function leastCover(
  movables: readonly Movable[],
  left: readonly (readonly Elsewhere[])[],
  excess: number,
): RoomMove[] | null {
  const states = excess + 1;
  // The least cost of freeing so many minutes; more than the excess counts as the excess.
  const cost = new Float64Array(states).fill(Infinity);
  cost[0] = 0;
  // From which state the visit in hand led to each, one more than it; 0 where it did not.
  const from = left.map(() => new Int32Array(states));
  for (const [at, [to]] of left.entries()) {
    const minutes = movables[at]?.minutes ?? 0;
    if (to === undefined) continue;
    for (let freed = excess - 1; freed >= 0; freed--) {
      const then = Math.min(excess, freed + minutes);
      const sum = (cost[freed] ?? Infinity) + to.more + A_MOVE;
      if (sum >= (cost[then] ?? Infinity)) continue;
      cost[then] = sum;
      (from[at] as Int32Array)[then] = freed + 1;
    }
  }
  if (cost[excess] === Infinity) return null;
  const moves: RoomMove[] = [];
  let freed = excess;
  for (let at = left.length - 1; at >= 0; at--) {
    const before = from[at]?.[freed] ?? 0;
    const to = left[at]?.[0];
    if (before === 0 || to === undefined) continue;
    moves.push({ at, to });
    freed = before - 1;
  }
  return moves.sort((one, other) => one.to.more - other.to.more || one.at - other.at);
}
