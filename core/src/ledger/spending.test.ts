import type { Book } from "../book/file/book.js";
import type { Entry } from "../book/records/entry.js";
import type { MachineId } from "../book/records/ids.js";
import { bookCosts } from "./bookCosts.js";
import { spending } from "./spending.js";

const entry = (id: string, date: string, rest: object, machine = "hatch"): Entry =>
  ({ id, machine, date, ...rest }) as unknown as Entry;
const L = (value: number): object => ({ value, unit: "L" });
const BOOK = {
  machines: [
    { id: "hatch", tag: "02", name: "Hatchback", kind: "car" },
    { id: "bus", tag: "07", name: "Bus", kind: "bus" },
  ],
  parts: [{ id: "filter", number: "HD 4510", name: "Oil filter" }],
  fluids: [{ id: "box", machine: "hatch", system: "gearbox", kind: "gear oil" }],
  entries: [
    entry("before", "2025-12-31", { costs: [{ what: "toll", amount: 9 }] }),
    entry("oil", "2026-01-01", {
      fluids: [
        { fluid: "sump", product: "fell", in: L(4), price: 5 },
        { fluid: "box", in: L(2) },
        { fluid: "axle", out: L(1) },
      ],
      parts: [
        { part: "hose", count: 1, from: "supplied" },
        { part: "filter", count: 1 },
      ],
    }),
    entry("recall", "2026-01-20", { warranty: true, work: [{ person: "guest", minutes: 60 }] }),
    entry("paid", "2026-01-20", { warranty: true, costs: [{ what: "part", amount: 30 }] }),
    entry("belt", "2026-03-05", {
      parts: [{ part: "belt", count: 2, price: 11 }],
      work: [{ person: "rigg", minutes: 30, rate: 40 }],
      costs: [{ what: "alignment" }],
    }),
    entry("wrong", "2026-03-06", { costs: [{ what: "toll", amount: 5 }] }),
    entry("right", "2026-03-06", { replaces: "wrong", costs: [{ what: "toll", amount: 6 }] }),
    entry("bus", "2026-02-01", { costs: [{ what: "wash", amount: 3 }] }, "bus"),
    entry("after", "2026-04-01", { costs: [{ what: "toll", amount: 9 }] }),
  ],
} as unknown as Book;
const SPAN = { from: "2026-01-01", to: "2026-03-31" };

test("month by month it adds up to what the machines cost, months without anything included", () => {
  const { costs, months } = spending(BOOK, { ...SPAN, machine: "hatch" as MachineId });
  expect(costs.machines).toEqual([bookCosts(BOOK, SPAN.from, SPAN.to).machines[0]]);
  expect(months).toEqual([
    {
      ...{ month: "2026-01", parts: 0, fluids: 20, work: 0, other: 0 },
      ...{ missing: 2, total: 20, warranty: 30 },
    },
    {
      ...{ month: "2026-02", parts: 0, fluids: 0, work: 0, other: 0 },
      ...{ missing: 0, total: 0, warranty: 0 },
    },
    {
      ...{ month: "2026-03", parts: 22, fluids: 0, work: 20, other: 6 },
      ...{ missing: 1, total: 48, warranty: 0 },
    },
  ]);
});

test("each line without a price is named, the latest first; none of what came under warranty or was supplied", () => {
  const { unpriced, costs } = spending(BOOK, SPAN);
  expect(unpriced.map(({ entry: id, kind, name, at }) => [id, kind, name, at])).toEqual([
    ["belt", "other", "alignment", 0],
    ["oil", "parts", "HD 4510 Oil filter", 1],
    ["oil", "fluids", "gearbox", 1],
  ]);
  expect(unpriced).toHaveLength(costs.machines.reduce((sum, { missing }) => sum + missing, 0));
});

test("of all machines the months are theirs together; where nothing was, there are none", () => {
  const { costs, months } = spending(BOOK, SPAN);
  expect(costs.machines.map(({ id }) => id)).toEqual(["hatch", "bus"]);
  expect(months.map(({ total }) => total)).toEqual([20, 3, 48]);
  const together = spending(BOOK, SPAN).sum;
  expect(together).toEqual({
    ...{ parts: 22, fluids: 20, work: 20, other: 9 },
    ...{ missing: 3, total: 71, warranty: 30 },
  });
  expect(spending(BOOK, { from: "2027-01-01", to: "2027-12-31" }).months).toEqual([]);
});
