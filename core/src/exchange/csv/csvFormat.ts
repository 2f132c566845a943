import { parseDay } from "../../calendar/dayNumber.js";
import type { DecimalSign } from "../../quantity/numeral.js";
import { parseFigure } from "../../quantity/parseFigure.js";

/** In which order the parts of a date are written. */
export const DATE_ORDERS = ["ymd", "dmy", "mdy"] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

/** How a table writes what can be written in several ways. */
export interface CsvFormat {
  readonly dates: DateOrder;
  readonly decimal: DecimalSign;
  /** The unit of distances that name none; as the meter counts where null. */
  readonly distance: "km" | "mi" | null;
}

/** A way of writing told from what a table holds. */
export interface Told<Value> {
  readonly value: Value;
  /** Whether nothing in the table can be read in another way. */
  readonly isSure: boolean;
}

const MONTHS = [
  ...["january", "february", "march", "april", "may", "june", "july", "august", "september"],
  ...["october", "november", "december"],
];
const BETWEEN = "(?:\\s*[-./]\\s*|\\s+)";
const NUMBERS = new RegExp(`^(\\d{1,4})${BETWEEN}(\\d{1,2})${BETWEEN}(\\d{1,4})\\.?$`);
const DAY = "(\\d{1,2})(?:st|nd|rd|th)?";
const NAMED = new RegExp(
  `^(?:${DAY}${BETWEEN}(?:of\\s+)?)?([a-z]{3,9})(?:[.,]\\s*|${BETWEEN})(?:${DAY}(?:,\\s*|${BETWEEN}))?(\\d{4}|\\d{2})$`,
  "i",
);
/** A time of day that follows a date counts for nothing. */
const TIME = /(?:T|\s+)\d{1,2}:\d{2}(?::\d{2}(?:\.\d+)?)?\s*(?:Z|[ap]m|[+-]\d{2}:?\d{2})?$/i;
/** Years of two digits: up to this many in this century. */
const THIS_CENTURY = 69;

/**
 * A date of a table as `YYYY-MM-DD`, or null where it is none: numbers in the order given (four
 * digits first are always the year), `3. 4. 2026`, `3 Apr 2026`, `3rd April 2026`, `Apr 3, 2026`; a time of day after it is passed
 * over. Two digits are a year from 1970 to 2069.
 */
export function readCsvDate(text: string, order: DateOrder): string | null {
  const plain = text.trim().replace(TIME, "");
  const numbers = NUMBERS.exec(plain);
  if (numbers !== null) {
    const [one = "", two = "", three = ""] = numbers.slice(1);
    if (one.length === 4) return dateOf(one, two, three);
    if (one.length > 2 || three.length === 3 || three.length === 1) return null;
    if (order === "ymd") return three.length === 2 ? dateOf(one, two, three) : null;
    return order === "dmy" ? dateOf(three, two, one) : dateOf(three, one, two);
  }
  const named = NAMED.exec(plain);
  if (named === null) return null;
  const [first, name = "", second, year = ""] = named.slice(1);
  const month = MONTHS.findIndex((one) => one.startsWith(name.toLowerCase())) + 1;
  const isOneDay = (first === undefined) !== (second === undefined);
  return month === 0 || !isOneDay ? null : dateOf(year, String(month), first ?? second ?? "");
}

function dateOf(year: string, month: string, dayOfMonth: string): string | null {
  const written = Number(year);
  const century = written > THIS_CENTURY ? 1900 : 2000;
  const full = year.length === 2 ? century + written : written;
  if (full < 1000 || Number(month) < 1 || Number(month) > 12 || dayOfMonth.length > 2) return null;
  const text = [String(full), month.padStart(2, "0"), dayOfMonth.padStart(2, "0")].join("-");
  return parseDay(text) === null ? null : text;
}

/**
 * In which order the dates of a table are written: the one in which most can be read. Not sure where
 * another reads as many and some of them otherwise.
 */
export function tellDates(texts: readonly string[], preferred: DateOrder): Told<DateOrder> {
  const given = texts.filter((text) => text.trim() !== "");
  const orders = [preferred, ...DATE_ORDERS.filter((order) => order !== preferred)];
  const read = orders.map((order) => {
    const dates = given.map((text) => readCsvDate(text, order));
    return { order, dates, count: dates.filter((date) => date !== null).length };
  });
  const best = read.reduce((most, one) => (one.count > most.count ? one : most));
  const isSure = read.every(
    ({ count, dates }) =>
      count < best.count || dates.every((date, index) => date === best.dates[index]),
  );
  return { value: best.order, isSure };
}

/**
 * Which sign stands before the decimals of a table's figures. Not sure where no figure tells and
 * some could be read in both ways, such as `1,234`.
 */
export function tellDecimal(texts: readonly string[], preferred: DecimalSign): Told<DecimalSign> {
  let comma = 0;
  let point = 0;
  let either = 0;
  for (const text of texts) {
    const signs = text.replace(/[^.,]/g, "");
    const last = signs.at(-1);
    if (last === undefined) continue;
    const decimals = text.slice(text.lastIndexOf(last) + 1).replace(/\D/g, "").length;
    const isOnce = signs.split(last).length === 2;
    const hasBoth = signs.includes(".") && signs.includes(",");
    if (isOnce && !hasBoth && decimals === 3) either += 1;
    else if ((last === ",") === isOnce) comma += 1;
    else point += 1;
  }
  if (comma === point) return { value: preferred, isSure: either === 0 };
  return { value: comma > point ? "," : ".", isSure: Math.min(comma, point) === 0 };
}

/** A figure of a table with the unit that stands behind it, such as `41 350 km`; null where it is none of at least zero. */
export function readCsvFigure(
  text: string,
  decimal: DecimalSign,
): { readonly value: number; readonly unit: "km" | "mi" | "h" | null } | null {
  const match = /^([\d\s.,'\u00a0\u2009\u202f]+?)\s*([a-z]*)\.?$/i.exec(text.trim());
  const value = match === null ? null : parseFigure(match[1] ?? "", decimal);
  const unit = csvUnit(match?.[2] ?? "");
  if (value === null || !Number.isFinite(value) || unit === undefined) return null;
  return { value, unit };
}

const UNIT_WORDS: ReadonlyMap<string, "km" | "mi" | "h"> = new Map([
  ...["km", "kms", "kilometre", "kilometres", "kilometer", "kilometers"].map(
    (word) => [word, "km"] as const,
  ),
  ...["mi", "mile", "miles"].map((word) => [word, "mi"] as const),
  ...["h", "hr", "hrs", "hour", "hours"].map((word) => [word, "h"] as const),
]);

/** The unit of a meter by a word for it; null for none, undefined for a word that is no such unit. */
export function csvUnit(word: string): "km" | "mi" | "h" | null | undefined {
  const plain = word.trim().toLowerCase();
  return plain === "" ? null : UNIT_WORDS.get(plain);
}
