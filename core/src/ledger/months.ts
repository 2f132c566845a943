import { dayOf, formatDay } from "../calendar/dayNumber.js";
import { addMonths } from "../calendar/interval.js";

const MONTH = "YYYY-MM".length;

/** The month of a date, `YYYY-MM`. */
export const monthOf = (date: string): string => date.slice(0, MONTH);

const YEAR = "YYYY".length;

/** The year of a month or a date, `YYYY`. */
export const yearOf = (date: string): string => date.slice(0, YEAR);

/** The same month a year before. */
export const yearBefore = (month: string): string =>
  `${String(Number(yearOf(month)) - 1).padStart(YEAR, "0")}${month.slice(YEAR)}`;

const nextMonth = (month: string): string => monthOf(formatDay(addMonths(dayOf(`${month}-01`), 1)));

/** From the earliest of some months to the latest, with those between of which there is none; in any order, any number of times. */
export function monthsBetween(months: readonly string[]): string[] {
  const known = [...new Set(months)].toSorted();
  const last = known.at(-1);
  const all: string[] = [];
  for (let month = known[0]; month !== undefined;) {
    all.push(month);
    month = month === last ? undefined : nextMonth(month);
  }
  return all;
}
