import type { DayNumber } from "../calendar/dayNumber.js";
import type { Point } from "./points.js";

/** How far back readings tell the rate, in days (due rules §3). */
const WINDOW_DAYS = 730;
/** After so many days a pair of readings counts half. */
const HALF_WEIGHT_DAYS = 90;
/** Readings must span this many days before they outweigh a declared rate. */
const ENOUGH_DAYS = 14;
/** Variance a day as a share of the squared rate: where little is known, and at the least. */
const DEFAULT_VARIANCE_SHARE = 1.75;
const LEAST_VARIANCE_SHARE = 0.0175;

/** What a rate was taken from. */
export type RateSource =
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
): Rate {
  const points = kept.filter(
    (point) => !point.estimated && point.day <= reference && point.day >= reference - WINDOW_DAYS,
  );
  const first = points[0];
  const last = points[points.length - 1];
  const span = first === undefined || last === undefined ? 0 : last.day - first.day;
  if (declaredPerDay !== null && span < ENOUGH_DAYS) {
    const variance = DEFAULT_VARIANCE_SHARE * declaredPerDay ** 2;
    return { perDay: declaredPerDay, variance, source: { code: "declared" } };
  }
  if (first === undefined || last === undefined || points.length < 2) return UNKNOWN_RATE;
  return {
    ...observed(points, reference),
    source: { code: "observed", pairs: points.length - 1, from: first.day, to: last.day },
  };
}

/** The weighted mean rate and its variance a day, recent pairs counting most. */
function observed(
  points: readonly Point[],
  reference: DayNumber,
): { readonly perDay: number; readonly variance: number } {
  const count = points.length - 1;
  const weights = new Float64Array(count);
  let weightSum = 0;
  let weighted = 0;
  for (let pair = 0; pair < count; pair += 1) {
    const from = points[pair] as Point;
    const to = points[pair + 1] as Point;
    const days = to.day - from.day;
    const age = reference - (from.day + to.day) / 2;
    const weight = days * 2 ** (-age / HALF_WEIGHT_DAYS);
    weights[pair] = weight;
    weightSum += weight;
    weighted += (weight * (to.life - from.life)) / days;
  }
  const perDay = weighted / weightSum;
  if (count < 3) return { perDay, variance: DEFAULT_VARIANCE_SHARE * perDay ** 2 };
  let spread = 0;
  for (let pair = 0; pair < count; pair += 1) {
    const from = points[pair] as Point;
    const to = points[pair + 1] as Point;
    const days = to.day - from.day;
    spread += (weights[pair] as number) * days * ((to.life - from.life) / days - perDay) ** 2;
  }
  const variance = ((count / (count - 1)) * spread) / weightSum;
  return { perDay, variance: Math.max(variance, LEAST_VARIANCE_SHARE * perDay ** 2) };
}
