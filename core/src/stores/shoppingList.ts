import { groupBy } from "es-toolkit";
import type { Order } from "../book/records/order.js";
import type { PartId } from "../book/records/ids.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { isAbove } from "../sums/nearly.js";
import { currentNumber, itemKey, unitOfItem, type Catalogue, type StoreItem } from "./item.js";
import type { StoreNeed } from "./needs.js";
import { SHORT } from "./packs.js";
import { biggerPack, buyingFor, offersOf, type BiggerPack, type Buying } from "./offers.js";
import { onOrder } from "./orders.js";
import type { StockList, StockUnit } from "./stockOn.js";

/** An item of a shopping list: what is needed of it, what there is, what to buy. */
export interface ShoppingLine {
  /** The item that is ordered: of a number that was superseded the one that is current, as far as the book knows it. */
  readonly item: StoreItem;
  readonly unit: StockUnit;
  /** The number to order where the book knows no part of it; null where the item's own is current. */
  readonly instead: string | null;
  /** Numbers that machines take and that it stands for. */
  readonly standsFor: readonly PartId[];
  /** What it is for, the first wanted first, those without a day last. */
  readonly needs: readonly StoreNeed[];
  /** Of all of them. */
  readonly needed: number;
  /** So much is to be left on the shelf besides. */
  readonly least: number;
  /** What there is; 0 where the counts do not agree. */
  readonly onHand: number;
  /** Below 0 by the book: more was taken than there was. */
  readonly disagrees: boolean;
  readonly onOrder: number;
  /** What is missing; 0 where nothing is. */
  readonly short: number;
  /** The day of the first need that is not covered; null where that has none. */
  readonly by: DayNumber | null;
  /** What to buy; null where nothing is missing, or no pack is recorded. */
  readonly buying: Buying | null;
  readonly bigger: BiggerPack | null;
}

/** What to buy of one source. */
export interface SourceSum {
  /** Null where nobody is known to sell it. */
  readonly source: string | null;
  /** Lines of which something is bought there. */
  readonly lines: number;
  /** Of what has a price. */
  readonly cost: number;
  readonly unpriced: number;
}

/** What work ahead takes: what to buy, and what is there or on its way. */
export interface ShoppingList {
  /** What is missing, the first wanted first. */
  readonly toBuy: readonly ShoppingLine[];
  /** What is covered by what there is and what is on order. */
  readonly covered: readonly ShoppingLine[];
  readonly bySource: readonly SourceSum[];
  /** Of what has a price. */
  readonly cost: number;
  /** Lines to buy without a price, or without a pack. */
  readonly unpriced: number;
}

/** What a shopping list is made from beside the needs. */
export interface ShoppingFrom {
  readonly catalogue: Catalogue;
  /** What there is today. */
  readonly stock: StockList;
  readonly orders: readonly Order[];
  /** What a year takes, by item ({@link itemKey}). */
  readonly aYear: ReadonlyMap<string, number>;
  /** The one source to buy from; null for the cheapest of each pack. */
  readonly source: string | null;
}

interface Group {
  readonly item: StoreItem;
  readonly instead: string | null;
  readonly members: Map<string, StoreItem>;
  readonly needs: StoreNeed[];
}

/** Items by what is ordered for them: a part by the number that is current now. */
class Groups {
  readonly byKey = new Map<string, Group>();
  private readonly known = new Map<string, Group>();

  constructor(private readonly catalogue: Catalogue) {}

  of(item: StoreItem): Group {
    const own = itemKey(item);
    const known = this.known.get(own);
    if (known !== undefined) return known;
    const part = "part" in item ? this.catalogue.parts.get(item.part) : undefined;
    const current = part === undefined ? null : currentNumber(part, this.catalogue.parts.values());
    const ordered: StoreItem = current === null ? item : { part: current.part.id };
    const key = itemKey(ordered);
    const group = this.byKey.get(key) ?? {
      ...{ item: ordered, instead: current?.unknown ?? null },
      ...{ members: new Map<string, StoreItem>([[key, ordered]]), needs: [] },
    };
    group.members.set(own, item);
    this.byKey.set(key, group);
    this.known.set(own, group);
    return group;
  }
}

const inOrder = (one: StoreNeed, other: StoreNeed): number =>
  (one.on ?? Number.MAX_SAFE_INTEGER) - (other.on ?? Number.MAX_SAFE_INTEGER);

/** The day of the first need that what there is does not cover. */
function firstUncovered(needs: readonly StoreNeed[], there: number): DayNumber | null {
  let left = there;
  for (const { amount, on } of needs) {
    left -= amount;
    if (isAbove(0, left)) return on;
  }
  return null;
}

/**
 * What to buy for the needs of work ahead (records §2): by item, less what is there and what is on order, in the cheapest packs. What is
 * to be kept at least is kept beside them; an item that has less than its least is on the list even where no work needs it. Where the counts do
 * not agree nothing is taken to be there.
 */
export function shoppingList(needs: readonly StoreNeed[], from: ShoppingFrom): ShoppingList {
  const { catalogue, stock, orders } = from;
  const groups = new Groups(catalogue);
  for (const need of needs) groups.of(need.item).needs.push(need);
  const onHand = new Map<string, number>();
  const least = new Map<string, number>();
  for (const held of stock.items) {
    const item: StoreItem = "part" in held ? { part: held.part } : { product: held.product };
    onHand.set(itemKey(item), held.onHand);
    if (held.least === null || held.least <= 0) continue;
    least.set(itemKey(item), held.least);
    groups.of(item);
  }
  // What is there, on order or used under a number that was superseded counts for the one that is current.
  for (const part of catalogue.parts.values()) {
    if ((part.supersededBy ?? "") !== "") groups.of({ part: part.id });
  }
  const coming = onOrder(orders, catalogue);
  const lines = [...groups.byKey.values()].map((group) =>
    lineOf(group, { onHand, least, coming }, from),
  );
  const asked = lines.filter(({ needed, least: kept }) => needed > 0 || kept > 0);
  const toBuy = asked
    .filter(({ short }) => short > 0)
    .sort((one, other) => (one.by ?? Infinity) - (other.by ?? Infinity) || 0);
  return {
    toBuy,
    covered: asked.filter(({ short }) => short === 0),
    bySource: sumsBySource(toBuy),
    cost: toBuy.reduce((sum, { buying }) => sum + pricedOf(buying), 0),
    unpriced: toBuy.filter(({ buying }) => buying === null || buying.cost === null).length,
  };
}

const pricedOf = (buying: Buying | null): number =>
  (buying?.packs ?? []).reduce((sum, { count, price }) => sum + count * (price ?? 0), 0);

function lineOf(
  { item, instead, members, needs }: Group,
  {
    onHand: held,
    least: kept,
    coming,
  }: {
    readonly onHand: ReadonlyMap<string, number>;
    readonly least: ReadonlyMap<string, number>;
    readonly coming: ReadonlyMap<string, number>;
  },
  { catalogue, aYear, source }: ShoppingFrom,
): ShoppingLine {
  const keys = [...members.keys()];
  const sum = (of: ReadonlyMap<string, number>): number =>
    keys.reduce((total, key) => total + Math.max(0, of.get(key) ?? 0), 0);
  const sorted = [...needs].sort(inOrder);
  const needed = needs.reduce((total, { amount }) => total + amount, 0);
  const [onHand, onTheWay] = [sum(held), sum(coming)];
  const least = Math.max(0, ...keys.map((key) => kept.get(key) ?? 0));
  const there = onHand + onTheWay;
  const missing = needed + least - there;
  const short = missing > SHORT ? missing : 0;
  // A number that nobody has a part of has no price either: that of the one before is not asked any more.
  const offers = offersOf(item, catalogue, source).map((offer) =>
    instead === null ? offer : { ...offer, price: null, source: null },
  );
  const buying = short === 0 ? null : buyingFor(needed + least, there, offers);
  const own = new Set(keys);
  const yearly = keys.reduce((total, key) => total + (aYear.get(key) ?? 0), 0);
  return {
    ...{ item, instead, unit: unitOfItem(item, catalogue), needs: sorted, needed, least, onHand },
    standsFor: [...members.values()].flatMap((one) =>
      "part" in one && own.has(itemKey(one)) && itemKey(one) !== itemKey(item) ? [one.part] : [],
    ),
    disagrees: keys.some((key) => isAbove(0, held.get(key) ?? 0)),
    ...{ onOrder: onTheWay, short, by: short === 0 ? null : firstUncovered(sorted, there), buying },
    bigger: buying === null ? null : biggerPack(buying, yearly, offers),
  };
}

function sumsBySource(lines: readonly ShoppingLine[]): SourceSum[] {
  const bought = lines.flatMap(({ buying }, line) =>
    buying === null || buying.packs.length === 0
      ? [{ source: null, price: null, count: 1, line }]
      : buying.packs.map(({ source, price, count }) => ({ source, price, count, line })),
  );
  return Object.values(groupBy(bought, ({ source }) => source ?? "")).map((packs) => ({
    source: packs[0]?.source ?? null,
    lines: new Set(packs.map(({ line }) => line)).size,
    cost: packs.reduce((sum, { price, count }) => sum + (price ?? 0) * count, 0),
    unpriced: packs.filter(({ price }) => price === null).length,
  }));
}
