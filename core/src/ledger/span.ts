import {
  addDays,
  dayFromParts,
  parseDay,
  partsFromDay,
  type DayNumber,
} from "../calendar/dayNumber.js";
import { addMonths } from "../calendar/interval.js";

/** The spans that costs are asked for. */
export const SPANS = ["this-year", "12-months", "last-year", "all", "days"] as const;
export type SpanName = (typeof SPANS)[number];

/** From a day to another, both included. */
export interface Span {
  readonly from: DayNumber;
  readonly to: DayNumber;
}

/** Before any record a book may hold: the first day of all there is. */
export const BEGINNING = dayFromParts(1900, 1, 1);
const YEAR_OF_MONTHS = 12;

/** The span that a word asks for: this year where it is none that is known. */
export function spanName(asked: string | null): SpanName {
  return SPANS.find((name) => name === asked) ?? "this-year";
}

/** The days of a span; null where days were asked for that are none, or of which the first comes after the last. */
export function spanOf(
  name: SpanName,
  today: DayNumber,
  typed: { readonly from: string; readonly to: string },
): Span | null {
  const { year } = partsFromDay(today);
  switch (name) {
    case "this-year":
      return { from: dayFromParts(year, 1, 1), to: today };
    case "12-months":
      return { from: addDays(addMonths(today, -YEAR_OF_MONTHS), 1), to: today };
    case "last-year":
      return { from: dayFromParts(year - 1, 1, 1), to: dayFromParts(year - 1, 12, 31) };
    case "all":
      return { from: BEGINNING, to: today };
    case "days": {
      const [from, to] = [parseDay(typed.from), parseDay(typed.to)];
      return from === null || to === null || from > to ? null : { from, to };
    }
  }
}
