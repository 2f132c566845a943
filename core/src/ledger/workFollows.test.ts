import type { Book } from "../book/file/book.js";
import type { Entry } from "../book/records/entry.js";
import type { Fluid } from "../book/records/fluid.js";
import { parseDay, type DayNumber } from "../calendar/dayNumber.js";
import { stockOn } from "../stores/stockOn.js";
import { wasteOn } from "../stores/wasteOn.js";
import { workFollows } from "./workFollows.js";

const day = (text: string): DayNumber => parseDay(text) as DayNumber;
const litres = (value: number) => ({ value, unit: "L" as const });

const OIL = {
  id: "f-oil",
  machine: "m",
  system: "engine",
  kind: "engine oil",
  capacities: [
    { id: "c1", source: "handbook", condition: "with filter", quantity: litres(4) },
    { id: "c2", source: "label", condition: "with filter", quantity: litres(3.8) },
  ],
} as unknown as Fluid;

const change = (id: string, date: string, filled: number, more: object = {}): Entry =>
  ({
    ...{ id, seq: Number(id.slice(1)), machine: "m", date },
    fluids: [
      {
        ...{ fluid: "f-oil", condition: "with filter", product: "p-oil", from: "stock" },
        ...{ out: litres(filled - 0.2), in: litres(filled), onMark: true },
        ...more,
      },
    ],
    parts: [{ part: "pt-filter", count: 1, from: "stock" }],
  }) as unknown as Entry;

const ENTRIES = [
  change("e1", "2026-01-05", 3.9),
  change("e2", "2026-05-05", 4.1),
  // Not filled to the mark: it teaches nothing.
  change("e3", "2026-07-05", 3.1, { onMark: false }),
  change("e4", "2026-11-30", 4),
];

const BOOK = {
  parts: [{ id: "pt-filter", number: "F 12", name: "filter", least: 2 }],
  products: [{ id: "p-oil", name: "Tarn 5W-30" }],
  fluids: [OIL],
  containers: [{ id: "w-oil", name: "blue drum", kind: "oil", inUse: true, holds: litres(60) }],
  stockMoves: [
    { id: "s1", seq: 1, date: "2026-11-01", part: "pt-filter", amount: 2, why: "counted" },
    { id: "s2", seq: 2, date: "2026-11-01", product: "p-oil", amount: litres(20), why: "counted" },
  ],
  entries: ENTRIES,
} as unknown as Book;

const followsOf = (entry: Entry) => {
  const on = day("2026-11-30");
  const stock = stockOn(BOOK, on);
  return workFollows(entry, {
    fluids: [OIL],
    entries: ENTRIES,
    stock,
    waste: wasteOn(BOOK, on),
  });
};

describe("what follows from an entry", () => {
  test("is taken from the shelves, and what is left and whether that is too little is said", () => {
    expect(followsOf(ENTRIES[3] as Entry).stock).toEqual([
      {
        item: { part: "pt-filter" },
        ...{ taken: 1, unit: "piece", onHand: 1, short: true, least: 2 },
      },
      {
        item: { product: "p-oil" },
        ...{ taken: 4, unit: "L", onHand: 16, short: false, least: null },
      },
    ]);
  });

  test("stands in the container of its kind with all that was drained before", () => {
    const [waste] = followsOf(ENTRIES[3] as Entry).waste;
    expect(waste).toMatchObject({ kind: "oil", container: "w-oil" });
    expect([waste?.litres, waste?.standing]).toEqual([
      expect.closeTo(3.8),
      expect.closeTo(3.7 + 3.9 + 2.9 + 3.8),
    ]);
  });

  test("teaches the capacity by all fills that ended on the mark, beside each printed source", () => {
    const [taught] = followsOf(ENTRIES[3] as Entry).capacities;
    expect(taught).toMatchObject({ condition: "with filter", fluid: { id: "f-oil" } });
    expect(taught?.learned).toMatchObject({
      ...{ fills: 3, median: 4, low: 3.9, high: 4.1, disagree: true },
      printed: [
        { source: "handbook", off: 0 },
        { source: "label", off: expect.closeTo(-0.05) as number },
      ],
    });
  });

  test("is nothing where nothing came from a shelf, went out, or ended on the mark", () => {
    const entry = {
      ...change("e5", "2026-11-30", 4, { from: "bought", onMark: false }),
      parts: [],
    };
    const { fluids, ...rest } = entry;
    const onlyIn = { ...rest, fluids: (fluids ?? []).map(({ out: _, ...one }) => one) };
    expect(followsOf(onlyIn)).toEqual({ stock: [], waste: [], capacities: [] });
  });
});
