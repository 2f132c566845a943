/**
 * A plain calendar date as a whole number of days since 1970-01-01 in the proleptic Gregorian calendar.
 * No time of day and no time zone: two dates differ by a plain subtraction.
 */
export type DayNumber = number & { readonly unit: "day number" };

const DATE_FORM = /^(\d{4})-(\d{2})-(\d{2})$/;
const DAYS_BEFORE_1970 = 719468;
const DAYS_PER_ERA = 146097;

/** The day number `days` after (or, if negative, before) `day`. */
export function addDays(day: DayNumber, days: number): DayNumber {
  return (day + days) as DayNumber;
}

/** The days from `from` to `to`; negative where `to` is the earlier. */
export function daysBetween(from: DayNumber, to: DayNumber): number {
  return to - from;
}

/** The day number of a year, month (1–12) and day of the month; the parts are taken as valid. */
export function dayFromParts(year: number, month: number, dayOfMonth: number): DayNumber {
  // Years are counted from March so that the leap day comes last.
  const marchYear = month <= 2 ? year - 1 : year;
  const era = Math.floor(marchYear / 400);
  const yearOfEra = marchYear - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + dayOfMonth - 1;
  const dayOfEra =
    yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return (era * DAYS_PER_ERA + dayOfEra - DAYS_BEFORE_1970) as DayNumber;
}

/** A calendar date taken apart: `month` 1–12, `dayOfMonth` 1–31. */
export interface DateParts {
  readonly year: number;
  readonly month: number;
  readonly dayOfMonth: number;
}

/** The year, month and day of the month of a day number. */
export function partsFromDay(day: DayNumber): DateParts {
  const shifted = day + DAYS_BEFORE_1970;
  const era = Math.floor(shifted / DAYS_PER_ERA);
  const dayOfEra = shifted - era * DAYS_PER_ERA;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36524) -
      Math.floor(dayOfEra / 146096)) /
      365,
  );
  const dayOfYear =
    dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const marchMonth = Math.floor((5 * dayOfYear + 2) / 153);
  const month = marchMonth < 10 ? marchMonth + 3 : marchMonth - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    dayOfMonth: dayOfYear - Math.floor((153 * marchMonth + 2) / 5) + 1,
  };
}

const MONTH_LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** The number of days in a month (1–12) of a year. */
export function daysInMonth(year: number, month: number): number {
  const leap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
  return month === 2 && leap ? 29 : (MONTH_LENGTHS[month - 1] ?? 31);
}

/** The day number of a `YYYY-MM-DD` date, or null where the text is not a date of the calendar. */
export function parseDay(text: string): DayNumber | null {
  const match = DATE_FORM.exec(text);
  if (match === null) return null;
  const year = Number(match[1]);
  const month = Number(match[2]);
  const dayOfMonth = Number(match[3]);
  if (month < 1 || month > 12 || dayOfMonth < 1 || dayOfMonth > daysInMonth(year, month)) {
    return null;
  }
  return dayFromParts(year, month, dayOfMonth);
}

const ZERO = 48;
const DECADE = 10;

/** The number that two digits of a text make. */
function twoDigits(text: string, at: number): number {
  return (text.charCodeAt(at) - ZERO) * DECADE + text.charCodeAt(at + 1) - ZERO;
}

/**
 * The day number of a `YYYY-MM-DD` date that validation has already accepted.
 * Reads the digits in place, because a large book holds hundreds of thousands of dates.
 */
export function dayOf(text: string): DayNumber {
  const year = twoDigits(text, 0) * 100 + twoDigits(text, 2);
  return dayFromParts(year, twoDigits(text, 5), twoDigits(text, 8));
}

/** The `YYYY-MM-DD` form of a day number. */
export function formatDay(day: DayNumber): string {
  const { year, month, dayOfMonth } = partsFromDay(day);
  const pad = (value: number, width: number): string => String(value).padStart(width, "0");
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(dayOfMonth, 2)}`;
}
