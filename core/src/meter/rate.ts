import { addDays, daysBetween, type DayNumber } from "../calendar/dayNumber.js";
import { lastPositionUpTo } from "./lifeLine.js";
import type { Point } from "./points.js";
import { EVERY_DAY, type RunningDays } from "./runningDays.js";

/** How far back readings tell the rate, in days (due rules §3). */
const WINDOW_DAYS = 730;
/** A pair of readings counts half after 90 days. */
const DECAY_PER_DAY = Math.LN2 / 90;
/** Readings must span this many days before they outweigh a declared rate. */
const ENOUGH_DAYS = 14;
/** Variance a day as a share of the squared rate: where little is known, and at the least. */
const DEFAULT_VARIANCE_SHARE = 1.75;
const LEAST_VARIANCE_SHARE = 0.0175;

/** What a rate was taken from. */
type RateSource =
  | {
      readonly code: "observed";
      /** Pairs of neighbouring readings. */
      readonly pairs: number;
      readonly from: DayNumber;
      readonly to: DayNumber;
    }
  | { readonly code: "declared" }
  | { readonly code: "none" };

/** How fast a meter runs: μ in units a day and s² in units² a day; null where unknown (due rules §3). */
export interface Rate {
  readonly perDay: number | null;
  readonly variance: number | null;
  readonly source: RateSource;
}

const UNKNOWN_RATE: Rate = { perDay: null, variance: null, source: { code: "none" } };

/**
 * The rate at the reference date, from the kept points that are not estimated, or as declared
 * (units a day), by due rules §3.
 */
export function rateOf(
  kept: readonly Point[],
  declaredPerDay: number | null,
  reference: DayNumber,
  running: RunningDays = EVERY_DAY,
): Rate {
  const begin = lastPositionUpTo(kept, addDays(reference, -WINDOW_DAYS - 1)) + 1;
  const end = lastPositionUpTo(kept, reference);
  const pairs = pairsBetween(kept, begin, end, running);
  const from = kept.find((point, at) => at >= begin && at <= end && !point.estimated)?.day;
  const to = kept.findLast((point, at) => at >= begin && at <= end && !point.estimated)?.day;
  const span = from === undefined || to === undefined ? 0 : running.between(from, to);
  if (declaredPerDay !== null && span < ENOUGH_DAYS) {
    const variance = DEFAULT_VARIANCE_SHARE * declaredPerDay ** 2;
    return { perDay: declaredPerDay, variance, source: { code: "declared" } };
  }
  if (from === undefined || to === undefined || pairs === 0) return UNKNOWN_RATE;
  const perDay = weighted(kept, begin, end, reference, null, running);
  const source: RateSource = { code: "observed", pairs, from, to };
  const least = (pairs < 3 ? DEFAULT_VARIANCE_SHARE : LEAST_VARIANCE_SHARE) * perDay ** 2;
  if (pairs < 3) return { perDay, variance: least, source };
  const spread = weighted(kept, begin, end, reference, perDay, running);
  return { perDay, variance: Math.max((pairs / (pairs - 1)) * spread, least), source };
}

/** The number of neighbouring pairs among the points from `begin` to `end` that are not estimated and have running days between them. */
function pairsBetween(
  kept: readonly Point[],
  begin: number,
  end: number,
  running: RunningDays,
): number {
  let count = 0;
  let earlier: Point | null = null;
  for (let at = begin; at <= end; at += 1) {
    const point = kept[at] as Point;
    if (point.estimated) continue;
    if (earlier !== null && running.between(earlier.day, point.day) > 0) count += 1;
    earlier = point;
  }
  return count;
}

/**
 * Over the pairs of neighbouring points that are not estimated, weighted by their running days and the more
 * the more recent they are: the mean of their rates, or, given the `mean`, of Δt·(rate − mean)².
 */
function weighted(
  kept: readonly Point[],
  begin: number,
  end: number,
  reference: DayNumber,
  mean: number | null,
  running: RunningDays,
): number {
  let weights = 0;
  let sum = 0;
  let earlier: Point | null = null;
  for (let at = begin; at <= end; at += 1) {
    const point = kept[at] as Point;
    if (point.estimated) continue;
    const days = earlier === null ? 0 : running.between(earlier.day, point.day);
    // What little ran while it was laid up tells nothing of its pace.
    if (earlier !== null && days > 0) {
      const age = (daysBetween(point.day, reference) + daysBetween(earlier.day, reference)) / 2;
      const weight = days * Math.exp(-age * DECAY_PER_DAY);
      const rate = (point.life - earlier.life) / days;
      weights += weight;
      sum += weight * (mean === null ? rate : days * (rate - mean) ** 2);
    }
    earlier = point;
  }
  return sum / weights;
}
