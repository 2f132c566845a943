import { groupBy } from "es-toolkit";
import type { Book } from "../book/file/book.js";
import type { Product } from "../book/records/product.js";
import { byDate, currentRecords } from "../book/slice/currentRecords.js";
import { dayOf, daysBetween, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { catalogueOf, itemKey, itemNamed, type StoreItem } from "./item.js";
import { priceOfPart, priceOfProduct } from "./price.js";
import { stockOn, type StockItem } from "./stockOn.js";

/** So many days without a move are a year on the shelf. */
const STILL_DAYS = 365;
/** Stock is shown to a thousandth of its unit: a millilitre, a gram. */
const FINE = 1000;

/** A figure of stock as every list of it shows it: to a thousandth. */
export const stockFigure = (value: number): number => Math.round(value * FINE) / FINE;

/** An item of the shelves as it is told: what it is, where it lies, how much there is, what that is worth, and since when it has not moved. */
export interface ShelfItem {
  readonly item: StoreItem;
  readonly stock: StockItem;
  /** A part's number; empty for a product. */
  readonly number: string;
  readonly name: string;
  /** Where it lies, as its latest move that says so has it; where moves after its last count name several, all of them. */
  readonly shelves: readonly string[];
  /** The day it last came or went; a count is no move. Null where it never did. */
  readonly moved: DayNumber | null;
  /** There is some, and it has not moved for a year. */
  readonly isStill: boolean;
  /** The day by which the first of its open containers is to be used up; null where none says. */
  readonly bestBefore: DayNumber | null;
  /** How many of its containers stand open. */
  readonly open: number;
  /** What there is at the price of one today; null where no price is known. */
  readonly worth: number | null;
}

type ShelfBook = Pick<Book, "parts" | "products" | "entries" | "stockMoves">;

/** The last day, up to `on`, on which work took of each item from a shelf. */
function lastTaken({ entries }: ShelfBook, on: DayNumber): Map<string, DayNumber> {
  const last = new Map<string, DayNumber>();
  const note = (item: StoreItem, day: DayNumber): void => {
    const key = itemKey(item);
    if (day <= on && day > (last.get(key) ?? Number.NEGATIVE_INFINITY)) last.set(key, day);
  };
  for (const { record, day } of currentRecords(entries ?? [])) {
    for (const { part, from } of record.parts ?? []) if (from === "stock") note({ part }, day);
    for (const { product, from, in: amount } of record.fluids ?? []) {
      if (from === "stock" && product && amount) note({ product }, day);
    }
  }
  return last;
}

/** What there is on the shelves at the end of a day ({@link stockOn}), with where it lies, what it is worth and since when it has lain still. */
export function shelfList(book: ShelfBook, on: DayNumber): ShelfItem[] {
  const catalogue = catalogueOf(book);
  const taken = lastTaken(book, on);
  const current = currentRecords(book.stockMoves ?? [])
    .filter(({ day }) => day <= on)
    .sort(byDate);
  const moves = groupBy(current, ({ record }) => {
    const item = itemNamed(record);
    return item === null ? "" : itemKey(item);
  });
  return stockOn(book, on).items.map((stock): ShelfItem => {
    const item: StoreItem = "part" in stock ? { part: stock.part } : { product: stock.product };
    const key = itemKey(item);
    const own = moves[key] ?? [];
    const part = "part" in item ? catalogue.parts.get(item.part) : undefined;
    const product = "product" in item ? catalogue.products.get(item.product) : undefined;
    const price = part ? priceOfPart(part) : product ? priceOfProduct(product) : null;
    const last = own.findLast(({ record }) => record.why !== "counted")?.day ?? null;
    const used = taken.get(key) ?? null;
    const moved = used === null || (last !== null && last > used) ? last : used;
    const there = Math.max(0, stock.onHand);
    return {
      ...{ item, stock, moved, ...openOf(product) },
      ...{ number: part?.number ?? "", name: part?.name ?? product?.name ?? "" },
      shelves: shelvesOf(own.map(({ record }) => record)),
      isStill: there > 0 && (moved === null || daysBetween(moved, on) >= STILL_DAYS),
      worth: price === null ? null : price.price * there,
    };
  });
}

/** What stands open of a product. */
function openOf(product: Product | undefined): Pick<ShelfItem, "bestBefore" | "open"> {
  const opened = product?.opened ?? [];
  const days = opened.flatMap(({ bestBefore }) => (bestBefore ? dayOf(bestBefore) : []));
  const first = days.length === 0 ? null : (Math.min(...days) as DayNumber);
  return { bestBefore: first, open: opened.length };
}

/** The shelves that moves since the last count name, that count's among them; else the latest that any names. */
function shelvesOf(
  moves: readonly { readonly why: string; readonly shelf?: string | null | undefined }[],
): string[] {
  const from = Math.max(
    0,
    moves.findLastIndex(({ why }) => why === "counted"),
  );
  const since = [...new Set(moves.slice(from).flatMap(({ shelf }) => shelf || []))];
  if (since.length > 0) return since;
  const latest = moves.findLast(({ shelf }) => Boolean(shelf))?.shelf;
  return latest ? [latest] : [];
}

/** The headings of stock as a table. */
const HEADINGS = [
  ...["Number", "Name", "Shelf", "On hand", "Unit", "Counted", "Least", "Standing"],
  ...["Last moved", "Worth"],
];

/** What deserves a word of an item: more was taken than there was, or there is less than the least; empty where nothing does. */
export function stockWord({ onHand, short }: Pick<StockItem, "onHand" | "short">): string {
  if (onHand < 0) return "the counts do not agree";
  return short ? "short" : "";
}

/** Stock as a table for a spreadsheet, with plain figures. */
export function stockTable(items: readonly ShelfItem[]): string[][] {
  return [
    HEADINGS,
    ...items.map(({ stock, number, name, shelves, moved, worth }) => [
      ...[number, name, shelves.join("; "), String(stockFigure(stock.onHand)), stock.unit],
      ...[stock.counted ?? "", stock.least === null ? "" : String(stockFigure(stock.least))],
      stockWord(stock),
      moved === null ? "" : formatDay(moved),
      worth === null ? "" : worth.toFixed(2),
    ]),
  ];
}
