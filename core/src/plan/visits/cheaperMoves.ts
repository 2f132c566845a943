import type { DayNumber } from "../../calendar/dayNumber.js";
import type { Elsewhere, Movable, RoomIn, RoomMove } from "./roomMoves.js";
import { mondayOf } from "./spareDays.js";

/** What is less than this is no gain: sums of money do not add up exactly. */
const NEGLIGIBLE = 1e-6;

/** A day a visit could go to, with the week it is in. */
interface Way {
  readonly to: Elsewhere;
  readonly monday: DayNumber;
}

const wayTo = (to: Elsewhere): Way => ({ to, monday: mondayOf(to.day) });

/** Weeks in hand: where each visit goes, and what room that leaves. */
class Sharing {
  /** Where a visit goes; none for one that stays. */
  private readonly going: (Way | undefined)[];
  /** Where each could go, cheapest first. */
  private readonly ways: readonly (readonly Way[])[];
  private readonly wayInto: readonly ReadonlyMap<DayNumber, Way>[];
  private readonly left = new Map<DayNumber, number>();
  private freed = 0;

  constructor(
    private readonly movables: readonly Movable[],
    private readonly wanted: number,
    private readonly roomIn: RoomIn,
    moves: readonly RoomMove[],
  ) {
    this.going = movables.map(() => undefined);
    this.ways = movables.map(({ elsewhere }) => elsewhere.map(wayTo));
    this.wayInto = this.ways.map((own) => new Map(own.map((way) => [way.monday, way])));
    for (const { at, to } of moves) this.send(at, wayTo(to));
  }

  get moves(): RoomMove[] {
    return this.going.flatMap((way, at) => (way === undefined ? [] : [{ at, to: way.to }]));
  }

  /** Looks once through all visits for steps that cost less and free no less than is wanted; answers whether there was one. */
  improve(): boolean {
    let isBetter = false;
    for (const [at, way] of this.going.entries()) {
      if (way === undefined) continue;
      if (this.goCheaper(at, way) || this.trade(at, way) || this.stayInstead(at, way)) {
        isBetter = true;
      }
    }
    return isBetter;
  }

  /** A moved visit into a cheaper week that has room. */
  private goCheaper(at: number, now: Way): boolean {
    const better = this.cheapestBelow(at, now.to.more);
    if (better === undefined) return false;
    this.send(at, better);
    return true;
  }

  /** Two moved visits, each into the week of the other. */
  private trade(at: number, now: Way): boolean {
    return this.going.some((theirs, other) => {
      if (theirs === undefined || theirs.monday === now.monday) return false;
      const mine = this.wayInto[at]?.get(theirs.monday);
      const itsOwn = this.wayInto[other]?.get(now.monday);
      if (mine === undefined || itsOwn === undefined) return false;
      const gain = now.to.more + theirs.to.more - mine.to.more - itsOwn.to.more;
      const larger = this.minutes(other) - this.minutes(at);
      const isHeld = this.holds(now.monday, larger) && this.holds(theirs.monday, -larger);
      if (gain <= NEGLIGIBLE || !isHeld) return false;
      this.send(at, mine);
      this.send(other, itsOwn);
      return true;
    });
  }

  /** A moved visit stays after all, and one that was to stay goes for less. */
  private stayInstead(at: number, now: Way): boolean {
    const least = Math.min(this.freed, this.wanted) - (this.freed - this.minutes(at));
    this.send(at, undefined);
    const isFound = this.going.some((theirs, other) => {
      if (theirs !== undefined || other === at || this.minutes(other) < least) return false;
      const better = this.cheapestBelow(other, now.to.more);
      if (better === undefined) return false;
      this.send(other, better);
      return true;
    });
    if (!isFound) this.send(at, now);
    return isFound;
  }

  /** The cheapest week with room for a visit, of those that cost less than `most`. */
  private cheapestBelow(at: number, most: number): Way | undefined {
    for (const way of this.ways[at] ?? []) {
      if (way.to.more >= most - NEGLIGIBLE) return undefined;
      if (this.holds(way.monday, this.minutes(at))) return way;
    }
    return undefined;
  }

  private minutes(at: number): number {
    return this.movables[at]?.minutes ?? 0;
  }

  private leftIn(monday: DayNumber): number {
    return this.left.get(monday) ?? this.roomIn(monday);
  }

  private holds(monday: DayNumber, minutes: number): boolean {
    return minutes <= this.leftIn(monday) + NEGLIGIBLE;
  }

  private send(at: number, way: Way | undefined): void {
    const before = this.going[at];
    if (before !== undefined) this.fill(before.monday, -this.minutes(at));
    if (way !== undefined) this.fill(way.monday, this.minutes(at));
    this.going[at] = way;
  }

  private fill(monday: DayNumber, minutes: number): void {
    this.left.set(monday, this.leftIn(monday) - minutes);
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
