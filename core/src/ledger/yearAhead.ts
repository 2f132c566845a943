import type { Book } from "../book/file/book.js";
import { addDays, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { addMonths } from "../calendar/interval.js";
import { monthOf, yearBefore, yearOf } from "./months.js";
import { spending } from "./spending.js";
import { spendingAhead, type AheadCost, type SpendingAhead } from "./spendingAhead.js";

const MONTHS_AHEAD = 12;

/** A month to come, beside what was spent in the whole of that month a year before. */
export interface MonthAhead extends AheadCost {
  /** `YYYY-MM` */
  readonly month: string;
  readonly yearBefore: number;
}

/** What may be spent in a year, beside what was and what is to come. */
export interface YearBudget {
  readonly budget: number;
  /** From the first of January to today. */
  readonly spent: number;
  /** By the due rules, from today to the end of the year. */
  readonly toCome: number;
  /** Below 0 where it will not do. */
  readonly left: number;
}

/** The next twelve months in money. */
export interface YearAhead extends Omit<SpendingAhead, "months"> {
  readonly months: readonly MonthAhead[];
  /** The year of today: `2026`. */
  readonly year: string;
  /** Its budget; null where the book has none. */
  readonly budget: YearBudget | null;
}

/** What the twelve months from today on will cost ({@link spendingAhead}), beside the year before, and how the budget of this year stands. */
export function yearAhead(book: Book, today: DayNumber): YearAhead {
  const until = addDays(addMonths(today, MONTHS_AHEAD), -1);
  const ahead = spendingAhead(book, { today, until });
  const now = formatDay(today);
  const spent = spending(book, { from: `${yearBefore(monthOf(now))}-01`, to: now }).months;
  const spentIn = new Map(spent.map(({ month, total }) => [month, total]));
  const year = yearOf(now);
  const sumOf = (months: readonly { readonly month: string; readonly total: number }[]): number =>
    months.reduce((sum, { month, total }) => (yearOf(month) === year ? sum + total : sum), 0);
  const budget = book.settings?.budgets?.[year] ?? null;
  const [gone, toCome] = [sumOf(spent), sumOf(ahead.months)];
  return {
    ...ahead,
    months: ahead.months.map((one) => ({
      ...one,
      yearBefore: spentIn.get(yearBefore(one.month)) ?? 0,
    })),
    year,
    budget: budget === null ? null : { budget, spent: gone, toCome, left: budget - gone - toCome },
  };
}
