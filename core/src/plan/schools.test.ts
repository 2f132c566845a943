import type { LimitRecord } from "../book/records/limitRecord.js";
import { limitOf } from "../limit/limit.js";
import { bookOf, done, read, task, VAN, type BookParts } from "../../test/books.js";
import { machinePlateOf } from "../book/slice/machinePlate.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { settingsOf } from "../book/records/settings.js";
import { dayOf } from "../calendar/dayNumber.js";
import { amountOfUse, taskNeeds, usualRate, type NeedsSource } from "../stores/taskNeeds.js";
import type { Task, TaskUse } from "../book/records/task.js";
import type { Fluid } from "../book/records/fluid.js";
import type { Person } from "../book/records/workshop.js";
import { compareSchools, schoolsOf, type SchoolSum } from "./schools.js";

const TODAY = dayOf("2026-11-23");
const VAN_ID = "van" as never;

const PLATE = {
  fluids: [
    {
      id: "engine",
      machine: "van",
      system: "Engine",
      kind: "engine oil",
      product: "oil",
      capacities: [
        { id: "a", source: "handbook", condition: "dry", quantity: { value: 7, unit: "L" } },
        {
          id: "b",
          source: "handbook",
          condition: "with filter",
          quantity: { value: 5, unit: "L" },
        },
      ],
    },
    { id: "axle", machine: "van", system: "Axle", kind: "gear oil" },
  ],
  fitments: [
    { id: "f1", machine: "van", part: "filter", tasks: ["oil"] },
    { id: "f2", machine: "van", part: "ring", perService: 2, tasks: ["oil"] },
    { id: "f3", machine: "van", part: "belt", tasks: ["belt"] },
  ],
};
const PARTS = [
  {
    id: "filter",
    name: "Filter",
    number: "F",
    prices: [
      { source: "one", price: 12 },
      { source: "two", price: 9 },
    ],
  },
  { id: "ring", name: "Ring", number: "R", pack: 10, prices: [{ source: "one", price: 5 }] },
  { id: "belt", name: "Belt", number: "B" },
];
const PRODUCTS = [
  {
    id: "oil",
    name: "Oil",
    kind: "engine oil",
    base: "mineral",
    packs: [
      { quantity: { value: 5, unit: "L" }, prices: [{ source: "one", price: 30 }] },
      { quantity: { value: 20, unit: "L" }, prices: [{ source: "one", price: 80 }] },
    ],
  },
];
const SOURCE = {
  plate: { servicePoints: [], specifications: [], ...PLATE },
  parts: PARTS,
  products: PRODUCTS,
  rate: 60,
} as unknown as NeedsSource;

const OIL = task("oil", [{ months: 12 }], {
  minutes: 40,
  uses: [{ fluid: "engine", condition: "with filter" }],
  regimes: { handbook: [{ months: 12 }], cautious: [{ months: 6 }] },
});

describe("what a turn takes", () => {
  test("parts by the pack, the cheapest source; the fluid of the condition meant; minutes at the rate", () => {
    expect(taskNeeds(OIL as Task, SOURCE)).toEqual({
      minutes: 40,
      litres: 5,
      parts: 9 + (2 * 5) / 10,
      fluids: 5 * 4,
      labour: 40,
      missing: [],
    });
  });

  test("what has no figure is named and left out of the sum", () => {
    const belt = task("belt", [], { uses: [{ fluid: "axle" }] }) as Task;
    expect(taskNeeds(belt, SOURCE)).toEqual({
      ...{ minutes: null, litres: 0, parts: 0, fluids: 0, labour: 0 },
      missing: [
        { code: "minutes", what: "belt" },
        { code: "price", what: "Belt" },
        { code: "capacity", what: "Axle" },
      ],
    });
    const quick = { ...OIL, minutes: 10 } as Task;
    expect(taskNeeds(quick, { ...SOURCE, rate: null }).missing).toEqual([
      { code: "rate", what: "oil" },
    ]);
  });

  test.each<[object, number | null]>([
    [{ fluid: "engine" }, 5],
    [{ fluid: "engine", condition: "with filter" }, 5],
    [{ fluid: "engine", quantity: { value: 1, unit: "us-gal" } }, 3.785411784],
    [{ fluid: "axle" }, null],
  ])("of %j so many litres", (use, litres) => {
    const fluid = PLATE.fluids.find(({ id }) => id === (use as TaskUse).fluid);
    expect(amountOfUse(use as TaskUse, fluid as unknown as Fluid)).toBe(litres);
  });

  test("the usual rate is the mean of those who are there and have one", () => {
    const people = [{ rate: 40 }, { rate: 60 }, {}, { rate: 900, hasLeft: true }];
    expect(usualRate(people as Person[])).toBe(50);
    expect(usualRate([])).toBeNull();
  });
});

describe("schools side by side", () => {
  function compare(parts: BookParts, years: number): SchoolSum[] {
    const book = bookOf({ ...parts, fluids: PLATE.fluids, products: PRODUCTS });
    const records = recordsByMachine(book).get(VAN_ID);
    if (records === undefined) throw new Error("no van");
    return compareSchools(records, settingsOf({}), SOURCE, TODAY, years);
  }
  const entries = [done("e", "2026-11-20", ["oil", "belt", "gearbox"])];

  test("a school that asks twice as often has twice the turns, litres and money", () => {
    const [handbook, cautious] = compare({ tasks: [OIL], entries }, 4);
    expect(handbook).toMatchObject({
      school: "handbook",
      turns: 4,
      days: 4,
      minutes: 160,
      litres: 20,
      money: { parts: 40, fluids: 80, labour: 160 },
      missing: [],
    });
    expect(cautious).toMatchObject({ turns: 8, litres: 40 });
  });

  test("for life has no turns in the handbook, and says what the others do", () => {
    const gearbox = task("gearbox", [], { regimes: { handbook: [], cautious: [{ months: 24 }] } });
    const sums = compare({ tasks: [gearbox], entries }, 6);
    expect(sums.map(({ turns, tasks }) => [turns, tasks[0]?.by])).toEqual([
      [0, "for life"],
      [3, "own"],
    ]);
  });

  test("overrides of single tasks are left out, and a school without limits takes the handbook's", () => {
    const belt = task("belt", [{ months: 24 }], { regime: "cautious", minutes: 5 });
    const own = { ...OIL, regime: "cautious" };
    const [handbook, cautious] = compare({ tasks: [own, belt], entries }, 2);
    expect(handbook?.tasks.map(({ turns, by }) => [turns, by])).toEqual([
      [2, "own"],
      [1, "own"],
    ]);
    expect(cautious?.tasks.map(({ turns, by }) => [turns, by])).toEqual([
      [4, "own"],
      [1, "handbook"],
    ]);
    expect(cautious?.missing).toEqual([{ code: "price", what: "Belt" }]);
  });

  test("limits for other products than what is in it are not counted", () => {
    const limits = [
      { months: 3, for: ["mineral"] },
      { months: 12, for: ["full synthetic"] },
    ];
    const [sum] = compare({ tasks: [{ ...OIL, regimes: { handbook: limits } }], entries }, 1);
    expect(sum?.turns).toBe(4);
    expect(sum?.tasks[0]?.limits).toEqual(
      limits.slice(0, 1).map((limit) => limitOf(limit as LimitRecord)),
    );
  });

  test("the usual schools come first, others after them by name", () => {
    const odd = task("t", [], { regimes: { zeal: [], "hard use": [], angling: [], measured: [] } });
    expect(schoolsOf([odd as Task])).toEqual([
      "handbook",
      "measured",
      "hard use",
      "angling",
      "zeal",
    ]);
  });

  test("a machine without a rate has turns by the calendar only", () => {
    const parts = { machines: [VAN], readings: [read("2026-11-01", 10)], entries };
    const both = task("oil", [{ meter: "odo", every: 10 }, { months: 12 }]);
    const [sum] = compare({ ...parts, tasks: [both] }, 2);
    expect(sum?.turns).toBe(2);
  });
});

test("a plate is the machine's own", () => {
  expect(machinePlateOf(bookOf({ fluids: PLATE.fluids }), VAN_ID).fluids).toHaveLength(2);
});
