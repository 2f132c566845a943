import { partsFromDay, type DayNumber, type Forecast } from "@yonderfell/core";
import { currentDay } from "../data/today.js";
import { decimalSign, thousandsSign } from "./writing.js";

/** The months as they are written, January first. */
export const MONTHS = [
  "Jan",
  "Feb",
  "Mar",
  "Apr",
  "May",
  "Jun",
  "Jul",
  "Aug",
  "Sep",
  "Oct",
  "Nov",
  "Dec",
];
const WEEKDAYS = ["Thu", "Fri", "Sat", "Sun", "Mon", "Tue", "Wed"];
/** No-break space, between a figure and its unit and between thousands. */
export const NBSP = "\u00a0";
/** An en dash that no line is broken at. */
const EN_DASH = "\u2060–\u2060";
/** Words for where no sign but plain ones is wanted: a file, another program. */
export function plainText(words: string): string {
  return words.replaceAll(NBSP, " ").replaceAll("\u2060", "");
}

/** A date in full: `9 Dec 2026`. */
export function fullDate(day: DayNumber): string {
  const { year, month, dayOfMonth } = partsFromDay(day);
  return `${dayOfMonth}${NBSP}${MONTHS[month - 1]}${NBSP}${year}`;
}

/** A date with its weekday: `Mon 23 Nov 2026`. */
export function dateWithWeekday(day: DayNumber): string {
  return `${WEEKDAYS[((day % 7) + 7) % 7]}${NBSP}${fullDate(day)}`;
}

/** A date as short as it stays plain: `9 Dec` of this year, `9 Dec 2028` of another. */
export function shortDate(day: DayNumber, today: DayNumber): string {
  const { year, month, dayOfMonth } = partsFromDay(day);
  if (year !== partsFromDay(today).year) return fullDate(day);
  return `${dayOfMonth}${NBSP}${MONTHS[month - 1]}`;
}

/** The range of a forecast: `2–19 Dec`, `28 Nov – 5 Dec`; one date where it is certain. */
export function dateRange({ early, late }: Forecast, today: DayNumber): string {
  if (early === late) return shortDate(early, today);
  const from = partsFromDay(early);
  const to = partsFromDay(late);
  const until = shortDate(late, today);
  if (from.year !== to.year) return `${shortDate(early, today)} – ${until}`;
  if (from.month === to.month) return `${from.dayOfMonth}${EN_DASH}${until}`;
  return `${from.dayOfMonth}${NBSP}${MONTHS[from.month - 1]} – ${until}`;
}

/** A figure with its thousands apart, as the person likes them: `41 350`, `1 286.5`. */
export function figure(value: number, decimals = 0): string {
  const [whole = "", fraction] = Math.abs(value).toFixed(decimals).split(".");
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, thousandsSign());
  const isZero = Number(value.toFixed(decimals)) === 0;
  return `${value < 0 && !isZero ? "−" : ""}${grouped}${fraction === undefined ? "" : `${decimalSign()}${fraction}`}`;
}

type MeterUnit = "km" | "mi" | "h";

/** What a dial shows: distances whole, hours to a tenth. */
export function dialFigureWithUnit(value: number, unit: MeterUnit): string {
  return `${figure(value, unit === "h" ? 1 : 0)}${NBSP}${unit}`;
}

/** An amount run or left: whole, but hours under a hundred to a tenth where they are not whole. */
export function amount(value: number, unit: MeterUnit): string {
  const isFine =
    unit === "h" && Math.abs(value) < 100 && Math.abs(value - Math.round(value)) > 0.05;
  return `${figure(value, isFine ? 1 : 0)}${NBSP}${unit}`;
}

/** A rate: `61 km a day`, `3.1 h a day`. */
export function perDay(rate: number, unit: MeterUnit): string {
  return `${figure(rate, rate < 10 ? 1 : 0)}${NBSP}${unit} a day`;
}

/** A count with its noun: `1 day`, `12 days`. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${figure(count)}${NBSP}${count === 1 ? one : many}`;
}

const SMALL_NUMBERS = [
  ...["none", "one", "two", "three", "four", "five", "six"],
  ...["seven", "eight", "nine", "ten", "eleven", "twelve"],
];

/** A count in words up to twelve. */
export function inWords(count: number): string {
  return SMALL_NUMBERS[count] ?? figure(count);
}

/** A span of days as people say it: `5 days`, `7 weeks`, `9 months`, `2 years`. */
export function spanOfDays(days: number): string {
  if (days < 21) return counted(days, "day");
  if (days < 91) return counted(Math.round(days / 7), "week");
  if (days < 700) return counted(Math.round(days / 30.44), "month");
  return counted(Math.round(days / 365.25), "year");
}

/** The sentence with its first letter raised. */
export function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const LIST = new Intl.ListFormat("en-GB", { type: "conjunction" });

/** Some words in a row: `oil`, `oil and filter`, `oil, filter and belt`. */
export function listOfWords(words: readonly string[]): string {
  return LIST.format(words);
}

/** An instant as a day and a time of this device. */
export function momentWords(instant: string): string {
  const then = new Date(instant);
  return `${fullDate(currentDay(then))}, ${clockTime(then)}`;
}

/** The time of day of this device, `09:12`. */
export function clockTime(instant: Date | number): string {
  const then = new Date(instant);
  const parts = [then.getHours(), then.getMinutes()];
  return parts.map((part) => String(part).padStart(2, "0")).join(":");
}
