import type { Part, Price } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import { valueIn, type Quantity } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";

/** What one piece, litre or kilogram costs, and where. */
export interface PriceOfOne {
  readonly price: number;
  readonly source: string;
}

/** The prices that are current: of each source its latest; of two without a date, or of one date, the one written last. */
export function currentPrices(prices: readonly Price[] | undefined): Price[] {
  const bySource = new Map<string, Price>();
  for (const price of prices ?? []) {
    const known = bySource.get(price.source);
    if (known === undefined || (price.on ?? "") >= (known.on ?? ""))
      bySource.set(price.source, price);
  }
  return [...bySource.values()];
}

/** The price of one in packs of `size`, at the cheapest source that is current; null where there is none. */
function cheapest(prices: readonly Price[] | undefined, size: number): PriceOfOne | null {
  const each = size > 0 ? currentPrices(prices) : [];
  return leastOf(each.map(({ price, source }) => ({ price: price / size, source })));
}

function leastOf(prices: readonly PriceOfOne[]): PriceOfOne | null {
  return prices.reduce<PriceOfOne | null>(
    (least, one) => (least === null || one.price < least.price ? one : least),
    null,
  );
}

/** An amount of fluid in litres, or in kilograms where it is a mass. */
export function plainAmount(quantity: Quantity): number {
  return valueIn(quantity, dimensionOf(quantity.unit) === "mass" ? "kg" : "L");
}

/** What one of a part costs: its pack's price divided by the pack, at the cheapest source that is current (records §1). */
export function priceOfPart({ prices, pack }: Pick<Part, "prices" | "pack">): PriceOfOne | null {
  return cheapest(prices, pack ?? 1);
}

/** What a litre (or a kilogram) of a product costs in its cheapest pack, at the cheapest source that is current; null where no pack has a price (records §1). */
export function priceOfProduct({ packs }: Pick<Product, "packs">): PriceOfOne | null {
  return leastOf(
    (packs ?? []).flatMap(({ quantity, prices }) => cheapest(prices, plainAmount(quantity)) ?? []),
  );
}
