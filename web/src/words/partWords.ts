import type { Part, Price } from "@yonderfell/core";
import { money } from "./money.js";

/** What a price is and who asks it: `9.80 cr, Corrie Factors`. */
export function priceWords({ price, source }: Price, currency: string | null | undefined): string {
  return `${money(price, currency)}, ${source}`;
}

/** The cheapest price first. */
export function cheapestFirst(prices: readonly Price[] | undefined): readonly Price[] {
  return [...(prices ?? [])].sort((one, other) => one.price - other.price);
}

/** The number to order a part by, and what it was before. */
export function orderWords({ number, supersededBy }: Part): string {
  return (supersededBy ?? "") === "" ? number : `${supersededBy}, in place of ${number}`;
}
