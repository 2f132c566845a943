import type { ChecklistId, MeasuredLimitRecord, PlaceId, ProductId } from "@yonderfell/core";
import { every, HRS, months } from "../limits.js";
import { fluid, measured, point, q, said } from "../plate.js";
import type { ScenarioMachine } from "../scenario.js";

/** Belts that sink into their sheaves, by what is measured of them. */
const BELTS_SUNK: MeasuredLimitRecord = {
  checklist: "cl-belts" as ChecklistId,
  ...{ check: "k-rim", meter: HRS, limit: 1.6 },
};

/** The flail mower: hours, seasons and hard use. */
export const flailMower: ScenarioMachine = {
  id: "m-mower",
  tag: "12",
  name: "Flail mower",
  kind: "mower",
  description: "Brackmoor Verge 160 on a Tolland 58 carrier, diesel 2.2 L",
  inServiceDaysAgo: 1496,
  history: "known",
  regime: "hard use",
  meters: [
    {
      id: "hrs",
      name: "engine hours",
      unit: "h",
      decimals: 1,
      startsAt: 402,
      running: {
        perDayByMonth: [0.4, 0.5, 1.6, 3.2, 4.6, 5.1, 4.4, 4.8, 4.2, 3.4, 2.6, 0.8],
        weekdays: [1, 2, 3, 4, 5],
      },
      readEvery: [5, 12],
    },
  ],
  tasks: [
    {
      id: "t-mower-grease",
      name: "Grease, 14 points",
      regimes: { handbook: [every(HRS, 20)], "hard use": [every(HRS, 10, { grace: 2 })] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [71, 61, 49, 39, 27, 16, 9] },
    },
    {
      id: "t-mower-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(HRS, 250, { at: [50] }), months(12)],
        "hard use": [every(HRS, 150, { at: [50] }), months(12)],
      },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [1180, 1034, 880, 733, 590, 440, 286, 132] },
      uses: [{ fluid: "f-mow-oil", condition: "with filter" }],
    },
    {
      id: "t-mower-air",
      name: "Air filter element",
      regimes: {
        handbook: [every(HRS, 500)],
        "hard use": [every(HRS, 300)],
      },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [733, 440, 286] },
    },
    {
      id: "t-mower-hydraulic",
      name: "Hydraulic oil and filter",
      regimes: { handbook: [every(HRS, 1000, { at: [100] })] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [880] },
    },
    {
      id: "t-mower-flails",
      name: "Flails and rotor bearings looked over",
      regimes: { handbook: [every(HRS, 50)], "hard use": [every(HRS, 25)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [132, 108, 77, 55, 33] },
      lastMeasured: [
        { name: "rotor bearing, end play", readings: [q(0.3, "mm")], verdict: "watch" },
        { name: "rotor bearing, end play", readings: [q(0.6, "mm")], verdict: "attend" },
        { name: "rotor bearing, end play", readings: [q(0.7, "mm")], verdict: "attend" },
      ],
    },
    {
      id: "t-mower-belt",
      name: "Rotor belts",
      regimes: { handbook: [every(HRS, 600)], measured: [BELTS_SUNK] },
      regime: "measured",
      regimeReason: "Measured every 100 h; dust eats belts faster than the book thinks.",
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [440] },
    },
    {
      id: "t-mower-extinguisher",
      name: "Fire extinguisher, yearly check",
      regimes: { handbook: [months(12, { hard: true })] },
      doneDaysAgo: [1071, 709, 340],
    },
  ],
  notes: [
    { daysAgo: 709, text: "Powder shaken loose, weighed: 2.0 kg." },
    { daysAgo: 340, text: "Gauge in the green, hose sound, pin sealed." },
  ],
  facts: {
    serial: "BV160-00412",
    variant: "2.2 L diesel, hydrostatic, turbo",
    place: "pl-shed" as PlaceId,
    duty: { coldestStart: q(-8, "degC"), hottestDay: q(30, "degC"), dust: true },
  },
  fluids: [
    fluid(
      "f-mow-oil",
      "engine",
      "engine oil",
      [
        ["handbook", "with filter", 7.6, "L"],
        ["engine label", "with filter", 8, "us-qt"],
      ],
      {
        codes: ["CI-4"],
        grades: [{ grade: "15W-40", from: -15 }],
        product: "p-fell-15w40" as ProductId,
      },
    ),
    fluid(
      "f-mow-hyd",
      "hydraulics",
      "hydraulic oil",
      [
        ["handbook", "drain and fill", 32, "L"],
        ["handbook", "dry", 41, "L"],
      ],
      {
        codes: ["HLP 46"],
        product: "p-hyd-46" as ProductId,
        level: { by: "glass", engine: "off", minutes: 5 },
      },
    ),
    fluid("f-mow-cool", "cooling system", "coolant", [["handbook", "dry", 8.2, "L"]], {
      coolantFamily: "conventional",
      product: "p-cool-oat" as ProductId,
      note: "topped up with what was on the shelf in June",
    }),
    fluid("f-mow-rotor", "rotor gearbox", "gear oil", [["handbook", "drain and fill", 0.9, "L"]], {
      codes: ["GL-5"],
      grades: [{ grade: "80W-90" }],
    }),
  ],
  points: [
    point("sp-mow-drain", "drain", "Sump plug", {
      of: "f-mow-oil",
      tool: "19 mm spanner",
      torque: q(35, "Nm"),
      torqueUse: "plug",
      seal: "aluminium washer 14 mm",
    }),
    point("sp-mow-grease", "grease", "Grease points", {
      count: 14,
      where: "rotor bearings 2, roller 2, linkage 8, castor 2",
      tool: "grease gun",
    }),
    point("sp-mow-hyd", "check", "Hydraulic sight glass", {
      of: "f-mow-hyd",
      where: "left of the seat",
      note: "implement lowered",
    }),
  ],
  specifications: [
    said("s-mow-oilf", "filter", "Oil filter", "T 58-102", "CF-118"),
    measured(
      "s-mow-belt",
      "free play",
      "Rotor belts, deflection at mid-span",
      [q(8, "mm"), q(12, "mm")],
      q(15, "mm"),
      { note: "with 50 N, engine off and cooled" },
    ),
    said("s-mow-flail", "other", "Flails", "BV 160-12", "BV 160-12"),
    measured("s-mow-bat", "battery", "Battery, capacity", [q(95, "Ah"), null], q(95, "Ah")),
  ],
  fitments: [
    { part: "pt-tol-oilf", perService: 1, tasks: ["t-mower-oil"] },
    { part: "pt-washer-14", position: "sump plug", perService: 1, tasks: ["t-mower-oil"] },
    { part: "pt-tol-air", perService: 1, tasks: ["t-mower-air"] },
    { part: "pt-tol-hyd", perService: 1, tasks: ["t-mower-hydraulic"] },
    { part: "pt-rotor-belt", perService: 1, tasks: ["t-mower-belt"] },
    {
      part: "pt-flail",
      position: "rotor",
      perService: 24,
      tasks: ["t-mower-flails"],
      note: "always in opposite pairs",
    },
  ],
};
