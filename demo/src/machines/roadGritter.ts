import type { PlaceId, ProductId } from "@yonderfell/core";
import { every, HRS, months, ODO } from "../limits.js";
import { fluid, measured, point, q, said } from "../plate.js";
import type { ScenarioMachine } from "../scenario.js";
import { vinOf } from "../vin.js";

/** The road gritter: a heavy lorry that works nights in winter, with a body motor of its own. */
export const roadGritter: ScenarioMachine = {
  id: "m-gritter",
  tag: "21",
  name: "Road gritter",
  kind: "heavy lorry",
  description: "Stanegate 18 t four-wheel drive, diesel 7.2 L, salt body and plough",
  inServiceDaysAgo: 2740,
  history: "known",
  regime: "hard use",
  facts: {
    vin: vinOf("0YFSG18T", "G0021004"),
    variant: "7.2 L, two-stage axle, exhaust aftertreatment",
    place: "pl-shed" as PlaceId,
    bayNeeds: ["long"],
    duty: { coldestStart: q(-19, "degC"), idling: true, water: true, note: "salt" },
    needed: [{ weekdays: [6, 7], reason: "weekend watch" }],
  },
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 61800,
      running: {
        perDayByMonth: [160, 150, 90, 20, 6, 4, 4, 4, 8, 30, 90, 150],
        weekdays: [1, 2, 3, 4, 5, 6, 7],
      },
      readEvery: [5, 16],
    },
    {
      id: "hrs",
      name: "salt body hours",
      unit: "h",
      decimals: 1,
      startsAt: 1480,
      running: {
        perDayByMonth: [3.6, 3.4, 1.8, 0.2, 0.1, 0.1, 0.1, 0.1, 0.1, 0.6, 1.8, 3.2],
        weekdays: [1, 2, 3, 4, 5, 6, 7],
      },
      readEvery: [12, 30],
    },
  ],
  tasks: [
    {
      id: "t-grit-oil",
      name: "Engine oil and filters",
      regimes: {
        handbook: [every(ODO, 30000), months(12)],
        "hard use": [every(ODO, 15000), months(12)],
      },
      uses: [{ fluid: "f-grit-oil", condition: "with filter" }],
      doneDaysAgo: [1010, 640, 280],
    },
    {
      id: "t-grit-dryer",
      name: "Air-dryer cartridge",
      regimes: { handbook: [months(24)], "hard use": [months(12)] },
      doneDaysAgo: [1010, 640, 280],
    },
    {
      id: "t-grit-def",
      name: "Exhaust fluid filter",
      regimes: { handbook: [every(ODO, 60000)] },
      doneDaysAgo: [640],
    },
    {
      id: "t-grit-hub",
      name: "Hub oil levels",
      regimes: { handbook: [every(ODO, 15000), months(6)] },
      doneDaysAgo: [430, 250, 75],
    },
    {
      id: "t-grit-bearings",
      name: "Hub bearings adjusted",
      nth: { of: "t-grit-hub", every: 3 },
      minutes: 150,
      access: "wheels off",
      doneDaysAgo: [430],
    },
    {
      id: "t-grit-chain",
      name: "Salt conveyor chain, tension and oil",
      regimes: { handbook: [every(HRS, 50)] },
      doneDaysAgo: [320, 290, 262, 240],
    },
    {
      id: "t-grit-wash",
      name: "Wash off salt, grease all",
      regimes: { handbook: [months(1)] },
      doneDaysAgo: [70, 41, 18],
    },
    {
      id: "t-grit-test",
      name: "Roadworthiness test",
      regimes: { handbook: [months(12, { hard: true })] },
      anchor: "grid",
      doneDaysAgo: [920, 556, 192],
    },
    {
      id: "t-grit-tacho",
      name: "Tachograph calibration",
      regimes: { handbook: [months(24, { hard: true })] },
      doneDaysAgo: [700],
    },
  ],
  notes: [{ daysAgo: 280, text: "Salt in the rear lamp plugs. Cleaned, greased, boots renewed." }],
  fluids: [
    fluid(
      "f-grit-oil",
      "engine",
      "engine oil",
      [
        ["handbook", "with filter", 26, "L"],
        ["dealer", "with filter", 28, "L"],
      ],
      {
        codes: ["CK-4", "E6"],
        grades: [{ grade: "10W-40", from: -20 }],
        product: "p-fell-10w40" as ProductId,
      },
    ),
    fluid("f-grit-cool", "cooling system", "coolant", [["handbook", "dry", 38, "L"]], {
      coolantFamily: "organic acid",
      product: "p-cool-oat" as ProductId,
    }),
    fluid("f-grit-box", "gearbox", "gear oil", [["handbook", "drain and fill", 11, "L"]], {
      codes: ["GL-4"],
      grades: [{ grade: "80W-90" }],
      product: "p-gear-80w90" as ProductId,
    }),
    fluid(
      "f-grit-hub",
      "front hubs, each",
      "differential oil",
      [["handbook", "drain and fill", 1.4, "L"]],
      { codes: ["GL-5"], product: "p-axle-85w140" as ProductId },
    ),
    fluid("f-grit-def", "exhaust fluid tank", "exhaust fluid", [["tank label", "dry", 40, "L"]]),
  ],
  points: [
    point("sp-grit-drain", "drain", "Sump plugs", {
      of: "f-grit-oil",
      count: 2,
      tool: "17 mm hexagon",
      torque: q(60, "Nm"),
      torqueUse: "plug",
      seal: "copper washer 24 mm",
    }),
    point("sp-grit-air", "drain", "Air tank drains", {
      count: 4,
      where: "below each tank",
      note: "every day in frost",
    }),
    point("sp-grit-grease", "grease", "Plough and body points", { count: 22, tool: "grease gun" }),
  ],
  specifications: [
    said("s-grit-tyre", "tyre", "Front", "13 R22.5", "13 R22.5"),
    measured(
      "s-grit-bat",
      "battery",
      "Batteries, each, cold-cranking current",
      [q(1150, "A"), null],
      q(1150, "A"),
    ),
    measured(
      "s-grit-chain",
      "free play",
      "Salt conveyor, sag",
      [q(25, "mm"), q(40, "mm")],
      q(35, "mm"),
    ),
  ],
};
