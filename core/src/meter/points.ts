import type { LogSection } from "../book/records/sections.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { LIFE_TOLERANCE } from "./life.js";

/** The sections whose records say what a dial showed. */
export type PointSection = LogSection | "rounds";

/** A life known on a date, in the meter's unit (due rules §2). */
export interface Point {
  readonly day: DayNumber;
  readonly life: number;
  readonly estimated: boolean;
  readonly confirmed: boolean;
  /** A meter change: a rise to it is never refused. */
  readonly change: boolean;
  /** The record it comes from. */
  readonly section: PointSection;
  readonly id: string;
}

function merged(one: Point, other: Point): Point {
  const higher = other.life > one.life ? other : one;
  return {
    ...higher,
    estimated: one.estimated && other.estimated,
    confirmed: one.confirmed || other.confirmed,
    change: one.change || other.change,
  };
}

/**
 * One point a date, in order of date: the largest life of each date stands, and points of equal
 * life lend it what they know (due rules §2). The others are dropped and are not faults.
 */
export function standingPoints(points: readonly Point[]): Point[] {
  const sorted = inOrder(points);
  const standing: Point[] = [];
  for (const point of sorted) {
    const last = standing[standing.length - 1];
    if (last === undefined || last.day !== point.day) standing.push(point);
    else if (Math.abs(point.life - last.life) < LIFE_TOLERANCE) {
      standing[standing.length - 1] = merged(last, point);
    }
  }
  return standing;
}

/** By date, and the largest life first within a date. Points mostly come in order already. */
function inOrder(points: readonly Point[]): readonly Point[] {
  const rises = points.every((point, index) => {
    const earlier = points[index - 1];
    return earlier === undefined || earlier.day < point.day;
  });
  return rises ? points : [...points].sort((a, b) => a.day - b.day || b.life - a.life);
}
