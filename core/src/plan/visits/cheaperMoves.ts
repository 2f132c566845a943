import type { DayNumber } from "../../calendar/dayNumber.js";
import type { Elsewhere, Movable, RoomIn, RoomMove } from "./roomMoves.js";
import { mondayOf } from "./spareDays.js";

/** What is less than this is no gain: sums of money do not add up exactly. */
const NEGLIGIBLE = 1e-6;

/** Weeks in hand: where each visit goes, and what room that leaves. */
class Sharing {
  /** Where a visit goes; none for one that stays. */
  private readonly to: (Elsewhere | undefined)[];
  private readonly taken = new Map<DayNumber, number>();
  private readonly weeks: readonly ReadonlyMap<DayNumber, Elsewhere>[];
  private freed = 0;

  constructor(
    private readonly movables: readonly Movable[],
    private readonly wanted: number,
    private readonly roomIn: RoomIn,
    moves: readonly RoomMove[],
  ) {
    this.to = movables.map(() => undefined);
    this.weeks = movables.map(
      ({ elsewhere }) => new Map(elsewhere.map((one) => [mondayOf(one.day), one])),
    );
    for (const { at, to } of moves) this.send(at, to);
  }

  get moves(): RoomMove[] {
    return this.to.flatMap((to, at) => (to === undefined ? [] : [{ at, to }]));
  }

  /** Takes one step that costs less and frees no less than is wanted; answers whether there was one. */
  improve(): boolean {
    return this.to.some((to, at) => to !== undefined && this.improveOne(at, to));
  }

  private improveOne(at: number, to: Elsewhere): boolean {
    return this.goCheaper(at, to) || this.trade(at, to) || this.stayInstead(at, to);
  }

  /** A moved visit into a cheaper week that has room. */
  private goCheaper(at: number, to: Elsewhere): boolean {
    const better = this.cheapestWithin(at, to.more - NEGLIGIBLE);
    if (better === undefined) return false;
    this.send(at, better);
    return true;
  }

  /** Two moved visits, each into the week of the other. */
  private trade(at: number, to: Elsewhere): boolean {
    const monday = mondayOf(to.day);
    return this.to.some((theirs, other) => {
      if (theirs === undefined || other === at) return false;
      const theirMonday = mondayOf(theirs.day);
      const mine = this.weeks[at]?.get(theirMonday);
      const itsOwn = this.weeks[other]?.get(monday);
      if (theirMonday === monday || mine === undefined || itsOwn === undefined) return false;
      if (mine.more + itsOwn.more >= to.more + theirs.more - NEGLIGIBLE) return false;
      const more = this.minutes(other) - this.minutes(at);
      if (this.left(monday) < more - NEGLIGIBLE) return false;
      if (this.left(theirMonday) < -more - NEGLIGIBLE) return false;
      this.send(at, mine);
      this.send(other, itsOwn);
      return true;
    });
  }

  /** A moved visit stays after all, and one that was to stay goes for less. */
  private stayInstead(at: number, to: Elsewhere): boolean {
    const least = Math.min(this.freed, this.wanted) - (this.freed - this.minutes(at));
    this.send(at, undefined);
    const isFound = this.to.some((theirs, other) => {
      if (theirs !== undefined || other === at || this.minutes(other) < least) return false;
      const better = this.cheapestWithin(other, to.more - NEGLIGIBLE);
      if (better === undefined) return false;
      this.send(other, better);
      return true;
    });
    if (!isFound) this.send(at, to);
    return isFound;
  }

  /** The cheapest week with room for a visit, of those that cost less than `most`. */
  private cheapestWithin(at: number, most: number): Elsewhere | undefined {
    const minutes = this.minutes(at);
    return this.movables[at]?.elsewhere.find(({ day, more }) => {
      const monday = mondayOf(day);
      const now = this.to[at];
      const own = now !== undefined && mondayOf(now.day) === monday ? minutes : 0;
      return more < most && this.left(monday) + own >= minutes - NEGLIGIBLE;
    });
  }

  private minutes(at: number): number {
    return this.movables[at]?.minutes ?? 0;
  }

  private left(monday: DayNumber): number {
    return this.roomIn(monday) - (this.taken.get(monday) ?? 0);
  }

  private send(at: number, to: Elsewhere | undefined): void {
    const before = this.to[at];
    const minutes = this.minutes(at);
    if (before !== undefined) this.take(mondayOf(before.day), -minutes);
    if (to !== undefined) this.take(mondayOf(to.day), minutes);
    this.to[at] = to;
  }

  private take(monday: DayNumber, minutes: number): void {
    this.taken.set(monday, (this.taken.get(monday) ?? 0) + minutes);
    this.freed += minutes;
  }
}

/**
 * The same room for less, where single steps find it: a visit into a cheaper week, two that trade
 * weeks, one that stays while another goes. No week is overfilled, and no less is freed than before
 * or than `wanted` minutes. A rule of thumb: a way that takes several steps at once is not found.
 */
export function cheaperMoves(
  moves: readonly RoomMove[],
  movables: readonly Movable[],
  wanted: number,
  roomIn: RoomIn,
): RoomMove[] {
  const sharing = new Sharing(movables, wanted, roomIn, moves);
  while (sharing.improve());
  return sharing.moves;
}
