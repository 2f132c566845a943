import type { PlaceId, ProductId } from "@yonderfell/core";
import { every, HRS, months } from "../limits.js";
import { fluid, point, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";

/** The cinema trailer's generator: its hour meter has stood still since the summer. */
export const cinemaGenerator: ScenarioMachine = {
  id: "m-generator",
  tag: "30",
  name: "Cinema generator",
  kind: "generator",
  description: "Lowther 22 kVA set in the cinema trailer, diesel 1.9 L",
  inServiceDaysAgo: 2200,
  history: "known",
  regime: "handbook",
  facts: {
    serial: "LW22-9931",
    place: "pl-moss" as PlaceId,
    duty: { coldestStart: q(-5, "degC") },
  },
  meters: [
    {
      id: "hrs",
      name: "engine hours",
      unit: "h",
      decimals: 1,
      startsAt: 1210,
      running: steadily(4.2, [], [5, 6]),
      readEvery: [14, 30],
      stoppedDaysAgo: 96,
    },
  ],
  tasks: [
    {
      id: "t-gen-oil",
      name: "Engine oil and filter",
      regimes: { handbook: [every(HRS, 200), months(12)] },
      doneDaysAgo: [1000, 790, 520, 262],
    },
    {
      id: "t-gen-air",
      name: "Air filter",
      regimes: { handbook: [every(HRS, 400)] },
      doneDaysAgo: [790, 262],
    },
    {
      id: "t-gen-fuel",
      name: "Fuel filter",
      regimes: { handbook: [every(HRS, 400), months(24)] },
      doneDaysAgo: [520, 190],
    },
    {
      id: "t-gen-rcd",
      name: "Protective devices tested",
      regimes: { handbook: [months(6, { hard: true })] },
      doneDaysAgo: [540, 355, 171],
    },
    { id: "t-gen-cool", name: "Coolant", regimes: { handbook: [months(24)] }, doneDaysAgo: [520] },
  ],
  notes: [{ daysAgo: 262, text: "Hour meter flickers." }],
  fluids: [
    fluid(
      "f-gen-oil",
      "engine",
      "engine oil",
      [
        ["set label", "with filter", 5.8, "L"],
        ["handbook", "with filter", 5.5, "L"],
      ],
      {
        codes: ["CI-4"],
        grades: [{ grade: "15W-40", from: -15 }],
        product: "p-fell-15w40" as ProductId,
        working: [{ capacity: "f-gen-oil-2", reason: "the handbook is for this sump" }],
      },
    ),
    fluid("f-gen-cool", "cooling system", "coolant", [["handbook", "dry", 7.5, "L"]], {
      coolantFamily: "conventional",
      product: "p-cool-conv" as ProductId,
    }),
  ],
  points: [
    point("sp-gen-drain", "drain", "Sump pump hose", {
      of: "f-gen-oil",
      note: "pumped out, no plug",
    }),
  ],
  specifications: [said("s-gen-oilf", "filter", "Oil filter", "T 58-102", "T 58-102")],
};
