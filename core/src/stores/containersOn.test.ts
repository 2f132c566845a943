import { changeOf } from "../../test/changeOf.js";
import { counting } from "../../test/csvTables.js";
import { bookOf, done } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { Book } from "../book/file/book.js";
import { readBookData } from "../book/file/readBook.js";
import type { Container } from "../book/records/waste.js";
import { dayOf } from "../calendar/dayNumber.js";
import { containersOn, wasteOfSpan } from "./containersOn.js";
import { keepContainer, moveWaste, strikeWaste, type WasteTold } from "./wasteCommands.js";

const TODAY = dayOf("2026-11-23");
const L = (value: number): object => ({ value, unit: "L" });
const drain = (id: string, date: string, fluid: string, litres: number): object =>
  done(id, date, [], { fluids: [{ fluid, out: L(litres) }] });

const BOOK = {
  ...bookOf({
    fluids: [
      { id: "sump", machine: "van", system: "engine", kind: "engine oil" },
      { id: "cool", machine: "van", system: "cooling", kind: "coolant" },
    ],
    entries: [
      drain("e1", "2026-01-10", "sump", 12),
      drain("e2", "2026-06-10", "sump", 11),
      drain("e3", "2026-07-10", "cool", 8),
    ],
  }),
  containers: [
    { id: "old", name: "Old drum", kind: "oil", holds: L(20), until: "2026-03-01" },
    { id: "new", name: "New drum", kind: "oil", holds: L(20), inUse: true, since: "2026-03-01" },
    { id: "can", name: "Can", kind: "coolant", inUse: true },
  ],
  wasteMoves: [
    {
      ...{ id: "w1", seq: 1 },
      date: "2026-02-01",
      kind: "oil",
      container: "old",
      amount: L(10),
      why: "handed-in",
    },
    { id: "w2", seq: 2, date: "2026-08-01", kind: "filters", amount: 3, why: "filled" },
  ],
} as unknown as Book;
const told = (more: Partial<WasteTold>): WasteTold => ({
  ...{ kind: "oil", container: "new" as Container["id"], amount: { value: 5, unit: "L" } },
  ...{ why: "handed-in", date: "2026-11-20", where: "the yard", paper: "44", note: "", ...more },
});
const context = () => ({ today: TODAY, ...counting() });
const containers = (BOOK.containers ?? []) as Container[];

test("what was drained stands in the container that was in use on its day", () => {
  expect(containersOn(BOOK, TODAY)).toMatchObject([
    { container: { id: "old" }, standing: { litres: 2 }, full: 0.1 },
    { container: { id: "new" }, standing: { litres: 11 }, full: 0.55 },
    { container: { id: "can" }, standing: { litres: 8 }, full: null },
  ]);
});

test("a year tells what came together of each kind, what was handed in and its papers", () => {
  const of = wasteOfSpan(BOOK, dayOf("2026-02-01"), dayOf("2026-12-31"));
  expect(of.map(({ kind }) => kind)).toEqual(["oil", "coolant", "filters"]);
  expect(of[0]).toMatchObject({
    ...{ before: { litres: 12 }, drained: { litres: 11 }, handedIn: { litres: 10 } },
    ...{ after: { litres: 13 }, papers: [{ id: "w1" }] },
  });
  expect(of[2]).toMatchObject({ filled: { pieces: 3 }, after: { pieces: 3 }, papers: [] });
});

test("what is handed in is off the container, and on it again once it is struck out", () => {
  const after = applyChange(BOOK, changeOf(moveWaste({ containers }, told({}), context())));
  expect(containersOn(after, TODAY)[1]?.standing.litres).toBe(6);
  expect(readBookData(after)).toMatchObject({ ok: true });
  const id = after.wasteMoves?.at(-1)?.id ?? "";
  const slice = { wasteMoves: after.wasteMoves ?? [] };
  const again = { ...context(), newId: () => "struck" };
  const struck = applyChange(after, changeOf(strikeWaste(slice, id, again)));
  expect(containersOn(struck, TODAY)[1]?.standing.litres).toBe(11);
});

test.each<[string, Partial<WasteTold>]>([
  ["other-kind", { kind: "coolant" }],
  ["other-kind", { container: "can" as Container["id"] }],
  ["where-missing", { where: " " }],
  ["waste-moved-later", { date: "2026-11-24" }],
  ["container-missing", { container: "none" as Container["id"] }],
])("refused: %s", (code, more) => {
  expect(moveWaste({ containers }, told(more), context())).toMatchObject({ issues: [{ code }] });
});

test("nothing is no amount of waste", () => {
  const nothing = moveWaste({ containers }, told({ amount: 0 }), context());
  expect(nothing).toMatchObject({ ok: false });
});

test("a container that comes into use takes the place of the one of its kind", () => {
  const fresh = { id: "third", name: "Third", kind: "oil", inUse: true, since: "2026-11-23" };
  const change = changeOf(
    keepContainer({ containers }, fresh as unknown as Container, true, context()),
  );
  const after = applyChange(BOOK, change);
  expect(after.containers).toMatchObject([
    {},
    { id: "new", inUse: false, until: "2026-11-23" },
    { id: "can", inUse: true },
    { id: "third", inUse: true },
  ]);
  const other = { ...containers[0], kind: "fuel" } as Container;
  expect(keepContainer({ containers }, other, false, context())).toMatchObject({
    issues: [{ code: "holds-something" }],
  });
});
