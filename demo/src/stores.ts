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
  type Product,
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

/** Brake fluid that has stood open for too long, by days before today: what it is good for no more. */
const OPENED = { product: "p-brake-4", openedDaysAgo: 200, goodUntilDaysAgo: 18, left: 0.4 };

/** The products, with what of them stands open. */
export function productsOn(today: DayNumber): Product[] {
  const on = (ago: number): string => formatDay(addDays(today, -ago));
  const opened = [
    {
      ...{ on: on(OPENED.openedDaysAgo), quantity: q(OPENED.left, "L") },
      ...{ bestBefore: on(OPENED.goodUntilDaysAgo), shelf: "B2" },
    },
  ];
  return PRODUCTS.map((product) =>
    product.id === OPENED.product ? { ...product, opened } : product,
  );
}

/** What is kept in which container until it is handed in. */
const CONTAINERS = [
  { id: "wc-cool", name: "Coolant can", kind: "coolant", holds: q(60, "L"), inUse: true, fee: 0.4 },
  {
    id: "wc-brake",
    name: "Brake fluid bottle",
    kind: "brake fluid",
    holds: q(5, "L"),
    inUse: true,
  },
  { id: "wc-filter", name: "Filter crate", kind: "filters", inUse: true },
] as unknown as readonly Container[];

/** The blue drum was full and handed in so many days ago; since then the one by the pit is in use. */
const DRUM_DAYS_AGO = 610;

/** The containers, the drums of oil with when one took the place of the other. */
function containers(today: DayNumber): Container[] {
  const changed = formatDay(addDays(today, -DRUM_DAYS_AGO));
  const drum = { kind: "oil", holds: q(200, "L"), fee: 0.15 };
  const drums = [
    { id: "wc-oil-old", name: "Blue oil drum", ...drum, inUse: false, until: changed },
    { id: "wc-oil", name: "Oil drum by the pit", ...drum, inUse: true, since: changed },
  ] as unknown as readonly Container[];
  return [...drums, ...CONTAINERS];
}

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
      ...{ id: "wm-2", date: on(610), kind: "oil", container: "wc-oil-old", amount: q(165, "L") },
      ...{ ...handed, paper: "CF 20 118" },
    },
    {
      ...{ id: "wm-3", date: on(610), kind: "filters", container: "wc-filter", amount: 14 },
      ...{ ...handed, paper: "CF 20 119" },
    },
    {
      ...{ id: "wm-5", date: on(260), kind: "oil", container: "wc-oil", amount: q(120, "L") },
      ...{ ...handed, paper: "CF 21 007" },
    },
    {
      ...{ id: "wm-6", date: on(260), kind: "brake fluid", container: "wc-brake" },
      ...{ amount: q(4, "L"), ...handed, paper: "CF 21 008" },
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

/** Part of the order came so many days ago. */
const CAME_DAYS_AGO = 4;

/** What came of the order, on the shelf. */
function cameOf(today: DayNumber): StockMove[] {
  const came = { date: formatDay(addDays(today, -CAME_DAYS_AGO)), why: "bought", shelf: "B1" };
  const source = "Corrie Factors";
  return [
    { id: "sm-came-1", ...came, part: "pt-hd-fuel-b", amount: 2, price: 62.8, source },
    { id: "sm-came-3", ...came, part: "pt-hd-kit", amount: 1, price: 16.4, source },
    { id: "sm-came-2", ...came, part: "pt-hd-belt", amount: 1, price: 41, source },
  ] as unknown as StockMove[];
}

/** An order that has come in part: the superseded filter never will. */
function orders(today: DayNumber): Order[] {
  const on = (ago: number): string => formatDay(addDays(today, -ago));
  const lines = [
    { part: "pt-hd-fuel", count: 2, price: 29.5, closed: "HD 4521B came instead" },
    { part: "pt-washer-24", count: 20, price: 0.06 },
    { part: "pt-hd-belt", count: 1, price: 41 },
  ];
  const received = [
    {
      on: on(CAME_DAYS_AGO),
      lines: [
        { part: "pt-hd-fuel-b", number: "HD 4521B", count: 2, price: 31.4 },
        { part: "pt-hd-belt", count: 1, price: 41 },
      ],
    },
  ];
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
    stockMoves: [...KEPT.flatMap((kept) => movesOf(kept, entries, today)), ...cameOf(today)],
    containers: containers(today),
    wasteMoves: wasteMoves(today),
    orders: orders(today),
  };
}
