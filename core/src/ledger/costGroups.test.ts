import fc from "fast-check";
import type { Book } from "../book/file/book.js";
import { dayOf, formatDay, addDays } from "../calendar/dayNumber.js";
import { bookCosts } from "./bookCosts.js";
import { COST_GROUPINGS, costGroups, NO_TASK, type CostGroup } from "./costGroups.js";
import { spending } from "./spending.js";

const L = (value: number): object => ({ value, unit: "L" });
const MACHINES = [
  { id: "bus", tag: "07", name: "Bus", kind: "bus", place: "shed" },
  { id: "van", tag: "18", name: "Van", kind: "van" },
];
const TASKS = [
  { id: "oil", machine: "bus", name: "Oil", minutes: 30, uses: [{ fluid: "sump" }] },
  { id: "wheels", machine: "bus", name: "Wheels", minutes: 90 },
  { id: "van-oil", machine: "van", name: "Oil" },
];
const PLAN = {
  ...{ machines: MACHINES, tasks: TASKS },
  fluids: [{ id: "sump", machine: "bus", system: "engine", kind: "engine oil" }],
  fitments: [
    { id: "f1", machine: "bus", part: "filter", tasks: ["oil"] },
    { id: "f2", machine: "bus", part: "washer", tasks: ["oil", "wheels"] },
  ],
};

const FIRST = dayOf("2025-01-01");
const money = fc.option(fc.integer({ min: 0, max: 900 }), { nil: null });
const anyEntry = fc.record({
  day: fc.nat({ max: 800 }),
  machine: fc.constantFrom("bus", "van"),
  tasks: fc.subarray(["oil", "wheels", "van-oil"]),
  warranty: fc.boolean(),
  isTopUp: fc.boolean(),
  parts: fc.array(
    fc.record({
      part: fc.constantFrom("filter", "washer", "hose"),
      count: fc.integer({ min: 1, max: 4 }),
      price: money,
      from: fc.constantFrom("stock", "bought", "supplied", null),
    }),
    { maxLength: 3 },
  ),
  fluids: fc.array(
    fc.record({
      fluid: fc.constantFrom("sump", "axle"),
      in: fc.option(fc.integer({ min: 1, max: 30 }).map(L), { nil: null }),
      price: money,
    }),
    { maxLength: 2 },
  ),
  work: fc.array(
    fc.record({ person: fc.constant("et"), minutes: fc.nat({ max: 240 }), rate: money }),
    { maxLength: 2 },
  ),
  costs: fc.array(
    fc.record({
      what: fc.constantFrom("bill", "toll"),
      amount: fc.option(fc.integer({ min: -50, max: 500 }), { nil: null }),
      kind: fc.constantFrom("shop", "fee", null),
    }),
    { maxLength: 2 },
  ),
  void: fc.constantFrom(false, false, false, true),
});
type Drawn = typeof anyEntry extends fc.Arbitrary<infer E> ? E : never;

const bookOf = (drawn: readonly Drawn[]): Book =>
  ({
    ...PLAN,
    entries: drawn.map(({ day, ...rest }, at) => ({
      ...{ id: `e${at}`, seq: at, date: formatDay(addDays(FIRST, day)), ...rest },
    })),
  }) as unknown as Book;

/** What some drawn entries cost, reckoned line by line from nothing but their words (records §1). */
function fromNothing(drawn: readonly Drawn[]): {
  total: number;
  missing: number;
  warranty: number;
} {
  const sum = { total: 0, missing: 0, warranty: 0 };
  for (const one of drawn) {
    if (one.void) continue;
    const amounts: (number | null)[] = [
      ...one.parts
        .filter(({ from }) => from !== "supplied")
        .map(({ count, price }) => (price === null ? null : count * price)),
      ...one.fluids
        .filter((used) => used.in !== null)
        .map((used) =>
          used.price === null ? null : (used.in as { value: number }).value * used.price,
        ),
      ...one.work.map(({ minutes, rate }) => (rate === null ? null : (minutes / 60) * rate)),
      ...one.costs.map(({ amount }) => amount),
    ];
    for (const amount of amounts) {
      if (one.warranty) sum.warranty += amount ?? 0;
      else if (amount === null) sum.missing += 1;
      else sum.total += amount;
    }
  }
  return sum;
}

const anySpan = fc.tuple(fc.nat({ max: 800 }), fc.nat({ max: 800 }));
const SUMMED = ["parts", "fluids", "work", "other", "total", "missing", "warranty"] as const;

test("of any book, costs by each grouping add up to what its machines cost, and that to its lines from nothing", () => {
  fc.assert(
    fc.property(fc.array(anyEntry, { maxLength: 12 }), anySpan, (drawn, [one, other]) => {
      const [first, last] = [Math.min(one, other), Math.max(one, other)];
      const book = bookOf(drawn);
      const from = formatDay(addDays(FIRST, first));
      const to = formatDay(addDays(FIRST, last));
      const inside = fromNothing(drawn.filter(({ day }) => day >= first && day <= last));
      const { machines } = bookCosts(book, from, to);
      const summed = (all: readonly Pick<CostGroup, (typeof SUMMED)[number]>[]): number[] =>
        SUMMED.map((field) => all.reduce((sum, group) => sum + group[field], 0));
      const whole = summed(machines);
      expect(whole[4]).toBeCloseTo(inside.total, 6);
      expect(whole[5]).toBe(inside.missing);
      expect(whole[6]).toBeCloseTo(inside.warranty, 6);
      for (const by of COST_GROUPINGS) {
        const groups = summed(costGroups(book, { from, to, by }));
        groups.forEach((sum, at) => expect(sum).toBeCloseTo(whole[at] ?? NaN, 6));
      }
      const { sum, months } = spending(book, { from, to });
      expect(sum.total).toBeCloseTo(inside.total, 6);
      expect(months.reduce((all, { total }) => all + total, 0)).toBeCloseTo(inside.total, 6);
    }),
    { numRuns: 300 },
  );
});

const ONE = {
  ...{ day: 0, machine: "bus", tasks: ["oil", "wheels"], warranty: false, isTopUp: false },
  ...{ parts: [], fluids: [], work: [], costs: [], void: false },
} as const satisfies Drawn;
const ALL = { from: "2025-01-01", to: "2027-12-31" };
const totals = (drawn: readonly Drawn[], by: CostGroup["key"]): [string, number][] =>
  costGroups(bookOf(drawn), { ...ALL, by: by as "task" }).map(({ key, total }) => [key, total]);

test("by task a part goes to those it is fitted for, a fluid to those that use it, all else by their minutes", () => {
  const part = (name: "filter" | "washer"): Drawn["parts"][number] => ({
    ...{ part: name, count: 1, price: 12, from: null },
  });
  expect(totals([{ ...ONE, parts: [part("filter")] }], "task")).toEqual([["Oil", 12]]);
  expect(totals([{ ...ONE, parts: [part("washer")] }], "task")).toEqual([
    ["Oil", 6],
    ["Wheels", 6],
  ]);
  const oil = { fluid: "sump", in: L(10), price: 5 } as const;
  expect(totals([{ ...ONE, fluids: [oil] }], "task")).toEqual([["Oil", 50]]);
  const work = [{ person: "et" as const, minutes: 60, rate: 40 }];
  // 30 and 90 minutes.
  expect(totals([{ ...ONE, work }], "task")).toEqual([
    ["Wheels", 30],
    ["Oil", 10],
  ]);
  // A task of the same name on another machine is the same row.
  const van: Drawn = { ...ONE, machine: "van", tasks: ["van-oil"], work };
  expect(totals([{ ...ONE, work }, van], "task")).toEqual([
    ["Oil", 50],
    ["Wheels", 30],
  ]);
});

test("work that did no task is a top-up, what was found, or other", () => {
  const costs = [{ what: "bill" as const, amount: 7, kind: null }];
  const none = { ...ONE, tasks: [], costs };
  const book = bookOf([none, { ...none, isTopUp: true }, none]);
  const entries = (book.entries ?? []).map((entry, at) =>
    at === 2 ? { ...entry, closes: ["fd"] } : entry,
  );
  const groups = costGroups({ ...book, entries } as Book, { ...ALL, by: "task" });
  expect(groups.map(({ key }) => key).toSorted()).toEqual(Object.values(NO_TASK).toSorted());
});

test("bills of shops are told apart within the total, and what has no place stands together", () => {
  const costs: Drawn["costs"] = [
    { what: "bill", amount: 80, kind: "shop" },
    { what: "toll", amount: 5, kind: "fee" },
  ];
  const groups = costGroups(
    bookOf([
      { ...ONE, costs },
      { ...ONE, machine: "van", costs },
    ]),
    {
      ...{ ...ALL, by: "place" },
    },
  );
  expect(groups).toMatchObject([
    { key: "", total: 85, shop: 80, entries: 1 },
    { key: "shed", total: 85, shop: 80, entries: 1 },
  ]);
});
