import { daysBetween } from "../calendar/dayNumber.js";
import type { Meter } from "../book/records/machine.js";
import { isBelow, LIFE_TOLERANCE } from "./life.js";
import type { Point } from "./points.js";

/** The most a meter can run in a day, in its own unit (due rules §2). */
export const CEILING_PER_DAY: Readonly<Record<Meter["unit"], number>> = {
  h: 24,
  km: 2500,
  mi: 1550,
};

/** Why a point cannot follow another: it goes back, or rises by more than a machine can run. */
export type BadStep = "goes-back" | "impossible-rise";

/** What is wrong with a step from one point to a later one, or null. `ceiling` is in units a day. */
export function badStep(from: Point, to: Point, ceiling: number): BadStep | null {
  if (isBelow(to.life, from.life)) return "goes-back";
  if (to.confirmed || to.change) return null;
  const most = (daysBetween(from.day, to.day) + 1) * ceiling;
  return to.life - from.life >= most + LIFE_TOLERANCE ? "impossible-rise" : null;
}

/** The points that stand, and those that cannot be true beside them. */
export interface SiftedPoints {
  readonly kept: readonly Point[];
  readonly faults: readonly Point[];
}

/**
 * The longest subsequence without a bad step; on a tie the one whose positions, compared from the
 * first on, come earlier (due rules §2). The rest are faults. `points` holds one point a date, in order.
 */
export function siftPoints(points: readonly Point[], ceiling: number): SiftedPoints {
  const stepsAreGood = points.every((point, index) => {
    const earlier = points[index - 1];
    return earlier === undefined || badStep(earlier, point, ceiling) === null;
  });
  if (stepsAreGood) return { kept: points, faults: [] };
  const { longest, next } = longestChains(points, ceiling);
  let at = 0;
  for (let start = 1; start < points.length; start += 1) {
    if ((longest[start] ?? 0) > (longest[at] ?? 0)) at = start;
  }
  const kept = new Set<number>();
  for (let place = at; place >= 0; place = next[place] ?? -1) kept.add(place);
  return {
    kept: points.filter((_, index) => kept.has(index)),
    faults: points.filter((_, index) => !kept.has(index)),
  };
}

/** For each point the length of the longest chain that starts there, and the earliest next point of such a chain (−1: none). */
function longestChains(
  points: readonly Point[],
  ceiling: number,
): { readonly longest: Int32Array; readonly next: Int32Array } {
  const longest = new Int32Array(points.length).fill(1);
  const next = new Int32Array(points.length).fill(-1);
  /** The longest chain that starts at a point or later: once nothing there can help, the search ends. */
  const longestFrom = new Int32Array(points.length).fill(1);
  for (let from = points.length - 2; from >= 0; from -= 1) {
    const start = points[from] as Point;
    for (let to = from + 1; to < points.length; to += 1) {
      if ((longest[from] as number) > (longestFrom[to] as number)) break;
      const length = (longest[to] as number) + 1;
      if (length <= (longest[from] as number)) continue;
      if (badStep(start, points[to] as Point, ceiling) !== null) continue;
      longest[from] = length;
      next[from] = to;
    }
    longestFrom[from] = Math.max(longest[from] as number, longestFrom[from + 1] as number);
  }
  return { longest, next };
}
