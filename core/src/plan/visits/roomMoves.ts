import type { DayNumber } from "../../calendar/dayNumber.js";

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

/** The visits to be moved out of a week, and what it still holds too much. */
export interface RoomMade {
  /** Cheapest first; none where nothing can be moved. */
  readonly moves: readonly RoomMove[];
  /** Minutes more than there are when they are moved; 0 where all is freed. */
  readonly remaining: number;
}

/** Minutes left in the week of a Monday. */
export type RoomIn = (monday: DayNumber) => number;
