import type { MeterId, PlaceId, ProductId } from "@yonderfell/core";
import { every, months, ODO } from "../limits.js";
import { fluid, measured, point, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";

/** The old scooter: miles, summers only, a drum that asks for its own oil. */
export const oldScooter: ScenarioMachine = {
  id: "m-scooter",
  tag: "H2",
  name: "Old scooter",
  kind: "motorcycle",
  description: "Lapwing 175, four-stroke, drum brakes",
  inServiceDaysAgo: 12400,
  history: "unknown",
  regime: "cautious",
  facts: {
    serial: "LP175-55013",
    place: "pl-home" as PlaceId,
    gallons: "imperial",
    // Its top end was rebuilt in the last summer.
    runningIn: {
      meter: "odo" as MeterId,
      from: 20500,
      source: "workshop manual, page 14",
      stages: [
        { until: 200, revolutions: 3500, speed: 30, speedUnit: "mph", load: "no hills flat out" },
        { until: 600, revolutions: 4500, speed: 40, speedUnit: "mph", load: "no passenger" },
      ],
    },
    laidUp: [{ months: [1, 2, 3, 11, 12], reason: "off the road in winter" }],
  },
  acquiredDaysAgo: 2600,
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "mi",
      decimals: 0,
      startsAt: 18220,
      running: steadily(13, [4, 5, 6, 7, 8, 9, 10], [5, 6, 7]),
      readEvery: [20, 45],
    },
  ],
  tasks: [
    {
      id: "t-scoot-oil",
      name: "Engine oil",
      regimes: {
        handbook: [every(ODO, 1500), months(12)],
        cautious: [every(ODO, 1000), months(12)],
      },
      doneDaysAgo: [940, 590, 228],
    },
    {
      id: "t-scoot-plug",
      name: "Spark plug",
      regimes: { handbook: [every(ODO, 3000)] },
      doneDaysAgo: [590],
    },
    {
      id: "t-scoot-valves",
      name: "Valve clearances",
      regimes: { handbook: [every(ODO, 2500)] },
      doneDaysAgo: [590],
    },
    {
      id: "t-scoot-cables",
      name: "Cables oiled and adjusted",
      regimes: { handbook: [months(12)] },
      doneDaysAgo: [590, 228],
    },
    {
      id: "t-scoot-shoes",
      name: "Brake shoes",
      regimes: { handbook: [every(ODO, 8000), months(60)] },
      doneDaysAgo: [],
    },
  ],
  notes: [{ daysAgo: 590, text: "Exhaust valve was tight, 0.04 mm." }],
  fluids: [
    fluid(
      "f-sco-oil",
      "engine and gearbox",
      "engine oil",
      [["handbook", "drain and fill", 1.75, "imp-pt"]],
      {
        codes: ["JASO MA"],
        grades: [{ grade: "10W-40" }],
        product: "p-ling-10w40" as ProductId,
        note: "wet clutch",
      },
    ),
  ],
  points: [
    point("sp-sco-drain", "drain", "Drain plug", {
      of: "f-sco-oil",
      tool: "5/8 in spanner",
      torque: q(180, "in-lbf"),
      torqueUse: "plug",
    }),
  ],
  specifications: [
    measured(
      "s-sco-points",
      "gap",
      "Contact breaker gap",
      [q(0.35, "mm"), q(0.45, "mm")],
      q(0.016, "in"),
    ),
    said("s-sco-lamp", "bulb", "Headlamp", "S2 35/35 W", "S2 35/35 W"),
  ],
  fitments: [{ part: "pt-small-plug", perService: 1, tasks: ["t-scoot-plug"] }],
};
