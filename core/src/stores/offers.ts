import { partition } from "es-toolkit";
import type { Price } from "../book/records/part.js";
import { dimensionOf } from "../quantity/unit.js";
import { isBelow } from "../sums/nearly.js";
import { unitOfItem, type Catalogue, type StoreItem } from "./item.js";
import { packsFor } from "./packs.js";
import { currentPrices, plainAmount } from "./price.js";

/** A pack in which an item can be bought. */
export interface PackOffer {
  /** Pieces, litres or kilograms in it. */
  readonly size: number;
  /** What one costs; null where it is not known. */
  readonly price: number | null;
  /** Who asks that; null where nobody is known to. */
  readonly source: string | null;
}

/** Packs to buy, so many of each. */
export interface PackBought extends PackOffer {
  readonly count: number;
}

/** What to buy of an item. */
export interface Buying {
  readonly packs: readonly PackBought[];
  /** Null where a pack among them has no price. */
  readonly cost: number | null;
  /** Pieces, litres or kilograms that are left over. */
  readonly left: number;
}

/** A bigger pack that is cheaper over a year. */
export interface BiggerPack {
  readonly packs: readonly PackBought[];
  /** What a year takes. */
  readonly aYear: number;
  /** What a year costs so, and in the packs that are bought now. */
  readonly cost: number;
  readonly inSmall: number;
}

/** The current price of a pack: the cheapest of all sources, or that of one of them. */
function priced(
  size: number,
  prices: readonly Price[] | undefined,
  only: string | null,
): PackOffer {
  const asked = currentPrices(prices).filter(({ source }) => only === null || source === only);
  const least = asked.reduce<Price | null>(
    (cheapest, one) => (cheapest === null || one.price < cheapest.price ? one : cheapest),
    null,
  );
  return { size, price: least?.price ?? null, source: least?.source ?? null };
}

/** The packs an item comes in, each at the cheapest source that is current, or at one source only; none where no pack is recorded. */
export function offersOf(
  item: StoreItem,
  catalogue: Catalogue,
  only: string | null = null,
): readonly PackOffer[] {
  if ("part" in item) {
    const part = catalogue.parts.get(item.part);
    return part === undefined ? [] : [priced(part.pack ?? 1, part.prices, only)];
  }
  const packs = catalogue.products.get(item.product)?.packs ?? [];
  const unit = unitOfItem(item, catalogue);
  return packs
    .filter(({ quantity }) => dimensionOf(quantity.unit) === dimensionOf(unit))
    .map(({ quantity, prices }) => priced(plainAmount(quantity), prices, only))
    .filter(({ size }) => size > 0);
}

/** The packs to choose from: those with a price; where none has one, all of them. */
function choice(offers: readonly PackOffer[]): readonly PackOffer[] {
  const [known, unknown] = partition(offers, ({ price }) => price !== null);
  return known.length > 0 ? known : unknown;
}

/**
 * The cheapest packs that cover a need beyond what is there (sum *packs*). Packs without a price stand only where none has
 * one, and then are bought so that the least is left. Null where no pack is recorded.
 */
export function buyingFor(
  need: number,
  there: number,
  offers: readonly PackOffer[],
): Buying | null {
  const from = choice(offers);
  const packs = from.map(({ size, price }) => ({ size, price: price ?? 0, available: null }));
  const bought = packs.length === 0 ? null : packsFor(need, there, packs);
  if (bought === null) return null;
  const chosen = from.flatMap((offer, place): PackBought[] => {
    const count = bought.counts[place] ?? 0;
    return count === 0 ? [] : [{ ...offer, count }];
  });
  const isPriced = chosen.every(({ price }) => price !== null);
  return { packs: chosen, cost: isPriced ? bought.cost : null, left: bought.left };
}

/**
 * Whether bigger packs than those that are bought now are cheaper over a year: what a year takes is covered once
 * in packs up to the biggest that is bought, once in all. Null where it is not, or a price is not known.
 */
export function biggerPack(
  { packs, cost }: Buying,
  aYear: number,
  offers: readonly PackOffer[],
): BiggerPack | null {
  if (cost === null || packs.length === 0 || aYear <= 0) return null;
  const most = Math.max(...packs.map(({ size }) => size));
  const small = buyingFor(
    aYear,
    0,
    offers.filter(({ size }) => size <= most),
  );
  const all = buyingFor(aYear, 0, offers);
  if (small === null || all === null || small.cost === null || all.cost === null) return null;
  if (!isBelow(all.cost, small.cost)) return null;
  return { packs: all.packs, aYear, cost: all.cost, inSmall: small.cost };
}
