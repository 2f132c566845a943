import {
  addDays,
  dayOf,
  formatDay,
  valueIn,
  type Book,
  type Container,
  type DayNumber,
  type Entry,
  type Order,
  type StockMove,
  type WasteMove,
} from "@yonderfell/core";
import { PARTS, PRODUCTS } from "./catalogue.js";
import { q } from "./plate.js";
import { isKept } from "./work.js";

/** Something kept on a shelf: how it comes, and how little is too little. */
interface Kept {
  readonly id: string;
  readonly isProduct: boolean;
  readonly pack: number;
  readonly price: number;
  readonly source: string;
  readonly shelf: string;
}

const KEPT: readonly Kept[] = [
  ...PARTS.filter(isKept).map((part): Kept => {
    const price = part.prices?.[0];
    return {
      ...{ id: part.id, isProduct: false, pack: part.pack ?? 1, price: price?.price ?? 0 },
      source: price?.source ?? "",
      shelf: part.kind === "seal" ? "B2" : "B1",
    };
  }),
  ...PRODUCTS.flatMap((product): Kept[] => {
    const pack = product.packs?.[0];
    const price = pack?.prices?.at(-1);
    if (pack === undefined || price === undefined) return [];
    const litres = valueIn(pack.quantity, "L");
    const own = { id: product.id, isProduct: true, pack: litres, price: price.price };
    return [{ ...own, source: price.source, shelf: "drum rack" }];
  }),
];

/** The purchase that nobody wrote down: since then more was taken than the book knows of. */
const FORGOTTEN = { item: "pt-hd-oilf", after: 400 };
/** The shelf was counted so many days ago; the figures found a little less than was reckoned. */
const COUNTED_DAYS_AGO = 205;
const LOST = { "p-fell-15w40": 1.5, "pt-tol-oilf": 1 } as Readonly<Record<string, number>>;
const BOUGHT_BEFORE = 2;

interface Use {
  readonly day: DayNumber;
  readonly amount: number;
}

/** What entries took of an item from the shelf, the earliest first. */
function usesOf({ id, isProduct }: Kept, entries: readonly Entry[]): Use[] {
  const uses = entries.flatMap((entry): Use[] => {
    const day = dayOf(entry.date);
    if (!isProduct) {
      const own = (entry.parts ?? []).filter((one) => one.part === id && one.from === "stock");
      return own.map(({ count }) => ({ day, amount: count }));
    }
    return (entry.fluids ?? []).flatMap(({ product, from, in: amount }) =>
      product === id && from === "stock" && amount ? [{ day, amount: valueIn(amount, "L") }] : [],
    );
  });
  return uses.sort((one, other) => one.day - other.day);
}

/** The moves of one item: bought in packs before it would run out, counted once. */
function movesOf(kept: Kept, entries: readonly Entry[], today: DayNumber): StockMove[] {
  const { id, isProduct, pack, price, source, shelf } = kept;
  const item = isProduct ? { product: id } : { part: id };
  const amountOf = (value: number): unknown => (isProduct ? q(value, "L") : value);
  const moves: object[] = [];
  const move = (day: DayNumber, why: string, value: number, more: object): void => {
    const date = formatDay(day);
    moves.push({
      ...{ id: `sm-${id}-${moves.length + 1}`, date, ...item, amount: amountOf(value), why },
      ...{ shelf, ...more },
    });
  };
  const counted = addDays(today, -COUNTED_DAYS_AGO);
  const forgottenFrom = addDays(today, -FORGOTTEN.after);
  let onHand = 0;
  let isCounted = false;
  const count = (): void => {
    isCounted = true;
    if (id === FORGOTTEN.item || moves.length === 0) return;
    onHand = Math.max(0, Math.round((onHand - (LOST[id] ?? 0)) * 100) / 100);
    move(counted, "counted", onHand, {});
  };
  for (const { day, amount } of usesOf(kept, entries)) {
    if (!isCounted && day > counted) count();
    const isForgotten = id === FORGOTTEN.item && day > forgottenFrom;
    if (onHand < amount && !isForgotten) {
      const packs = Math.ceil((amount - onHand) / pack);
      const money = { price: Math.round(packs * price * 100) / 100, source };
      move(addDays(day, -BOUGHT_BEFORE), "bought", packs * pack, money);
      onHand += packs * pack;
    }
    onHand -= amount;
  }
  if (!isCounted) count();
  return moves as unknown as StockMove[];
}

/** What is kept in which container until it is handed in. */
const CONTAINERS = [
  { id: "wc-oil-old", name: "Blue oil drum", kind: "oil", holds: q(200, "L"), inUse: false },
  { id: "wc-oil", name: "Oil drum by the pit", kind: "oil", holds: q(200, "L"), inUse: true },
  { id: "wc-cool", name: "Coolant can", kind: "coolant", holds: q(60, "L"), inUse: true },
  {
    id: "wc-brake",
    name: "Brake fluid bottle",
    kind: "brake fluid",
    holds: q(5, "L"),
    inUse: true,
  },
  { id: "wc-filter", name: "Filter crate", kind: "filters", inUse: true },
] as unknown as readonly Container[];

function wasteMoves(today: DayNumber): WasteMove[] {
  const on = (ago: number): string => formatDay(addDays(today, -ago));
  const handed = { why: "handed-in", where: "Corrie Factors, yard" };
  return [
    {
      id: "wm-1",
      date: on(690),
      kind: "filters",
      container: "wc-filter",
      amount: 14,
      why: "filled",
    },
    {
      ...{ id: "wm-2", date: on(610), kind: "oil", container: "wc-oil-old", amount: q(190, "L") },
      ...{ ...handed, paper: "CF 20 118" },
    },
    {
      ...{ id: "wm-3", date: on(610), kind: "filters", container: "wc-filter", amount: 14 },
      ...{ ...handed, paper: "CF 20 119" },
    },
    {
      id: "wm-4",
      date: on(150),
      kind: "filters",
      container: "wc-filter",
      amount: 9,
      why: "filled",
    },
  ] as unknown as WasteMove[];
}

/** An order that has come in part: the superseded filter never will. */
function orders(today: DayNumber): Order[] {
  const on = (ago: number): string => formatDay(addDays(today, -ago));
  const lines = [
    { part: "pt-hd-fuel", count: 2, price: 29.5, closed: "HD 4521B came instead" },
    { part: "pt-washer-24", count: 2, price: 0.6 },
    { part: "pt-hd-belt", count: 1, price: 41 },
  ];
  const received = [{ on: on(4), lines: [{ part: "pt-hd-belt", count: 1, price: 41 }] }];
  return [
    { id: "or-1", source: "Corrie Factors", placed: on(9), lines, received },
  ] as unknown as Order[];
}

/** What the shelves hold, what was ordered, and what waits to be handed in. */
export function storesOf(
  entries: readonly Entry[],
  today: DayNumber,
): Required<Pick<Book, "stockMoves" | "containers" | "wasteMoves" | "orders">> {
  return {
    stockMoves: KEPT.flatMap((kept) => movesOf(kept, entries, today)),
    containers: CONTAINERS,
    wasteMoves: wasteMoves(today),
    orders: orders(today),
  };
}
