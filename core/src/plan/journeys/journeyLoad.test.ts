import type { Task } from "../../book/records/task.js";
import type { NeedsSource } from "../../stores/taskNeeds.js";
import { journeyLoad } from "./journeyLoad.js";

const oil = { id: "oil", uses: [{ fluid: "engine" }] } as unknown as Task;
const top = { id: "top", uses: [{ fluid: "engine", quantity: { value: 500, unit: "mL" } }] };
const source = {
  plate: {
    fluids: [
      {
        id: "engine",
        system: "engine",
        kind: "engine oil",
        product: "p",
        capacities: [
          { id: "c", source: "label", condition: "dry", quantity: { value: 4, unit: "L" } },
        ],
      },
    ],
    fitments: [
      { part: "filter", tasks: ["oil"], perService: 1 },
      { part: "tape", tasks: ["oil", "top"], perService: 0.4 },
      { part: "belt", tasks: ["belt"], perService: 1 },
    ],
  },
  parts: [{ id: "filter", name: "Oil filter" }],
  products: [{ id: "p", name: "Oil" }],
  rate: null,
} as unknown as NeedsSource;

test("what several turns take is put together, in whole pieces and litres", () => {
  const { parts, fluids } = journeyLoad(
    [
      { task: oil, times: 2 },
      { task: top as unknown as Task, times: 3 },
    ],
    source,
  );
  expect(parts.map(({ id, part, count }) => [id, part?.name, count])).toEqual([
    ["filter", "Oil filter", 2],
    // Five turns at 0.4 of a roll.
    ["tape", undefined, 2],
  ]);
  expect(fluids).toMatchObject([{ product: { name: "Oil" }, tasks: ["oil", "top"] }]);
  expect(fluids[0]?.litres).toBeCloseTo(9.5, 9);
});

test("where no capacity is recorded the amount is not known", () => {
  const [engine] = source.plate.fluids;
  const bare = { ...source, plate: { ...source.plate, fluids: [{ ...engine, capacities: [] }] } };
  const { fluids } = journeyLoad([{ task: oil, times: 1 }], bare as unknown as NeedsSource);
  expect(fluids).toMatchObject([{ litres: null }]);
});
