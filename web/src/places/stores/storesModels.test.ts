import {
  catalogueOf,
  containersOn,
  needsAhead,
  shelfList,
  shoppingList,
  stockOn,
  usedInYear,
  type BoardMachine,
  type SupplierOrder,
} from "@yonderfell/core";
import { BOOK, TODAY } from "../../../test/skarrowVale.js";
import type { Shopping } from "../../work/shelves.worker.js";
import { buyMessage, buyTable, buyWords, forWords } from "./buy/buyModel.js";
import { sourcesIn } from "./buy/sources.js";
import { atTheirPrice, linesSent, orderOf, rowsOf, sumOf } from "./orders/orderModel.js";
import { offerWords, orderStandWords } from "./orders/orderWords.js";
import { cameOf, newlyCome, receiveSheet } from "./orders/receiveModel.js";
import { countSheet, countsOf, onShelf, pasted } from "./shelves/countModel.js";
import { shelvesIn, shownItems, worthOf } from "./shelves/shelfModel.js";
import { containerOf, modelOfContainer, newWaste, wasteOf } from "./waste/wasteModel.js";

const ITEMS = shelfList(BOOK, TODAY);
const CATALOGUE = catalogueOf(BOOK);
const { parts = [], products = [], findings = [], tasks = [], orders = [] } = BOOK;

/** What is to be bought for the visits the shed has decided on and the findings of the book. */
function shopping(): Shopping {
  const visits = new Map(
    (BOOK.visits ?? []).map((visit) => [
      visit.machine,
      [{ day: TODAY, visit: visit.id, tasks: visit.tasks }],
    ]),
  );
  const horizon = { today: TODAY, until: TODAY, machines: null };
  const { needs, gaps } = needsAhead(BOOK, visits, horizon);
  const list = shoppingList(needs, {
    ...{ catalogue: CATALOGUE, stock: stockOn(BOOK, TODAY), orders, source: null },
    aYear: usedInYear(BOOK, TODAY),
  });
  return { list, gaps, parts, products, findings, tasks };
}

const MACHINES = (BOOK.machines ?? []).map((machine) => ({ machine }) as BoardMachine);

test("the list as a table and as a message name the same things, packs and sum", () => {
  const made = shopping();
  const words = buyWords(made, MACHINES, TODAY, "cr");
  const [heads = [], ...rows] = buyTable(made, words);
  expect(heads[2]).toBe("Item");
  expect(new Set(rows.map((row) => row[2]))).toEqual(
    new Set(made.list.toBuy.map(({ item }) => words.nameOf(item))),
  );
  const cost = rows.reduce((sum, row) => sum + Number(row[5]), 0);
  expect(cost).toBeCloseTo(made.list.cost);
  const message = buyMessage(made, words);
  expect(message).toContain(`Together ${made.list.cost.toFixed(2)} cr`);
  for (const { item } of made.list.toBuy) expect(message).toContain(words.nameOf(item));
  const filter = made.list.toBuy.find(({ item }) => words.nameOf(item).startsWith("T 58-102"));
  if (filter === undefined) throw new Error("the mower takes a filter");
  expect(forWords(filter, words)[0]).toMatch(/^12\u00a0Engine oil and filter, 23\u00a0Nov: 1$/);
});

test("what is bought of a source is ordered in pieces of parts and packs of fluids, as the supplier is told it", () => {
  const { list } = shopping();
  const rows = rowsOf(list.toBuy, "Corrie Factors");
  const oil = rows.find(({ item }) => item === "product p-fell-15w40");
  expect(oil).toMatchObject({ pack: "20", price: "82", number: "" });
  const model = {
    source: "Corrie Factors",
    placed: "2026-11-23",
    reference: "",
    note: "",
    lines: rows,
  };
  const order = orderOf(model, CATALOGUE);
  expect(order.lines).toHaveLength(rows.length);
  expect(order.lines.find(({ product }) => product === "p-fell-15w40")).toMatchObject({
    pack: { value: 20, unit: "L" },
  });
  expect(linesSent(model, CATALOGUE)).toContainEqual({
    ...{ number: "Fellmaster 15W-40", count: Number(oil?.count), pack: 20 },
  });
  const { cost, unpriced } = sumOf(model);
  const bought = list.bySource.find(({ source }) => source === "Corrie Factors");
  expect(cost).toBeCloseTo(bought?.cost ?? 0);
  expect(unpriced).toBe(0);
  expect(sourcesIn({ parts, products })).toEqual(["Corrie Factors", "Netherby Stores"]);
});

test("a price that the supplier asks now is taken for the pack that is meant", () => {
  const row = { item: "product p-fell-15w40", number: "", count: "1", pack: "60", price: "219" };
  const packs = [
    { size: 20, unit: "L" as const, price: 84, stock: 3 },
    { size: 60, unit: "L" as const, price: 222, stock: 2 },
  ];
  const offer = { asked: "Fellmaster 15W-40", known: true, packs };
  expect(atTheirPrice(row, offer).price).toBe("222");
  expect(atTheirPrice({ ...row, pack: "200" }, offer).price).toBe("219");
  const washers = { size: 10, unit: "piece" as const, price: 0.7, stock: 3 };
  const of = { asked: "W 24", known: true, packs: [washers] };
  expect(atTheirPrice({ ...row, item: "part pt-washer-24", pack: "" }, of).price).toBe("0.07");
  expect(offerWords({ asked: "X", known: false }, "cr")).toBe("not sold there");
});

test("what has come by the supplier's word is filled in once, and as another number where it is one", () => {
  const [order] = orders;
  if (order === undefined) throw new Error("the book has an order");
  expect(orderStandWords([])).toBe("all of it has come or is closed");
  const told = {
    ...{ supplier: "Corrie Factors", simulated: true, reference: "CF 1", promised: "2026-11-25" },
    deliveries: [
      {
        on: "2026-11-23",
        lines: [
          { line: 1, number: "W 24B", count: 12, price: 0.07, instead: true },
          { line: 2, number: "HD 4760", count: 1, price: 41 },
        ],
      },
    ],
  } as SupplierOrder;
  expect([...newlyCome(order, told).keys()]).toEqual([1]);
  const sheet = receiveSheet(order, told, "2026-11-23");
  expect(sheet.rows).toEqual([{ line: 1, count: "12", price: "0.07", instead: "W 24B" }]);
  expect(cameOf(sheet)).toEqual([{ line: 1, count: 12, price: 0.07, instead: "W 24B" }]);
});

test("a list that is pasted into a count sheet goes to the items it names, figures alone from the field on", () => {
  const items = onShelf(ITEMS, "B1");
  const sheet = countSheet(items, "2026-11-23");
  const named = pasted("HD 4530\t4\nhd 4590;2\nZZ 1\t7", sheet, 0, items);
  expect(named?.unknown).toEqual(["ZZ 1"]);
  const counts = countsOf({ ...sheet, rows: named?.rows ?? [] }, items, "B1");
  expect(counts.map(({ amount, shelf }) => [amount, shelf])).toEqual([
    [4, "B1"],
    [2, "B1"],
  ]);
  const plain = pasted("3\n5", sheet, 1, items);
  expect(plain?.rows.slice(0, 4).map(({ typed }) => typed)).toEqual(["", "3", "5", ""]);
  expect(pasted("7", sheet, 0, items)).toBeNull();
});

test("what does not agree stands first, then what is short; shelves are told by name", () => {
  const all = shownItems(ITEMS, { shelf: "", words: "", shown: "all" });
  expect(all[0]?.number).toBe("HD 4510");
  expect(all[1]?.stock.short).toBe(true);
  expect(shownItems(ITEMS, { shelf: "B2", words: "copper", shown: "all" })).toHaveLength(1);
  expect(shownItems(ITEMS, { shelf: "", words: "", shown: "disagree" })).toHaveLength(1);
  expect(shelvesIn(ITEMS)).toEqual(["B1", "B2", "drum rack"]);
  expect(worthOf(all).worth).toBeGreaterThan(50);
});

test("a container is handed in whole, and one that comes into use does so today", () => {
  const [held] = containersOn(BOOK, TODAY);
  if (held === undefined) throw new Error("the book has a drum");
  const model = newWaste(held, "handed-in", TODAY);
  expect(Number(model.amount)).toBeCloseTo(held.standing.litres, 1);
  expect(wasteOf({ ...model, where: "the yard" }, held.container)).toMatchObject({
    ...{ kind: "oil", container: held.container.id, why: "handed-in" },
    amount: { unit: "L" },
  });
  const again = { ...modelOfContainer(held.container), inUse: true };
  expect(containerOf(again, held.container, TODAY)).toMatchObject({
    ...{ inUse: true, since: "2026-11-23", until: null },
  });
});
