import { changeOf } from "../../test/changeOf.js";
import { bookOf, done } from "../../test/books.js";
import { counting } from "../../test/csvTables.js";
import { applyChange } from "../book/change/change.js";
import type { Book } from "../book/file/book.js";
import { readBookData } from "../book/file/readBook.js";
import type { Entry } from "../book/records/entry.js";
import { dayOf } from "../calendar/dayNumber.js";
import { shelfList, stockTable } from "./shelfList.js";
import { plainAmount } from "./price.js";
import {
  countsBeside,
  countsLess,
  countStock,
  kitRests,
  moveStock,
  returnFromKit,
  strikeMove,
  type StockTold,
} from "./stockCommands.js";
import { stockOn } from "./stockOn.js";

const TODAY = dayOf("2026-11-23");
const L = (value: number): object => ({ value, unit: "L" });
const fitted = (parts: readonly object[], more: object = {}): object =>
  done("e", "2026-11-20", [], { seq: 50, parts, ...more });

function bookWith(entries: readonly object[], stockMoves: readonly object[] = []): Book {
  return {
    ...bookOf({
      entries,
      products: [{ id: "oil", name: "Oil", kind: "engine oil", packs: [{ quantity: L(5) }] }],
    }),
    parts: [
      {
        ...{ id: "kit", name: "Kit", number: "K 1" },
        contains: [{ part: "filter" }, { part: "big" }, { part: "small", count: 2 }],
      },
      { id: "filter", name: "Filter", number: "F 1", prices: [{ source: "Corrie", price: 8 }] },
      { id: "big", name: "Big washer", number: "W 24" },
      { id: "small", name: "Small washer", number: "W 14" },
    ],
    stockMoves,
  } as unknown as Book;
}

let ids = 0;
const context = () => ({ today: TODAY, ...counting(), newId: () => `new ${(ids += 1)}` });
const told = (more: object = {}): StockTold =>
  ({
    ...{ item: { part: "filter" }, amount: 4, unit: "piece", why: "bought", date: "2026-11-20" },
    ...more,
  }) as unknown as StockTold;
const onHand = (book: Book): Record<string, number> =>
  Object.fromEntries(
    stockOn(book, TODAY).items.map((item) => [
      "part" in item ? item.part : item.product,
      item.onHand,
    ]),
  );

test("what came, went and was counted is on hand, and a move struck out is not", () => {
  let book = bookWith([]);
  book = applyChange(book, changeOf(moveStock(told(), context())));
  book = applyChange(book, changeOf(moveStock(told({ why: "scrapped", amount: 1 }), context())));
  expect(onHand(book)).toEqual({ filter: 3 });
  const scrapped = book.stockMoves?.at(-1)?.id ?? "";
  const slice = { stockMoves: book.stockMoves ?? [] };
  book = applyChange(book, changeOf(strikeMove(slice, scrapped, context())));
  expect(onHand(book)).toEqual({ filter: 4 });
  const counts = [told({ amount: 9 }), told({ item: { product: "oil" }, unit: "L", amount: 2.5 })];
  book = applyChange(book, changeOf(countStock(counts, context())));
  expect(onHand(book)).toEqual({ filter: 9, oil: 2.5 });
  expect(readBookData(book)).toMatchObject({ ok: true });
});

test.each<[string, object]>([["moved-later", { date: "2026-11-24" }]])(
  "refused: %s",
  (code, more) => {
    expect(moveStock(told(more), context())).toMatchObject({ issues: [{ code }] });
    expect(countStock([told(more)], context())).toMatchObject({ issues: [{ code }] });
  },
);

test("nothing counted is no count, nothing bought no move", () => {
  expect(countStock([], context())).toMatchObject({ issues: [{ code: "nothing-counted" }] });
  expect(moveStock(told({ amount: 0 }), context())).toMatchObject({ ok: false });
  expect(strikeMove({ stockMoves: [] }, "m", context())).toMatchObject({
    issues: [{ code: "move-missing" }],
  });
});

test("of a kit what was not used goes back to the shelf, and is not asked about again", () => {
  const entry = fitted([{ part: "kit", count: 1, from: "stock" }]) as Entry;
  const book = bookWith(
    [entry],
    [{ id: "m", seq: 1, date: "2026-11-01", part: "kit", amount: 1, why: "bought" }],
  );
  const rests = kitRests(entry, book.parts ?? [], book.stockMoves ?? []);
  expect(rests.map(({ part, count }) => [part.number, count])).toEqual([
    ["F 1", 1],
    ["W 24", 1],
    ["W 14", 2],
  ]);
  const [, big] = rests;
  if (big === undefined) throw new Error("a kit of three");
  const after = applyChange(book, changeOf(returnFromKit(big, entry, context())));
  expect(onHand(after)).toEqual({ kit: 0, big: 1 });
  const left = kitRests(entry, after.parts ?? [], after.stockMoves ?? []);
  expect(left.map(({ part }) => part.number)).toEqual(["F 1", "W 14"]);
  const supplied = fitted([{ part: "kit", count: 1, from: "supplied" }]) as Entry;
  expect(kitRests(supplied, book.parts ?? [], [])).toEqual([]);
});

test("a count of the day of some work is asked about only where the work was written down after it, and can be lessened by it", () => {
  const entry = fitted([{ part: "filter", count: 2, from: "stock" }], {
    fluids: [{ fluid: "sump", product: "oil", in: L(1), from: "stock" }],
  }) as Entry;
  const count = { id: "c", seq: 40, date: "2026-11-20", part: "filter", amount: 5, why: "counted" };
  const book = bookWith([entry], [count]);
  const moves = book.stockMoves ?? [];
  const beside = countsBeside(entry, moves, plainAmount);
  expect(beside).toMatchObject([{ count: { id: "c" }, taken: 2 }]);
  const later = moves.map((move) => ({ ...move, seq: 60 }));
  expect(countsBeside(entry, later, plainAmount)).toEqual([]);
  expect(onHand(book)["filter"]).toBe(5);
  const change = changeOf(countsLess(beside, entry.id, () => "piece", context()));
  const after = applyChange(book, change);
  expect(onHand(after)["filter"]).toBe(3);
  expect(countsBeside(entry, after.stockMoves ?? [], plainAmount)).toEqual([]);
});

test("an item is told with its shelf, its worth, and whether it has lain still for a year; a count is no move", () => {
  const moves = [
    { id: "a", seq: 1, date: "2025-01-10", part: "filter", amount: 3, why: "bought", shelf: "B1" },
    { id: "b", seq: 2, date: "2026-11-01", part: "filter", amount: 3, why: "counted", shelf: "B2" },
    { id: "c", seq: 3, date: "2026-11-02", part: "big", amount: 3, why: "bought" },
  ];
  const book = bookWith([], moves);
  const [filter, big] = shelfList(book, TODAY);
  expect(filter).toMatchObject({ shelves: ["B2"], isStill: true, worth: 24 });
  expect(big).toMatchObject({ shelves: [], isStill: false, worth: null });
  expect(stockTable([filter, big].flatMap((one) => one ?? []))).toMatchObject([
    {},
    ["F 1", "Filter", "B2", "3", "piece", "2026-11-01", "", "", "2025-01-10", "24.00"],
    ["W 24", "Big washer", "", "3", "piece", "", "", "", "2026-11-02", ""],
  ]);
});
