import {
  currentPrices,
  dayOf,
  priceHistory,
  priceRise,
  type Part,
  type Price,
} from "@yonderfell/core";
import { figure, fullDate, NBSP } from "./format.js";
import { money } from "./money.js";

/** What a price is and who asks it: `9.80 cr, Corrie Factors`. */
export function priceWords({ price, source }: Price, currency: string | null | undefined): string {
  return `${money(price, currency)}, ${source}`;
}

/** The prices that are current, of each source its latest, the cheapest first. */
export function cheapestFirst(prices: readonly Price[] | undefined): readonly Price[] {
  return currentPrices(prices).sort((one, other) => one.price - other.price);
}

const A_WHOLE = 100;

/** How the price of a source has changed, and since when: `4 % dearer since 26 Nov 2026, was 14.60 cr`; empty where it has not. */
export function riseWords(
  prices: readonly Price[] | undefined,
  { source, on }: Price,
  currency: string | null | undefined,
): string {
  const rise = priceRise(prices, source);
  const before = priceHistory(prices, source).at(-2);
  if (rise === null || before === undefined) return "";
  const share = figure(Math.abs(rise) * A_WHOLE, Math.abs(rise) < 0.1 ? 1 : 0);
  const since = on ? ` since ${fullDate(dayOf(on))}` : "";
  return `${share}${NBSP}% ${rise > 0 ? "dearer" : "cheaper"}${since}, was ${money(before.price, currency)}`;
}

/** The number to order a part by, and what it was before. */
export function orderWords({ number, supersededBy }: Part): string {
  return (supersededBy ?? "") === "" ? number : `${supersededBy}, in place of ${number}`;
}
