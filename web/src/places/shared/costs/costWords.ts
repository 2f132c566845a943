import {
  BEGINNING,
  dayOf,
  type MachineCost,
  type Meter,
  type MonthSpent,
  type Span,
  type SpanName,
  type UnpricedLine,
} from "@yonderfell/core";
import { amount, counted, figure, fullDate } from "../../../words/format.js";
import { money } from "../../../words/money.js";

/** The spans by name. */
export const SPAN_WORDS: Readonly<Record<SpanName, string>> = {
  "this-year": "this year",
  "12-months": "the last 12 months",
  "last-year": "last year",
  all: "all there is",
  days: "days chosen",
};

/** What costs are made of, by its word and in its paint. */
export const COST_PARTS = [
  ["parts", "parts", "--ink"],
  ["fluids", "fluids", "--clear"],
  ["work", "work", "--rule"],
  ["other", "other", "--soon"],
] as const;

/** What a line without a price was. */
export const LINE_WORDS: Readonly<Record<UnpricedLine["kind"], string>> = {
  parts: "part",
  fluids: "fluid",
  work: "work",
  other: "bill",
};

/** Money of a unit run has as many places as it needs to say something: `0.086`, `3.41`. */
export function rateFigure(rate: number): string {
  return figure(rate, Math.abs(rate) < 1 ? 3 : 2);
}

/** `a km`, `an hour`. */
const ofOne = (unit: Meter["unit"]): string => (unit === "h" ? "an hour" : `a ${unit}`);

/** An amount of money in a table; a dash for none. */
export function moneyOrDash(amount: number): string {
  return amount === 0 ? "–" : money(amount, "");
}

/** What each meter ran, and what a unit of it cost: `0.086 cr a km over 11 800 km`. */
export function runWords(
  { meters }: MachineCost,
  known: readonly Meter[],
  currency: string,
): string[] {
  return meters.flatMap(({ id, run, perUnit }) => {
    const meter = known.find((one) => one.id === id);
    if (meter === undefined || run === null) return [];
    const ran = amount(run, meter.unit);
    if (perUnit !== null) {
      const unit = currency === "" ? "" : `\u00a0${currency}`;
      return [`${rateFigure(perUnit)}${unit} ${ofOne(meter.unit)} over ${ran}`];
    }
    // A run of which only a part is known is no measure of what all of the span cost.
    return [
      run === 0 ? `${ran} run` : `${ran} run since its figures begin; no cost a ${meter.unit}`,
    ];
  });
}

/** What it came to in a sentence: `412.60 cr from 1 Jan 2026 to 30 Nov 2026`. */
export function totalWords(total: number, currency: string, { from, to }: Span): string {
  const since = from <= BEGINNING ? "up to" : `from ${fullDate(from)} to`;
  return `${money(total, currency)} ${since} ${fullDate(to)}`;
}

/** What came under warranty, and what says nothing of its price; empty where neither. */
export function apartWords(warranty: number, missing: number, currency: string): string[] {
  return [
    warranty === 0 ? "" : `${money(warranty, currency)} under warranty, not in it`,
    missing === 0 ? "" : `${counted(missing, "line")} without a price counted as nothing`,
  ].filter((words) => words !== "");
}

/** A month: `Nov 2026`. */
export function monthWords(month: string): string {
  return fullDate(dayOf(`${month}-01`)).replace(/^\S+\s/, "");
}

/** The chart in words, for those who hear it. */
export function chartWords(months: readonly MonthSpent[], currency: string): string {
  const said = months.map(({ month, total }) => `${monthWords(month)} ${money(total, currency)}`);
  return `Spent by month: ${said.join(", ")}`;
}
