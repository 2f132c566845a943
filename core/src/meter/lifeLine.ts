import { addDays, daysBetween, type DayNumber } from "../calendar/dayNumber.js";
import { hasReached, LIFE_TOLERANCE } from "./life.js";
import type { Point } from "./points.js";

/** Absorbs the last digit of a division before it is rounded up to a whole day. */
const WHOLE_DAY_TOLERANCE = 1e-9;

/** The last of the points, in order of date, dated on or before `day`: its position, or −1. */
export function lastPositionUpTo(points: readonly Point[], day: number): number {
  let low = 0;
  let high = points.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((points[middle] as Point).day <= day) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/**
 * The life on a date, in the meter's unit: linear by date between kept points, past the last one
 * reckoned at `perDay` (flat where null), unknown (null) before the first (due rules §2).
 */
export function lifeOn(
  kept: readonly Point[],
  perDay: number | null,
  day: DayNumber,
): number | null {
  const position = lastPositionUpTo(kept, day);
  const before = kept[position];
  if (before === undefined) return null;
  const after = kept[position + 1];
  if (after === undefined) return before.life + (perDay ?? 0) * daysBetween(before.day, day);
  const share = daysBetween(before.day, day) / daysBetween(before.day, after.day);
  return before.life + share * (after.life - before.life);
}

/**
 * The first date on which the life was at `life` or past it, for a life that has been reached by `today`:
 * rounded up to a whole day, the first point's date if life was past it already (due rules §6).
 */
export function dayReached(
  kept: readonly Point[],
  perDay: number | null,
  life: number,
  today: DayNumber,
): DayNumber {
  const position = kept.findIndex((point) => hasReached(point.life, life));
  const after = kept[position];
  const before = position < 0 ? kept[kept.length - 1] : kept[position - 1];
  if (before === undefined) return after?.day ?? today;
  const target = life - LIFE_TOLERANCE - before.life;
  const perDayHere =
    after === undefined
      ? (perDay ?? 0)
      : (after.life - before.life) / daysBetween(before.day, after.day);
  const days = Math.ceil(target / perDayHere - WHOLE_DAY_TOLERANCE);
  return Number.isFinite(days)
    ? addDays(before.day, Math.min(Math.max(days, 0), daysBetween(before.day, today)))
    : today;
}
