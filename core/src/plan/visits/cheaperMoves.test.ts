import fc from "fast-check";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { cheaperMoves } from "./cheaperMoves.js";
import { makeRoom } from "./makeRoom.js";
import type { Elsewhere, Movable, RoomMove } from "./roomMoves.js";
import { mondayOf } from "./spareDays.js";

const MONDAY = dayOf("2027-01-04");
const elsewhere = (week: number, more: number): Elsewhere => ({
  day: addDays(MONDAY, 7 * week + 2),
  more,
});
const visit = (minutes: number, ...more: readonly (readonly [week: number, more: number])[]) =>
  ({
    minutes,
    elsewhere: more.map(([week, cost]) => elsewhere(week, cost)).sort((a, b) => a.more - b.more),
  }) satisfies Movable;
const weekOf = (day: DayNumber): number => (mondayOf(day) - MONDAY) / 7;
const roomOf =
  (...rooms: readonly number[]) =>
  (monday: DayNumber): number =>
    rooms[weekOf(monday) - 1] ?? 0;
const told = (moves: readonly RoomMove[]): unknown =>
  moves.map(({ at, to }) => [at, weekOf(to.day)]);

test("a visit goes into a cheaper week where that has room", () => {
  const movables = [visit(60, [1, 3], [2, 9])];
  const moves = [{ at: 0, to: elsewhere(2, 9) }];
  expect(told(cheaperMoves(moves, movables, 60, roomOf(60, 60)))).toEqual([[0, 1]]);
  expect(told(cheaperMoves(moves, movables, 60, roomOf(59, 60)))).toEqual([[0, 2]]);
});

test("two trade weeks where that costs less together and both hold them", () => {
  const movables = [visit(60, [1, 3], [2, 4]), visit(90, [1, 1], [2, 9])];
  const moves = [
    { at: 0, to: elsewhere(1, 3) },
    { at: 1, to: elsewhere(2, 9) },
  ];
  const traded = [
    [0, 2],
    [1, 1],
  ];
  expect(told(cheaperMoves(moves, movables, 150, roomOf(90, 90)))).toEqual(traded);
  expect(told(cheaperMoves(moves, movables, 150, roomOf(80, 90)))).toEqual(told(moves));
});

test("a visit stays where another goes for less and frees enough", () => {
  const movables = [visit(60, [1, 8]), visit(50, [1, 2]), visit(40, [1, 1])];
  const moves = [{ at: 0, to: elsewhere(1, 8) }];
  expect(told(cheaperMoves(moves, movables, 50, roomOf(60)))).toEqual([[1, 1]]);
  expect(told(cheaperMoves(moves, movables, 55, roomOf(60)))).toEqual([[0, 1]]);
});

/** The least that freeing so much costs, over all ways to share the weeks out; Infinity where none frees it. */
function leastOf(movables: readonly Movable[], excess: number, rooms: readonly number[]): number {
  const [first, ...rest] = movables;
  if (first === undefined) return excess <= 0 ? 0 : Infinity;
  let least = leastOf(rest, excess, rooms);
  for (const { day, more } of first.elsewhere) {
    const at = weekOf(day) - 1;
    if ((rooms[at] ?? 0) < first.minutes) continue;
    const left = rooms.map((room, week) => (week === at ? room - first.minutes : room));
    least = Math.min(least, more + leastOf(rest, excess - first.minutes, left));
  }
  return least;
}

const money = fc.integer({ min: 0, max: 59 });
const rooms = fc.tuple(...[1, 2, 3].map(() => fc.integer({ min: 0, max: 150 })));
const visits = fc.array(
  fc
    .tuple(fc.integer({ min: 2, max: 10 }), money, money, money)
    .map(([tens, one, two, three]) => visit(10 * tens, [1, one], [2, two], [3, three])),
  { minLength: 3, maxLength: 6 },
);
const WEEKS_TO_SHARE = fc.tuple(visits, rooms, fc.integer({ min: 40, max: 200 }));

test("where weeks have to be shared it costs hardly more than the best way of all, and never less", () => {
  let cost = 0;
  let best = 0;
  let shared = 0;
  for (const [movables, left, excess] of fc.sample(WEEKS_TO_SHARE, { numRuns: 1000, seed: 4711 })) {
    const { moves, remaining } = makeRoom(movables, excess, roomOf(...left));
    const least = leastOf(movables, excess, left);
    if (remaining > 0 || least === Infinity) continue;
    const spent = moves.reduce((sum, { to }) => sum + to.more, 0);
    expect(spent).toBeGreaterThanOrEqual(least);
    shared += 1;
    cost += spent;
    best += least;
  }
  expect(shared).toBeGreaterThan(300);
  expect(cost / best).toBeLessThan(1.02);
});
