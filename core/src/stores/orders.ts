import type { Order } from "../book/records/order.js";
import { dimensionOf } from "../quantity/unit.js";
import { isAbove } from "../sums/nearly.js";
import { itemKey, itemNamed, unitOfItem, type Catalogue, type StoreItem } from "./item.js";
import { plainAmount } from "./price.js";

export type OrderLine = Order["lines"][number];

/** A line of an order and what of it has come. */
export interface LineStanding {
  readonly line: OrderLine;
  readonly at: number;
  readonly item: StoreItem | null;
  /** In what the line counts: pieces, or packs of a product. */
  readonly came: number;
  /** Still to come; none where the line is closed. */
  readonly open: number;
}

const keyOf = (line: OrderLine): string | null => {
  const item = itemNamed(line);
  const pack = line.pack ? plainAmount(line.pack) : null;
  return item === null ? null : `${itemKey(item)} ${pack ?? ""}`;
};

/** What of an order has come, line by line: of two lines of one item and pack what came goes to the first until it is whole. */
export function orderStanding({ lines, received }: Order): LineStanding[] {
  const came = new Map<string, number>();
  for (const line of (received ?? []).flatMap((one) => one.lines)) {
    const key = keyOf(line);
    if (key !== null) came.set(key, (came.get(key) ?? 0) + line.count);
  }
  return lines.map((line, at) => {
    const key = keyOf(line);
    const there = key === null ? 0 : (came.get(key) ?? 0);
    const isLast = !lines.slice(at + 1).some((other) => keyOf(other) === key);
    const own = isLast ? there : Math.min(there, line.count);
    if (key !== null) came.set(key, there - own);
    const isClosed = (line.closed ?? "") !== "";
    const open = isClosed || !isAbove(line.count, own) ? 0 : line.count - own;
    return { line, at, item: itemNamed(line), came: own, open };
  });
}

/** Whether anything of an order is still to come. */
export const isOpenOrder = (order: Order): boolean =>
  orderStanding(order).some(({ open }) => open > 0);

/** How much a line of an order is of its item, in pieces, litres or kilograms, for so many of what it counts; null where its pack is not known. */
export function amountOfLine(line: OrderLine, count: number, catalogue: Catalogue): number | null {
  const item = itemNamed(line);
  if (item === null) return null;
  if ("part" in item) return count;
  const unit = unitOfItem(item, catalogue);
  const packs = catalogue.products.get(item.product)?.packs ?? [];
  const [only] = packs.length === 1 ? packs : [];
  const pack = line.pack ?? only?.quantity ?? null;
  if (pack === null || dimensionOf(pack.unit) !== dimensionOf(unit)) return null;
  return count * plainAmount(pack);
}

/** What is on order and not here yet, by item ({@link itemKey}), in pieces, litres or kilograms. */
export function onOrder(
  orders: readonly Order[],
  catalogue: Catalogue,
): ReadonlyMap<string, number> {
  const amounts = new Map<string, number>();
  for (const { line, item, open } of orders.flatMap(orderStanding)) {
    const amount = item === null || open === 0 ? null : amountOfLine(line, open, catalogue);
    if (item === null || amount === null) continue;
    const key = itemKey(item);
    amounts.set(key, (amounts.get(key) ?? 0) + amount);
  }
  return amounts;
}
