import { bookOf, done } from "../../test/books.js";
import type { Book } from "../book/file/book.js";
import { dayOf } from "../calendar/dayNumber.js";
import { wasteOn } from "./wasteOn.js";

const L = (value: number): object => ({ value, unit: "L" });
const drain = (id: string, date: string, litres: number, more: object = {}): object =>
  done(id, date, [], { fluids: [{ fluid: "sump", out: L(litres) }], ...more });

const BOOK = {
  ...bookOf({
    fluids: [
      { id: "sump", machine: "van", system: "engine", kind: "engine oil" },
      { id: "box", machine: "van", system: "gearbox", kind: "automatic transmission fluid" },
      { id: "cool", machine: "van", system: "cooling", kind: "coolant" },
    ],
    entries: [
      drain("e1", "2026-01-10", 12),
      drain("e2", "2026-01-10", 11.5, { replaces: "e1" }),
      drain("e3", "2026-02-10", 4, { void: true }),
      done("e4", "2026-03-10", [], {
        fluids: [
          { fluid: "box", out: { value: 4, unit: "us-qt" } },
          { fluid: "cool", out: L(9) },
          { fluid: "cool", in: L(9) },
        ],
      }),
      drain("e5", "2026-09-10", 12),
    ],
  }),
  containers: [
    { id: "can", name: "Oil can", kind: "oil", inUse: false },
    { id: "drum", name: "Oil drum", kind: "oil", holds: L(200), inUse: true },
  ],
  wasteMoves: [
    { id: "w1", date: "2026-02-01", kind: "filters", amount: 3, why: "filled" },
    {
      ...{ id: "w2", date: "2026-04-01", kind: "oil", container: "drum", amount: L(10) },
      ...{ why: "handed-in", where: "the yard at Fen End", paper: "4411" },
    },
  ],
} as unknown as Book;

const told = (on: string): string[] =>
  wasteOn(BOOK, dayOf(on)).map(({ kind, drained, standing, container }) => {
    const amounts = [drained.litres, standing.litres, standing.pieces].map((one) => one.toFixed(3));
    return `${kind}: ${amounts.join(", ")} ${container}`;
  });

test("what entries drained is waste of its kind as they stand, less what was handed in", () => {
  expect(told("2026-03-31")).toEqual([
    "oil: 15.285, 15.285, 0.000 drum",
    "coolant: 9.000, 9.000, 0.000 null",
    "filters: 0.000, 0.000, 3.000 null",
  ]);
  expect(told("2026-04-01")[0]).toBe("oil: 15.285, 5.285, 0.000 drum");
});

test("a day before anything was drained has no waste", () => {
  expect(told("2026-01-09")).toEqual([]);
});
