import { demonstrationBook } from "@yonderfell/demo";
import type { Book } from "../book/file/book.js";
import type { MachineId } from "../book/records/ids.js";
import { addDays, dayOf } from "../calendar/dayNumber.js";
import { addMonths } from "../calendar/interval.js";
import { besideKind } from "./besideKind.js";
import type { BookCosts } from "./bookCosts.js";
import { spendingAhead } from "./spendingAhead.js";

const TODAY = dayOf("2026-11-23");
const finding = (id: string, decision: string, more: object): object => ({
  ...{ id, machine: "bus", found: "2026-11-01", decision, reason: "so", ...more },
});
const BOOK = {
  machines: [{ id: "bus", tag: "07", name: "Bus", kind: "bus" }],
  tasks: [
    {
      ...{ id: "oil", machine: "bus", name: "Oil", minutes: 30, uses: [{ fluid: "sump" }] },
      regimes: { handbook: [{ months: 6 }] },
    },
    { id: "look", machine: "bus", name: "Look", regimes: { handbook: [{ months: 12 }] } },
  ],
  fluids: [
    {
      ...{ id: "sump", machine: "bus", system: "engine", kind: "engine oil", product: "fell" },
      capacities: [
        {
          id: "c",
          source: "handbook",
          condition: "with filter",
          quantity: { value: 10, unit: "L" },
        },
      ],
    },
  ],
  products: [
    {
      ...{ id: "fell", name: "Fell", kind: "engine oil" },
      packs: [{ quantity: { value: 5, unit: "L" }, prices: [{ source: "A", price: 20 }] }],
    },
  ],
  parts: [{ id: "filter", name: "filter", number: "1", prices: [{ source: "A", price: 12 }] }],
  fitments: [{ id: "f", machine: "bus", part: "filter", tasks: ["oil"] }],
  people: [{ id: "et", name: "Edda", rate: 40 }],
  entries: [
    { id: "e1", machine: "bus", date: "2026-07-10", tasks: ["oil"] },
    { id: "e2", machine: "bus", date: "2025-06-01", tasks: ["look"] },
  ],
  findings: [
    finding("a", "now", { cost: 100, minutes: 600 }),
    finding("b", "next visit", { minutes: 30 }),
    finding("c", "next visit", {}),
    finding("d", "watch", { cost: 5 }),
    finding("e", "declined", { cost: 70 }),
  ],
} as unknown as Book;
const AHEAD = { today: TODAY, until: addDays(addMonths(TODAY, 12), -1) };

test("each turn costs its parts, fluids and minutes in the month it falls due; what has no figure is counted", () => {
  const { months, sum, machines } = spendingAhead(BOOK, AHEAD);
  expect(months.map(({ month }) => month)).toHaveLength(13);
  expect(months.filter(({ turns }) => turns > 0)).toEqual([
    // The look is overdue: today, with no minutes written down.
    {
      ...{ month: "2026-11", turns: 1, parts: 0, fluids: 0, work: 0, total: 0, incomplete: 1 },
    },
    {
      ...{ month: "2027-01", turns: 1, parts: 12, fluids: 40, work: 20, total: 72, incomplete: 0 },
    },
    {
      ...{ month: "2027-07", turns: 1, parts: 12, fluids: 40, work: 20, total: 72, incomplete: 0 },
    },
  ]);
  expect(sum).toMatchObject({ turns: 3, total: 144, incomplete: 1 });
  expect(machines).toEqual([{ machine: "bus", ...sum }]);
});

test("what waits is a sum: overdue, to be put right, watched and declined", () => {
  expect(spendingAhead(BOOK, AHEAD).waiting).toEqual({
    overdue: { jobs: 1, cost: 0, without: 1 },
    toDo: { jobs: 3, cost: 120, without: 1 },
    watched: { jobs: 1, cost: 5, without: 0 },
    declined: { jobs: 1, cost: 70, without: 0 },
  });
});

test("asked of one machine it is that machine's part of the whole", () => {
  const book = demonstrationBook(TODAY);
  const whole = spendingAhead(book, AHEAD);
  const bus = spendingAhead(book, { ...AHEAD, machine: "m-bus" as MachineId });
  expect(whole.machines.find(({ machine }) => machine === "m-bus")).toEqual(bus.machines[0]);
  expect(bus.sum.total).toBeGreaterThan(0);
  const all = whole.machines.reduce((sum, { total }) => sum + total, 0);
  expect(whole.sum.total).toBeCloseTo(all, 6);
  expect(whole.months.reduce((sum, { total }) => sum + total, 0)).toBeCloseTo(all, 6);
});

test("a unit run is beside the median of its kind in the same unit, itself with them; alone it has none", () => {
  const machine = (id: string, kind: string, unit: string): object => ({
    ...{ id, tag: id, name: id, kind, meters: [{ id: "m", unit }] },
  });
  const machines = [
    ...["a", "b", "c"].map((id) => machine(id, "van", "km")),
    machine("hours", "van", "h"),
    machine("bus", "bus", "km"),
  ] as NonNullable<Book["machines"]>;
  const cost = (id: string, perUnit: number | null): object => ({
    ...{ id, meters: [{ id: "m", run: 100, perUnit }] },
  });
  const costs = {
    machines: [cost("a", 1), cost("b", 2), cost("c", 9), cost("hours", 4), cost("bus", null)],
  } as unknown as BookCosts;
  expect(
    besideKind(costs, machines).map(({ machine: id, ofKind, median }) => [id, ofKind, median]),
  ).toEqual([
    ["a", 3, 2],
    ["b", 3, 2],
    ["c", 3, 2],
    ["hours", 1, null],
  ]);
});
