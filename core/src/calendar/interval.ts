import { addDays, dayFromParts, daysInMonth, partsFromDay, type DayNumber } from "./dayNumber.js";

/** A calendar interval: whole months or whole days, exactly one of the two. */
export type CalendarInterval =
  | { readonly months: number; readonly days?: undefined }
  | { readonly days: number; readonly months?: undefined };

const MONTHS_PER_YEAR = 12;
const DAYS_PER_MONTH = 30;

/**
 * The date `months` months after (or before) `origin`, clamped to the end of the month:
 * 31 January + 1 month = 28 or 29 February (due rules §4).
 */
export function addMonths(origin: DayNumber, months: number): DayNumber {
  const { year, month, dayOfMonth } = partsFromDay(origin);
  const total = year * MONTHS_PER_YEAR + (month - 1) + months;
  const targetYear = Math.floor(total / MONTHS_PER_YEAR);
  const targetMonth = total - targetYear * MONTHS_PER_YEAR + 1;
  const clamped = Math.min(dayOfMonth, daysInMonth(targetYear, targetMonth));
  return dayFromParts(targetYear, targetMonth, clamped);
}

/** The date `count` intervals after `origin`, always counted from the origin (due rules §4). */
export function addIntervals(
  origin: DayNumber,
  interval: CalendarInterval,
  count: number,
): DayNumber {
  return interval.months === undefined
    ? addDays(origin, interval.days * count)
    : addMonths(origin, interval.months * count);
}

/** The nominal length of an interval in days, a month counting as 30 (due rules §7). */
export function intervalDays(interval: CalendarInterval): number {
  return interval.months === undefined ? interval.days : interval.months * DAYS_PER_MONTH;
}

/** The largest whole k for which `origin` + k intervals is not after `day`. */
export function intervalsUpTo(
  origin: DayNumber,
  interval: CalendarInterval,
  day: DayNumber,
): number {
  if (interval.months === undefined) return Math.floor((day - origin) / interval.days);
  const from = partsFromDay(origin);
  const to = partsFromDay(day);
  const months = (to.year - from.year) * MONTHS_PER_YEAR + (to.month - from.month);
  let count = Math.floor(months / interval.months) + 1;
  while (addIntervals(origin, interval, count) > day) count -= 1;
  return count;
}
