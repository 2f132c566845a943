import type { PlaceId } from "@yonderfell/core";
import { every, months, ODO } from "../limits.js";
import { fluid, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";

/** The steam-rally support lorry: bought in the spring without a single record. */
export const supportLorry: ScenarioMachine = {
  id: "m-lorry",
  tag: "27",
  name: "Support lorry",
  kind: "heavy lorry",
  description: "Stanegate 7.5 t flatbed with winch, diesel 5.9 L, bought without records",
  inServiceDaysAgo: 7900,
  history: "unknown",
  regime: "cautious",
  facts: { serial: "plate painted over", place: "pl-shed" as PlaceId, duty: { towing: true } },
  acquiredDaysAgo: 214,
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 287400,
      running: steadily(31, [4, 5, 6, 7, 8, 9, 10]),
      readEvery: [12, 28],
    },
  ],
  tasks: [
    {
      id: "t-lorry-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(ODO, 15000), months(12)],
        cautious: [every(ODO, 8000), months(12)],
      },
      doneDaysAgo: [205],
    },
    {
      id: "t-lorry-box",
      name: "Gearbox oil",
      regimes: { handbook: [every(ODO, 60000), months(48)] },
      uses: [{ fluid: "f-lor-box" }],
      doneDaysAgo: [],
    },
    {
      id: "t-lorry-axle",
      name: "Rear axle oil",
      regimes: { handbook: [every(ODO, 60000), months(48)] },
      uses: [{ fluid: "f-lor-axle" }],
      doneDaysAgo: [],
    },
    { id: "t-lorry-cool", name: "Coolant", regimes: { handbook: [months(36)] }, doneDaysAgo: [] },
    {
      id: "t-lorry-brake",
      name: "Brake fluid",
      regimes: { handbook: [months(24)] },
      doneDaysAgo: [203],
    },
    {
      id: "t-lorry-winch",
      name: "Winch and rope, thorough examination",
      regimes: { handbook: [months(12, { hard: true })] },
      doneDaysAgo: [],
    },
    {
      id: "t-lorry-test",
      name: "Roadworthiness test",
      regimes: { handbook: [months(12, { hard: true })] },
      anchor: "grid",
      doneDaysAgo: [198],
    },
  ],
  baseline: { daysAgo: 206, left: ["t-lorry-axle"] },
  said: [
    {
      daysAgo: 204,
      says: {
        tasks: ["t-lorry-cool"],
        assumed: true,
        note: "Clean, pink, good to -30: judged sound, counted from here.",
      },
    },
  ],
  notes: [
    {
      daysAgo: 205,
      text: "What came out was black and thin, 9 litres. New filter, cut the old one open: clean.",
    },
  ],
  fluids: [
    fluid("f-lor-oil", "engine", "engine oil", [
      ["dealer", "with filter", 14, "L"],
      ["own experience", "with filter", 12.8, "L"],
    ]),
    fluid("f-lor-box", "gearbox", "gear oil", []),
    fluid("f-lor-axle", "rear axle", "differential oil", []),
    fluid("f-lor-brake", "brakes", "brake fluid", [], { brakeType: "4" }),
  ],
  specifications: [said("s-lor-tyre", "tyre", "All wheels", "8.5 R17.5", "8.5 R17.5")],
};
