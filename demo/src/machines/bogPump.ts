import type { PlaceId } from "@yonderfell/core";
import { every, HRS, months } from "../limits.js";
import { fluid, point, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";

/** The bog pump: out on the moss from October to May, dry in the barn in summer. */
export const bogPump: ScenarioMachine = {
  id: "m-pump",
  tag: "31",
  name: "Bog pump",
  kind: "pump",
  description: "Moffat 4-inch trash pump on a sledge, petrol 0.4 L",
  inServiceDaysAgo: 1880,
  history: "known",
  regime: "handbook",
  facts: {
    serial: "MF4-2207",
    place: "pl-moss" as PlaceId,
    duty: { coldestStart: q(-9, "degC"), water: true },
    laidUp: [{ months: [6, 7, 8, 9], reason: "the moss is dry" }],
  },
  meters: [
    {
      id: "hrs",
      name: "engine hours",
      unit: "h",
      decimals: 1,
      startsAt: 640,
      running: steadily(2.6, [1, 2, 3, 4, 5, 10, 11, 12], [1, 2, 3, 4, 5, 6, 7]),
      readEvery: [7, 18],
    },
  ],
  tasks: [
    {
      id: "t-pump-oil",
      name: "Engine oil",
      regimes: { handbook: [every(HRS, 100), months(12)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [930, 822, 720, 610, 505, 400, 290, 185, 78] },
    },
    {
      id: "t-pump-plug",
      name: "Spark plug",
      regimes: { handbook: [every(HRS, 300)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [820, 505, 185] },
    },
    {
      id: "t-pump-air",
      name: "Foam air filter washed and oiled",
      regimes: { handbook: [every(HRS, 50)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [240, 185, 130, 78, 47] },
    },
    {
      id: "t-pump-seal",
      name: "Pump seal and volute looked over",
      regimes: { handbook: [every(HRS, 600), months(24)] },
      doneDaysAgo: [560],
    },
  ],
  notes: [{ daysAgo: 560, text: "Seal weeps a little when cold. Watch." }],
  fluids: [
    fluid("f-pump-oil", "engine", "engine oil", [["handbook", "drain and fill", 1.1, "L"]], {
      codes: ["SJ"],
      grades: [{ grade: "10W-30" }, { grade: "5W-30" }],
    }),
  ],
  points: [
    point("sp-pump-drain", "drain", "Drain plugs", {
      of: "f-pump-oil",
      count: 2,
      tool: "12 mm spanner",
      torque: q(18, "Nm"),
      torqueUse: "plug",
    }),
  ],
  specifications: [said("s-pump-plug", "other", "Spark plug", "S 7", "S 7")],
  fitments: [
    { part: "pt-small-plug", perService: 1, tasks: ["t-pump-plug"] },
    { part: "pt-small-air", perService: 1, tasks: ["t-pump-air"] },
  ],
};
