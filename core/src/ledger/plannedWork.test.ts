import { task, VAN } from "../../test/books.js";
import type { Fluid } from "../book/records/fluid.js";
import type { Product } from "../book/records/product.js";
import type { Task } from "../book/records/task.js";
import { fluidDoubts, plannedWork, type PlannedFrom } from "./plannedWork.js";

const litres = (value: number): object => ({ value, unit: "L" });

const ENGINE = {
  id: "engine",
  machine: VAN.id,
  system: "engine",
  kind: "engine oil",
  product: "oil",
  grades: [{ grade: "5W-30" }],
  capacities: [
    { id: "a", source: "handbook", condition: "with filter", quantity: litres(5) },
    { id: "b", source: "handbook", condition: "without filter", quantity: litres(4.6) },
  ],
} as unknown as Fluid;

const OIL = {
  id: "oil",
  name: "Tarn",
  kind: "engine oil",
  grade: "5W-30",
  packs: [{ quantity: litres(5), prices: [{ source: "A", price: 30 }] }],
} as unknown as Product;

const FROM = {
  plate: {
    fluids: [ENGINE],
    fitments: [
      { id: "f1", machine: VAN.id, part: "filter", tasks: ["oil"] },
      { id: "f2", machine: VAN.id, part: "washer", perService: 2, tasks: ["oil", "axle"] },
      { id: "f3", machine: VAN.id, part: "washer", tasks: ["oil"] },
      { id: "f4", machine: VAN.id, part: "belt", tasks: ["other"] },
    ],
    servicePoints: [],
    specifications: [],
  },
  parts: [
    { id: "filter", name: "Oil filter", number: "F 1", prices: [{ source: "B", price: 9 }] },
    { id: "washer", name: "Washer", number: "W 1", pack: 10, prices: [{ source: "B", price: 4 }] },
  ],
  products: [OIL],
  stockMoves: [{ id: "m", date: "2026-01-01", product: "oil", amount: litres(20), why: "bought" }],
} as unknown as PlannedFrom;

const OIL_TASK = task("oil", [], {
  minutes: 45,
  uses: [{ fluid: "engine", condition: "with filter" }],
}) as unknown as Task;
const RINSE = task("rinse", [], {
  minutes: 15,
  uses: [{ fluid: "engine", quantity: litres(3) }],
}) as unknown as Task;

test("a task is known to take its fluid by the capacity it names, its parts by the fitments, at today's cheapest prices", () => {
  const plan = plannedWork([OIL_TASK], FROM);
  expect(plan.minutes).toBe(45);
  expect(plan.fluids).toMatchObject([
    {
      fluid: { id: "engine" },
      condition: "with filter",
      product: { id: "oil" },
      amount: { value: 5, unit: "L" },
      price: { price: 6, source: "A" },
      from: "stock",
    },
  ]);
  expect(plan.parts).toMatchObject([
    { part: { id: "filter" }, count: 1, price: { price: 9, source: "B" }, from: "bought" },
    { part: { id: "washer" }, count: 3, price: { price: 0.4 }, from: "bought" },
  ]);
});

test("of a fluid that several tasks use it takes the most that one of them does, in whatever order they are ticked", () => {
  for (const tasks of [
    [OIL_TASK, RINSE],
    [RINSE, OIL_TASK],
  ]) {
    const plan = plannedWork(tasks, FROM);
    expect(plan.fluids.map(({ amount }) => amount?.value)).toEqual([5]);
    expect(plan.minutes).toBe(60);
  }
  expect(plannedWork([], FROM)).toEqual({ fluids: [], parts: [], minutes: null });
});

test("what is not recorded is null, and what is not on the plate is left out", () => {
  const bare = { ...ENGINE, product: null, capacities: [] } as Fluid;
  const from = { ...FROM, plate: { ...FROM.plate, fluids: [bare] } };
  const [fluid] = plannedWork([OIL_TASK], from).fluids;
  expect([fluid?.amount, fluid?.product, fluid?.price]).toEqual([null, null, null]);
  const none = { ...FROM, plate: { ...FROM.plate, fluids: [] } };
  expect(plannedWork([OIL_TASK], none).fluids).toEqual([]);
});

describe("what is odd about a fluid that went in", () => {
  const uses = OIL_TASK.uses ?? [];
  const beside = { fluid: ENGINE, product: OIL, uses, cold: { coldest: null, margin: 5 } };
  const codes = (value: number, more: object = {}, unit = "L"): string[] =>
    fluidDoubts({ in: { value, unit } as never, condition: null }, { ...beside, ...more }).map(
      ({ code }) => code,
    );

  test.each([
    [5, []],
    [5.25, []],
    [4.75, []],
    [5.26, ["off-capacity"]],
    [4.74, ["off-capacity"]],
  ])("%d L of 5: %j", (value, expected) => {
    expect(codes(value)).toEqual(expected);
  });

  test("what is only added, and what is weighed, is not measured by the capacity", () => {
    expect(codes(0.4, { uses: [] })).toEqual([]);
    expect(codes(12, {}, "kg")).toEqual([]);
  });

  test("what the tasks say comes before the capacity, the most of them where they differ", () => {
    const said = [
      ...uses,
      { fluid: ENGINE.id, quantity: litres(3) },
      { fluid: ENGINE.id, quantity: litres(2) },
    ];
    expect(codes(3, { uses: said })).toEqual([]);
    expect(codes(5, { uses: said })).toEqual(["off-capacity"]);
  });

  test("a product that does not cover what is required says so, one that is not named says nothing", () => {
    const thick = { ...OIL, grade: "20W-50" };
    expect(codes(5, { product: thick })).toEqual(["does-not-cover"]);
    expect(codes(5, { product: null })).toEqual([]);
  });
});
