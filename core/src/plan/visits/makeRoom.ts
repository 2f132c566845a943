import type { DayNumber } from "../../calendar/dayNumber.js";
import { cheaperMoves } from "./cheaperMoves.js";
import type { Elsewhere, Movable, RoomIn, RoomMade, RoomMove } from "./roomMoves.js";
import { mondayOf } from "./spareDays.js";

/** Of two ways that cost the same the one with fewer moves is taken: a move weighs this much more than nothing. */
const A_MOVE = 1e-6;

/** So finely the excess is divided at most; above, what a visit frees is rounded down to a step. */
const MOST_STEPS = 1000;

/** Minutes nearer than this count as equal: hours do not add up exactly. */
const NEGLIGIBLE = 1e-6;

/** The weeks left to each visit, cheapest first. */
type Left = (readonly Elsewhere[])[];

/**
 * Which visits to move out of a week that holds `excess` minutes more than there are, at least
 * cost; where not all of it can be freed, what can be, and how much remains.
 *
 * Each visit goes to the cheapest other week with room for it (`roomIn`: minutes left in the week
 * of a Monday). Which of them go is exact: a least-cost cover of the excess, by dynamic
 * programming over minutes (over steps of a thousandth, where the excess is larger than a thousand
 * steps of the minutes that all visits share). Where some of them would overfill one week
 * together, those that lose least by it go to their next week, and the choice is made again; then what
 * still fits somewhere is moved too until enough is freed, what is not needed stays, and what
 * single steps make cheaper is made so ({@link cheaperMoves}). That part is a rule of thumb, so
 * that a way that shares weeks out more cleverly may not be found.
 */
export function makeRoom(movables: readonly Movable[], excess: number, roomIn: RoomIn): RoomMade {
  const wanted = Math.ceil(excess - NEGLIGIBLE);
  const open: Left = movables.map(({ minutes, elsewhere }) =>
    minutes <= 0 ? [] : elsewhere.filter(({ day }) => holds(roomIn(mondayOf(day)), minutes)),
  );
  const more = (found: readonly RoomMove[]): RoomMove[] =>
    moreMoves(found, movables, wanted, { open, roomIn });
  const found = more(movesThatFit(movables, wanted, roomIn, [...open]));
  const shared = cheaperMoves(withoutNeedless(found, movables, wanted), movables, wanted, roomIn);
  const moves = withoutNeedless(more(shared), movables, wanted);
  const remaining = Math.max(0, wanted - minutesIn(moves, movables));
  return { moves: moves.sort(byCost), remaining };
}

const byCost = (one: RoomMove, other: RoomMove): number =>
  one.to.more - other.to.more || one.at - other.at;

const holds = (room: number, minutes: number): boolean => minutes <= room + NEGLIGIBLE;

const minutesIn = (moves: readonly RoomMove[], movables: readonly Movable[]): number =>
  moves.reduce((sum, { at }) => sum + (movables[at]?.minutes ?? 0), 0);

/** Moves that free what is wanted, or as much of it as there is work and room for, and overfill no week. */
function movesThatFit(
  movables: readonly Movable[],
  wanted: number,
  roomIn: RoomIn,
  left: Left,
): RoomMove[] {
  for (;;) {
    const aim = Math.min(wanted, Math.floor(canFree(movables, left, roomIn) + NEGLIGIBLE));
    if (aim <= 0) return [];
    const moves = leastCover(movables, left, aim);
    const barred = overfilling(moves, movables, left, roomIn);
    if (barred.length === 0) return moves;
    for (const { at } of barred) left[at] = left[at]?.slice(1) ?? [];
  }
}

/** Some moves and as many more as free what is wanted, the cheapest by the minute first, where there is room yet. */
function moreMoves(
  moves: readonly RoomMove[],
  movables: readonly Movable[],
  wanted: number,
  { open, roomIn }: { readonly open: Left; readonly roomIn: RoomIn },
): RoomMove[] {
  const all = [...moves];
  const taken = new Map<DayNumber, number>();
  const take = (monday: DayNumber, minutes: number): void => {
    taken.set(monday, (taken.get(monday) ?? 0) + minutes);
  };
  for (const { at, to } of moves) take(mondayOf(to.day), movables[at]?.minutes ?? 0);
  const isMoved = new Set(moves.map(({ at }) => at));
  const others = movables
    .map(({ minutes }, at) => ({ at, minutes }))
    .filter(({ at, minutes }) => minutes > 0 && !isMoved.has(at))
    .flatMap((one) => (open[one.at] ?? []).map((to) => ({ ...one, to })))
    .sort((one, other) => one.to.more / one.minutes - other.to.more / other.minutes);
  let freed = minutesIn(moves, movables);
  for (const { at, minutes, to } of others) {
    if (freed >= wanted) break;
    const monday = mondayOf(to.day);
    if (isMoved.has(at) || !holds(roomIn(monday) - (taken.get(monday) ?? 0), minutes)) continue;
    isMoved.add(at);
    take(monday, minutes);
    all.push({ at, to });
    freed += minutes;
  }
  return all;
}

/** Moves without those, the dearest first, that are not needed to free what is wanted. */
function withoutNeedless(
  moves: readonly RoomMove[],
  movables: readonly Movable[],
  wanted: number,
): RoomMove[] {
  let freed = minutesIn(moves, movables);
  const kept = new Set(moves);
  for (const move of [...moves].sort((one, other) => byCost(other, one))) {
    const minutes = movables[move.at]?.minutes ?? 0;
    if (move.to.more + A_MOVE <= 0 || freed - minutes < wanted) continue;
    kept.delete(move);
    freed -= minutes;
  }
  return [...kept];
}

/** The most minutes that could be freed: by the visits that have a week to go to, and for the room there is in these. */
function canFree(
  movables: readonly Movable[],
  left: readonly (readonly Elsewhere[])[],
  roomIn: RoomIn,
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
  roomIn: RoomIn,
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
    if (!holds(rest, 0)) return [move];
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

/** The cheapest of all sets of visits, each in the first of the weeks left to it, that free `excess` minutes; where none does in whole steps, one that frees most. */
function leastCover(movables: readonly Movable[], left: Left, excess: number): RoomMove[] {
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
  const reached = cost.findLastIndex(Number.isFinite);
  return movesTo(reached, from, left);
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
  return moves;
}
