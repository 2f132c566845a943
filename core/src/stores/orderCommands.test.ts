import { changeOf } from "../../test/changeOf.js";
import { counting } from "../../test/csvTables.js";
import { applyChange } from "../book/change/change.js";
import type { Order } from "../book/records/order.js";
import type { Part } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import { readBookData } from "../book/file/readBook.js";
import { bookOf } from "../../test/books.js";
import { dayOf } from "../calendar/dayNumber.js";
import { catalogueOf, itemKey } from "./item.js";
import { closeLine, placeOrder, receiveOrder, type CameOf } from "./orderCommands.js";
import { isOpenOrder, onOrder, orderStanding } from "./orders.js";
import { stockOn } from "./stockOn.js";

const TODAY = dayOf("2026-11-23");
const L = (value: number): object => ({ value, unit: "L" });
const PARTS = [
  {
    id: "fuel",
    name: "Fuel filter",
    number: "F 1",
    least: 2,
    prices: [{ source: "Corrie", price: 29 }],
  },
  { id: "washer", name: "Washer", number: "W 24", pack: 10, prices: [] },
] as unknown as Part[];
const PRODUCTS = [
  { id: "oil", name: "Oil", kind: "engine oil", packs: [{ quantity: L(5) }, { quantity: L(20) }] },
] as unknown as Product[];
const ORDER = {
  ...{ id: "o", source: "Corrie", placed: "2026-11-10" },
  lines: [
    { part: "fuel", count: 3, price: 29 },
    { part: "washer", count: 20, price: 0.06 },
    { product: "oil", count: 2, pack: L(20), price: 100 },
  ],
} as unknown as Order;
const SLICE = { orders: [ORDER], parts: PARTS, products: PRODUCTS };
const context = () => ({ today: TODAY, ...counting() });
const came = (
  line: number,
  count: number,
  price: number | null,
  instead: string | null = null,
): CameOf => ({
  ...{ line, count, price, instead },
});
const received = (on: string, ...lines: CameOf[]) =>
  applyChange(
    { ...bookOf({}), ...SLICE },
    changeOf(receiveOrder(SLICE, "o", on, lines, context())),
  );

test("what came stands on the order, on the shelf and in the prices, from the day it came on", () => {
  const book = received("2026-11-20", came(1, 20, 0.07), came(2, 1, 104));
  const [order] = book.orders ?? [];
  expect(orderStanding(order as Order)).toMatchObject([
    { came: 0, open: 3 },
    { came: 20, open: 0 },
    { came: 1, open: 1 },
  ]);
  expect(book.stockMoves).toMatchObject([
    { part: "washer", amount: 20, why: "bought", source: "Corrie", date: "2026-11-20" },
    { product: "oil", amount: L(20), why: "bought", price: 104 },
  ]);
  expect(book.stockMoves?.[0]?.price).toBeCloseTo(1.4);
  expect(book.parts?.[1]?.prices).toMatchObject([{ source: "Corrie", on: "2026-11-20" }]);
  expect(book.parts?.[1]?.prices?.[0]?.price).toBeCloseTo(0.7);
  expect(book.products?.[0]?.packs?.[1]).toMatchObject({
    prices: [{ source: "Corrie", price: 104, on: "2026-11-20" }],
  });
  expect(readBookData(book)).toMatchObject({ ok: true });
});

test("another number closes its line with a word, and is a part of its own that takes the place of the old", () => {
  const book = received("2026-11-20", came(0, 2, 31, "F 1B"));
  const [order] = book.orders ?? [];
  expect(order?.lines[0]).toMatchObject({ closed: "F 1B came instead" });
  const fresh = (book.parts ?? []).find(({ number }) => number === "F 1B");
  expect(fresh).toMatchObject({ name: "Fuel filter", least: 2 });
  expect(fresh?.prices).toEqual([{ source: "Corrie", price: 31, on: "2026-11-20" }]);
  expect((book.parts ?? []).find(({ id }) => id === "fuel")).toMatchObject({
    ...{ supersededBy: "F 1B", least: null, prices: PARTS[0]?.prices },
  });
  const { items } = stockOn(book, TODAY);
  expect(items).toMatchObject([{ part: fresh?.id, onHand: 2, short: false }]);
  expect(readBookData(book)).toMatchObject({ ok: true });
});

test("the number that was ordered is no other number, however it is written", () => {
  const book = received("2026-11-20", came(0, 2, 29, " f 1"));
  expect(book.orders?.[0]?.lines[0]).not.toHaveProperty("closed");
  expect(book.parts).toHaveLength(PARTS.length);
});

test("what is still to come of an order is on order, in the unit of its item", () => {
  const coming = onOrder([ORDER], catalogueOf(SLICE));
  expect([...coming]).toEqual([
    ["part fuel", 3],
    ["part washer", 20],
    ["product oil", 40],
  ]);
  const closed = changeOf(closeLine(SLICE, "o", 0, "not to be had"));
  const [line] = closed.records;
  const after = line?.after as Order;
  expect(onOrder([after], catalogueOf(SLICE)).has(itemKey({ part: "fuel" as Part["id"] }))).toBe(
    false,
  );
  expect(isOpenOrder(after)).toBe(true);
});

test.each<[string, string, CameOf[]]>([
  ["nothing-came", "2026-11-20", []],
  ["came-later", "2026-11-24", [came(0, 1, null)]],
  ["came-before", "2026-11-09", [came(0, 1, null)]],
  ["too-many", "2026-11-20", [came(0, 4, null)]],
  ["no-other-product", "2026-11-20", [came(2, 1, null, "Oil 2")]],
])("refused: %s", (code, on, lines) => {
  expect(receiveOrder(SLICE, "o", on, lines, context())).toMatchObject({ issues: [{ code }] });
});

test("a pack of which nobody knows how much is in it is refused, as are an order of nothing and a line closed without a reason", () => {
  const bare = { ...ORDER, lines: [{ product: "oil", count: 1 }] } as unknown as Order;
  const slice = { ...SLICE, orders: [bare] };
  expect(receiveOrder(slice, "o", "2026-11-20", [came(0, 1, 9)], context())).toMatchObject({
    issues: [{ code: "pack-missing" }],
  });
  const nothing = { source: "Corrie", placed: "2026-11-10", lines: [] };
  expect(placeOrder(nothing, context())).toMatchObject({ issues: [{ code: "nothing-ordered" }] });
  expect(closeLine(SLICE, "o", 0, " ")).toMatchObject({ issues: [{ code: "reason-missing" }] });
});

test("of two lines of one item what came goes to the first until it is whole", () => {
  const two = {
    ...ORDER,
    lines: [
      { part: "fuel", count: 2 },
      { part: "fuel", count: 2 },
    ],
    received: [{ on: "2026-11-12", lines: [{ part: "fuel", count: 3 }] }],
  } as unknown as Order;
  expect(orderStanding(two)).toMatchObject([
    { came: 2, open: 0 },
    { came: 1, open: 1 },
  ]);
});
