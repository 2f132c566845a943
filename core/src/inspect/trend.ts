import { mean, median } from "../sums/middle.js";
import { isAbove, isAtLeast, isAtMost, isSame } from "../sums/nearly.js";

/** What was measured at a life, in the meter's own unit. */
export interface Measured {
  readonly life: number;
  readonly value: number;
}

/** What a trend is reckoned from. */
export interface TrendGiven {
  readonly points: readonly Measured[];
  readonly limit: number;
  /** Which way it goes as it wears. */
  readonly wears: "down" | "up";
  /** What it was when it was new; null where that is not known. */
  readonly fitted: Measured | null;
  readonly lifeNow: number;
  readonly perDay: number | null;
}

/** When something that wears meets its limit, as far as that is known. */
export interface Trend {
  /** Change a unit of life. */
  readonly slope: number | null;
  readonly atLimit: number | null;
  readonly remaining: number | null;
  readonly days: number | null;
  /** Whether fewer than three lives were measured. */
  readonly rough: boolean;
  readonly points: number;
}

/** The measurements, those of one life as one with their mean, the youngest life first. */
export function byLife(points: readonly Measured[]): Measured[] {
  const sorted = [...points].sort((one, other) => one.life - other.life);
  const groups: { readonly life: number; readonly values: number[] }[] = [];
  for (const { life, value } of sorted) {
    const last = groups.at(-1);
    if (last !== undefined && isSame(last.life, life)) last.values.push(value);
    else groups.push({ life, values: [value] });
  }
  return groups.map(({ life, values }) => ({ life, value: mean(values) }));
}

/** The median of the slopes between all points of different lives, at least two: their change a unit of life. */
export function medianSlope(points: readonly Measured[]): number {
  return median(
    points.flatMap((one, place) =>
      points.slice(place + 1).map((other) => (other.value - one.value) / (other.life - one.life)),
    ),
  );
}

/** The line through points of different lives: through two as they are, of more the median of all slopes. */
function lineOf(points: readonly Measured[]): { readonly slope: number; readonly at: number } {
  const slope = medianSlope(points);
  return { slope, at: median(points.map(({ life, value }) => value - slope * life)) };
}

/** The life at which the limit is met; null where it never is. */
function lifeAtLimit(
  { limit, wears }: TrendGiven,
  measured: readonly Measured[],
  { slope, at }: { readonly slope: number; readonly at: number },
): number | null {
  const goesItsWay = !isSame(slope, 0) && (wears === "down" ? slope < 0 : slope > 0);
  const reckoned = goesItsWay ? (limit - at) / slope : null;
  const last = measured.at(-1);
  if (last === undefined) return reckoned;
  const isPast = wears === "down" ? isAtMost(last.value, limit) : isAtLeast(last.value, limit);
  const isLater = reckoned === null || isAbove(reckoned, last.life);
  return isPast && isLater ? last.life : reckoned;
}

/** Days until nothing remains; null where that is not known. */
function daysFor(remaining: number | null, perDay: number | null): number | null {
  if (remaining === null) return null;
  if (isAtMost(remaining, 0)) return 0;
  return perDay === null || isSame(perDay, 0) ? null : remaining / perDay;
}

/** When something that wears meets its limit: the median of the slopes between all its points. */
export function trendOf(given: TrendGiven): Trend {
  const measured = byLife(given.points);
  const { fitted, lifeNow, perDay } = given;
  const isFirst = fitted !== null && !measured.some(({ life }) => isAtMost(life, fitted.life));
  const points = isFirst ? [fitted, ...measured] : measured;
  const counts = { rough: measured.length < 3, points: points.length };
  if (points.length < 2) {
    return { slope: null, atLimit: null, remaining: null, days: null, ...counts };
  }
  const line = lineOf(points);
  const atLimit = lifeAtLimit(given, measured, line);
  const remaining = atLimit === null ? null : atLimit - lifeNow;
  return { slope: line.slope, atLimit, remaining, days: daysFor(remaining, perDay), ...counts };
}
