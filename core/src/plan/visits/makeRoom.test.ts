import fc from "fast-check";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { makeRoom } from "./makeRoom.js";
import type { Movable, RoomMade, RoomMove } from "./roomMoves.js";
import { mondayOf } from "./spareDays.js";

const MONDAY = dayOf("2027-01-04");
const week = (number: number): DayNumber => addDays(MONDAY, 7 * number);
/** A visit of so many minutes, with what each other week costs, cheapest first. */
const visit = (minutes: number, ...more: readonly (readonly [week: number, more: number])[]) =>
  ({
    minutes,
    elsewhere: more.map(([number, cost]) => ({ day: addDays(week(number), 2), more: cost })),
  }) satisfies Movable;
const EVERY = (): number => Infinity;
const told = ({ moves }: RoomMade): unknown =>
  moves.map(({ at, to }) => [at, (mondayOf(to.day) - MONDAY) / 7, to.more]);

test("the cheapest that free enough go, not the first and not the largest", () => {
  const visits = [visit(240, [1, 30]), visit(90, [1, 4]), visit(60, [2, 5]), visit(30, [1, 1])];
  expect(told(makeRoom(visits, 120, EVERY))).toEqual([
    [3, 1, 1],
    [1, 1, 4],
  ]);
  expect(told(makeRoom(visits, 200, EVERY))).toEqual([[0, 1, 30]]);
});

test("of two ways that cost the same the one with fewer moves is taken", () => {
  const visits = [visit(60, [1, 5]), visit(60, [1, 5]), visit(120, [1, 10])];
  expect(told(makeRoom(visits, 120, EVERY))).toEqual([[2, 1, 10]]);
});

test("a week without room is passed over, and two do not overfill one together", () => {
  const visits = [visit(60, [1, 2], [2, 9]), visit(60, [1, 3], [3, 4])];
  const roomIn = (monday: DayNumber): number => (monday === week(1) ? 90 : 600);
  expect(told(makeRoom(visits, 120, roomIn))).toEqual([
    [0, 1, 2],
    [1, 3, 4],
  ]);
  expect(told(makeRoom(visits, 120, (monday) => (monday === week(1) ? 30 : 600)))).toEqual([
    [1, 3, 4],
    [0, 2, 9],
  ]);
});

test("where not all can be freed, what can be goes, and what remains is told", () => {
  expect(makeRoom([visit(60, [1, 2])], 61, EVERY)).toMatchObject({ remaining: 1 });
  expect(told(makeRoom([visit(60, [1, 2])], 61, EVERY))).toEqual([[0, 1, 2]]);
  const some = [visit(60, [1, 2]), visit(90, [1, 9]), visit(30)];
  const made = makeRoom(some, 1000, (monday) => (monday === week(1) ? 100 : 0));
  expect([told(made), made.remaining]).toEqual([[[1, 1, 9]], 910]);
});

test("where nothing can be moved, nothing is", () => {
  const nothing = (excess: number) => ({ moves: [], remaining: excess });
  expect(makeRoom([visit(60, [1, 2])], 30, () => 59)).toEqual(nothing(30));
  expect(makeRoom([visit(0, [1, 2]), visit(60)], 30, EVERY)).toEqual(nothing(30));
  expect(makeRoom([], 1, EVERY)).toEqual(nothing(1));
});

test("where minutes are finer than the reckoning, all of them are still found", () => {
  const visits = [visit(1003, [1, 2]), visit(1001, [2, 3])];
  expect(makeRoom(visits, 2004, EVERY)).toMatchObject({ remaining: 0, moves: { length: 2 } });
});

test("hours that do not add up exactly hold what they hold", () => {
  const made = makeRoom([visit(325, [1, 2])], 300, () => 324.99999999999994);
  expect(told(made)).toEqual([[0, 1, 2]]);
});

test("also where very much is too much, enough is freed and no week overfilled", () => {
  const many = Array.from({ length: 200 }, (_, at) =>
    visit(61 + (at % 7) * 13, [1 + (at % 4), at % 5], [1 + ((at + 1) % 4), 6]),
  );
  const { moves } = makeRoom(many, 9001, () => 2500);
  const minutes = (own: readonly RoomMove[]): number =>
    own.reduce((sum, { at }) => sum + (many[at]?.minutes ?? 0), 0);
  expect(minutes(moves)).toBeGreaterThanOrEqual(9001);
  for (const number of [1, 2, 3, 4]) {
    const into = moves.filter(({ to }) => mondayOf(to.day) === week(number));
    expect(minutes(into)).toBeLessThanOrEqual(2500);
  }
});

test("what costs less elsewhere is moved gladly, yet no more than has to be", () => {
  const visits = [visit(60, [1, -2]), visit(60, [1, -3])];
  expect(told(makeRoom(visits, 60, EVERY))).toEqual([[1, 1, -3]]);
});

const visits = fc.array(
  fc.record({
    minutes: fc.integer({ min: 0, max: 6 }).map((tens) => tens * 10),
    costs: fc.uniqueArray(
      fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 0, max: 9 })),
      {
        selector: ([number]) => number,
        maxLength: 4,
      },
    ),
  }),
  { maxLength: 7 },
);
const asMovables = (
  drawn: readonly { minutes: number; costs: readonly (readonly [number, number])[] }[],
): Movable[] =>
  drawn.map(({ minutes, costs }) => visit(minutes, ...[...costs].sort((a, b) => a[1] - b[1])));

/** The least cost over all sets of visits, each in its cheapest week; Infinity where none frees enough. */
function leastOf(movables: readonly Movable[], excess: number): number {
  let least = Infinity;
  for (let set = 0; set < 2 ** movables.length; set++) {
    const chosen = movables.filter((_, at) => (set >> at) % 2 === 1);
    if (chosen.some(({ elsewhere }) => elsewhere.length === 0)) continue;
    if (chosen.reduce((sum, { minutes }) => sum + minutes, 0) < excess) continue;
    least = Math.min(
      least,
      chosen.reduce((sum, { elsewhere }) => sum + (elsewhere[0]?.more ?? 0), 0),
    );
  }
  return least;
}

test("with room everywhere it costs what the cheapest of all sets costs, and frees all there is where that is too little", () => {
  fc.assert(
    fc.property(visits, fc.integer({ min: 1, max: 150 }), (drawn, excess) => {
      const movables = asMovables(drawn);
      const { moves, remaining } = makeRoom(movables, excess, EVERY);
      const cost = moves.reduce((sum, { to }) => sum + to.more, 0);
      if (remaining === 0) expect(cost).toBeCloseTo(leastOf(movables, excess));
      else {
        const able = movables.filter(({ elsewhere }) => elsewhere.length > 0);
        expect(remaining).toBe(excess - able.reduce((sum, { minutes }) => sum + minutes, 0));
      }
    }),
    { numRuns: 1000, seed: 4711 },
  );
});

/** Whether some visit that stays would fit into a week with room left. */
function couldGo(
  movables: readonly Movable[],
  moves: readonly RoomMove[],
  roomIn: (monday: DayNumber) => number,
): boolean {
  const into = (monday: DayNumber): number =>
    moves
      .filter(({ to }) => mondayOf(to.day) === monday)
      .reduce((sum, { at }) => sum + (movables[at]?.minutes ?? 0), 0);
  return movables.some(
    ({ minutes, elsewhere }, at) =>
      minutes > 0 &&
      !moves.some((move) => move.at === at) &&
      elsewhere.some(({ day }) => roomIn(mondayOf(day)) - into(mondayOf(day)) >= minutes),
  );
}

test("whatever room there is, no week is overfilled, it costs no less than with room everywhere, and nothing that would fit stays while too much remains", () => {
  const rooms = fc.array(fc.integer({ min: 0, max: 120 }), { minLength: 5, maxLength: 5 });
  const found = { whole: 0, part: 0 };
  fc.assert(
    fc.property(visits, rooms, fc.integer({ min: 1, max: 120 }), (drawn, room, excess) => {
      const movables = asMovables(drawn);
      const roomIn = (monday: DayNumber): number => room[(monday - MONDAY) / 7] ?? 0;
      const { moves, remaining } = makeRoom(movables, excess, roomIn);
      const minutesOf = ({ at }: RoomMove): number => movables[at]?.minutes ?? 0;
      const sum = (own: readonly RoomMove[]): number =>
        own.reduce((total, move) => total + minutesOf(move), 0);
      expect(remaining).toBe(Math.max(0, excess - sum(moves)));
      expect(new Set(moves.map(({ at }) => at)).size).toBe(moves.length);
      for (const { to } of moves) {
        const into = moves.filter((one) => mondayOf(one.to.day) === mondayOf(to.day));
        expect(sum(into)).toBeLessThanOrEqual(roomIn(mondayOf(to.day)));
      }
      if (remaining > 0) expect(couldGo(movables, moves, roomIn)).toBe(false);
      else {
        const cost = moves.reduce((total, { to }) => total + to.more, 0);
        expect(cost).toBeGreaterThanOrEqual(leastOf(movables, excess));
      }
      if (moves.length > 0) found[remaining > 0 ? "part" : "whole"] += 1;
    }),
    { numRuns: 1000, seed: 4711 },
  );
  expect(found.whole).toBeGreaterThan(150);
  expect(found.part).toBeGreaterThan(150);
});
