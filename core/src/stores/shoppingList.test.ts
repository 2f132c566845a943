import fc from "fast-check";
import type { Order } from "../book/records/order.js";
import type { Part } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import type { MachineId } from "../book/records/ids.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { catalogueOf, itemKey, type StoreItem } from "./item.js";
import type { StoreNeed } from "./needs.js";
import { buyingFor, offersOf } from "./offers.js";
import { shoppingList, type ShoppingFrom } from "./shoppingList.js";
import type { StockItem } from "./stockOn.js";

const TODAY = dayOf("2026-11-23");
const L = (value: number): object => ({ value, unit: "L" });
const part = (id: string, price: number | null, more: object = {}): Part =>
  ({
    ...{ id, name: id, number: id.toUpperCase() },
    ...{ prices: price === null ? [] : [{ source: "Factors", price }], ...more },
  }) as unknown as Part;
const PRODUCTS = [
  {
    ...{ id: "oil", name: "Oil", kind: "engine oil" },
    packs: [
      {
        quantity: L(5),
        prices: [
          { source: "Factors", price: 32 },
          { source: "Stores", price: 30 },
        ],
      },
      { quantity: L(20), prices: [{ source: "Factors", price: 100 }] },
      { quantity: L(60), prices: [{ source: "Factors", price: 240 }] },
      { quantity: L(200), prices: [] },
    ],
  },
  { id: "plain", name: "Plain", kind: "coolant", packs: [{ quantity: L(1) }, { quantity: L(4) }] },
  { id: "loose", name: "Loose", kind: "coolant" },
] as unknown as Product[];
const PARTS = [
  part("old", 9, { supersededBy: "new" }),
  part("new", 11),
  part("gone", 7, { supersededBy: "X 9" }),
  part("washer", 6, { pack: 10 }),
  part("free", null),
];

const need = (item: StoreItem, amount: number, days: number | null): StoreNeed => ({
  ...{ item, amount, on: days === null ? null : ((TODAY + days) as DayNumber) },
  ...{ machine: "van" as MachineId, of: { code: "visit", visit: null, tasks: [] } },
});
const ofPart = (id: string): StoreItem => ({ part: id }) as unknown as StoreItem;
const ofProduct = (id: string): StoreItem => ({ product: id }) as unknown as StoreItem;
const held = (item: StoreItem, onHand: number, least: number | null = null): StockItem => ({
  ...{ ...item, onHand, unit: "part" in item ? "piece" : "L", counted: null, least },
  short: false,
});

const from = (
  more: Partial<ShoppingFrom> & { readonly items?: StockItem[] } = {},
): ShoppingFrom => {
  const { items = [], ...rest } = more;
  return {
    ...{ catalogue: catalogueOf({ parts: PARTS, products: PRODUCTS }), orders: [] },
    ...{ stock: { on: "2026-11-23", items }, aYear: new Map(), source: null, ...rest },
  };
};

test("what is missing is bought in the cheapest packs, and by the first need that the shelf does not cover", () => {
  const needs = [need(ofProduct("oil"), 6, 20), need(ofProduct("oil"), 5, 3)];
  const { toBuy, cost } = shoppingList(needs, from({ items: [held(ofProduct("oil"), 6)] }));
  expect(toBuy).toMatchObject([{ needed: 11, onHand: 6, short: 5, by: TODAY + 20 }]);
  expect(toBuy[0]?.buying).toMatchObject({
    packs: [{ size: 5, count: 1, price: 30, source: "Stores" }],
    ...{ cost: 30, left: 0 },
  });
  expect(cost).toBe(30);
});

test("what is there or on order is not bought again; where the counts do not agree nothing is taken to be there", () => {
  const orders = [
    {
      ...{ id: "o", source: "Factors", placed: "2026-11-01" },
      lines: [
        { product: "oil", count: 1, pack: L(20), price: 100 },
        { part: "washer", count: 10, closed: "not to be had" },
      ],
      received: [],
    },
  ] as unknown as Order[];
  const needs = [need(ofProduct("oil"), 18, 9), need(ofPart("washer"), 2, 9)];
  const list = shoppingList(needs, from({ orders, items: [held(ofPart("washer"), -4)] }));
  expect(list.covered).toMatchObject([{ needed: 18, onOrder: 20, short: 0, by: null }]);
  expect(list.toBuy).toMatchObject([{ onHand: 0, disagrees: true, short: 2, onOrder: 0 }]);
});

test("a number that was superseded is ordered as the one that is current, and what is left of the old one is used up", () => {
  const needs = [need(ofPart("old"), 3, 2), need(ofPart("new"), 1, 4), need(ofPart("gone"), 1, 5)];
  const { toBuy } = shoppingList(needs, from({ items: [held(ofPart("old"), 1)] }));
  expect(toBuy).toMatchObject([
    { item: { part: "new" }, instead: null, standsFor: ["old"], needed: 4, onHand: 1, short: 3 },
    { item: { part: "gone" }, instead: "X 9", short: 1, buying: { cost: null } },
  ]);
  expect(toBuy[0]?.buying?.cost).toBe(33);
});

test("what is on order or used under the old number counts for the new one, and its least is kept once", () => {
  const orders = [
    { id: "o", source: "Factors", placed: "2026-11-01", lines: [{ part: "old", count: 2 }] },
  ] as unknown as Order[];
  const items = [held(ofPart("old"), 0, 2), held(ofPart("new"), 0, 1)];
  const { toBuy } = shoppingList([need(ofPart("new"), 3, 4)], from({ orders, items }));
  expect(toBuy).toMatchObject([{ item: { part: "new" }, onOrder: 2, least: 2, short: 3 }]);
});

test("a pack without a price is cost unknown and covers with the least left; without any pack there is nothing to choose", () => {
  const needs = [
    need(ofProduct("plain"), 4, 1),
    need(ofProduct("loose"), 2, 1),
    need(ofPart("free"), 1, 1),
  ];
  const { toBuy, unpriced, cost } = shoppingList(needs, from());
  expect(toBuy[0]?.buying).toMatchObject({ packs: [{ size: 4, count: 1 }], cost: null, left: 0 });
  expect(toBuy[1]).toMatchObject({ short: 2, buying: null });
  expect([unpriced, cost]).toEqual([3, 0]);
});

test("what is to be kept at least is bought besides, also where no work needs it", () => {
  const items = [held(ofPart("washer"), 4, 10), held(ofPart("new"), 5, 2)];
  const list = shoppingList([], from({ items }));
  expect(list.toBuy).toMatchObject([{ item: { part: "washer" }, least: 10, short: 6, by: null }]);
  expect(list.covered).toMatchObject([{ item: { part: "new" }, least: 2 }]);
});

test("a bigger pack that is cheaper over what a year takes is said, with what both cost", () => {
  const aYear = new Map([[itemKey(ofProduct("oil")), 58]]);
  const { toBuy } = shoppingList([need(ofProduct("oil"), 14, 1)], from({ aYear }));
  expect(toBuy[0]?.buying).toMatchObject({ cost: 90, packs: [{ size: 5, count: 3 }] });
  expect(toBuy[0]?.bigger).toMatchObject({ aYear: 58, cost: 240, inSmall: 360 });
  const few = new Map([[itemKey(ofProduct("oil")), 9]]);
  const little = shoppingList([need(ofProduct("oil"), 14, 1)], from({ aYear: few }));
  expect(little.toBuy[0]?.bigger).toBeNull();
});

test("from one source only its packs are bought, and sums are told by source", () => {
  const needs = [need(ofProduct("oil"), 14, 1), need(ofPart("washer"), 3, 1)];
  const list = shoppingList(needs, from());
  expect(list.bySource).toEqual([
    { source: "Stores", lines: 1, cost: 90, unpriced: 0 },
    { source: "Factors", lines: 1, cost: 6, unpriced: 0 },
  ]);
  const one = shoppingList(needs, from({ source: "Factors" }));
  expect(one.bySource).toEqual([{ source: "Factors", lines: 2, cost: 102, unpriced: 0 }]);
});

const ITEMS = [
  ofPart("old"),
  ofPart("new"),
  ofPart("washer"),
  ofProduct("oil"),
  ofProduct("plain"),
];
const drawnNeed = fc
  .record({
    item: fc.constantFrom(...ITEMS),
    amount: fc.integer({ min: 1, max: 90 }),
    days: fc.option(fc.integer({ min: 0, max: 180 })),
  })
  .map(({ item, amount, days }) => need(item, "part" in item ? amount : amount / 4, days));

test("stock, orders and the list cover every need, at no more cost than buying for each job alone", () => {
  const drawn = fc.record({
    needs: fc.array(drawnNeed, { minLength: 1, maxLength: 12 }),
    there: fc.array(fc.integer({ min: -20, max: 60 }), { minLength: 5, maxLength: 5 }),
  });
  const property = fc.property(drawn, ({ needs, there }) => {
    const items = ITEMS.map((item, at) => held(item, there[at] ?? 0));
    const world = from({ items });
    const list = shoppingList(needs, world);
    const lines = [...list.toBuy, ...list.covered];
    expect(lines.flatMap((line) => line.needs)).toHaveLength(needs.length);
    for (const line of lines) {
      const bought = (line.buying?.packs ?? []).reduce(
        (sum, { size, count }) => sum + size * count,
        0,
      );
      expect(line.onHand + line.onOrder + bought).toBeGreaterThanOrEqual(line.needed - 0.001);
      const alone = line.needs.map(
        ({ amount }) => buyingFor(amount, 0, offersOf(line.item, world.catalogue))?.cost ?? 0,
      );
      const sum = alone.reduce((total, cost) => total + cost, 0);
      expect(line.buying?.cost ?? 0).toBeLessThanOrEqual(sum + 1e-9);
    }
  });
  fc.assert(property, { seed: 24, numRuns: 400 });
});
