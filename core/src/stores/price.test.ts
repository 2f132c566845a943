import { priceOfPart, priceOfProduct } from "./price.js";

const at = (source: string, price: number, on?: string): object => ({ source, price, on });

test.each<[string, readonly object[], number, unknown]>([
  ["no price is none", [], 1, null],
  ["the cheapest source", [at("A", 12), at("B", 10)], 1, { price: 10, source: "B" }],
  ["a pack's price is divided by the pack", [at("A", 12)], 4, { price: 3, source: "A" }],
  [
    "of one source the latest, though it was cheaper before",
    [at("A", 8, "2025-01-01"), at("A", 11, "2026-01-01"), at("B", 10, "2024-01-01")],
    1,
    { price: 10, source: "B" },
  ],
  [
    "a dated price before an undated one of the same source",
    [at("A", 9, "2026-01-01"), at("A", 5)],
    1,
    { price: 9, source: "A" },
  ],
  [
    "of two undated ones the one written last",
    [at("A", 9), at("A", 11)],
    1,
    { price: 11, source: "A" },
  ],
  ["free is a price", [at("A", 0)], 1, { price: 0, source: "A" }],
])("of a part: %s", (_, prices, pack, expected) => {
  expect(priceOfPart({ prices, pack } as never)).toEqual(expected);
});

test("of a product: a litre in its cheapest pack, a kilogram of what is sold by weight", () => {
  const pack = (value: number, unit: string, price: number): object => ({
    quantity: { value, unit },
    prices: [at("A", price)],
  });
  expect(priceOfProduct({ packs: [pack(1, "L", 8), pack(5, "L", 30)] } as never)).toEqual({
    price: 6,
    source: "A",
  });
  expect(priceOfProduct({ packs: [pack(500, "g", 7)] } as never)?.price).toBeCloseTo(14, 9);
  expect(
    priceOfProduct({
      packs: [{ quantity: { value: 0, unit: "L" }, prices: [at("A", 3)] }],
    } as never),
  ).toBeNull();
  expect(priceOfProduct({ packs: [] })).toBeNull();
});
