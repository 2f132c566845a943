import type { PlaceId, ProductId, TaskId } from "@yonderfell/core";
import { every, months, ODO } from "../limits.js";
import { fluid, point, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";
import { vinOf } from "../vin.js";

/** The community lunch van: short trips, a gas oven, a serviced fridge. */
export const lunchVan: ScenarioMachine = {
  id: "m-lunch",
  tag: "15",
  name: "Lunch van",
  kind: "van",
  description: "Corven Drayman, petrol 1.6 L, kitchen body",
  inServiceDaysAgo: 3320,
  history: "known",
  regime: "cautious",
  facts: {
    vin: vinOf("0YFCD16V", "K0015311"),
    variant: "1.6 petrol",
    place: "pl-shed" as PlaceId,
    duty: { coldestStart: q(-10, "degC"), shortTrips: true, idling: true },
    reminders: [
      {
        code: "INSP 2",
        says: "spanner and 2, for ten seconds after starting",
        tasks: ["t-lunch-brake", "t-lunch-plugs"] as TaskId[],
        reset: "Ignition on, hold the trip knob until the display counts down, off.",
      },
    ],
  },
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "mi",
      decimals: 0,
      startsAt: 44120,
      running: steadily(24),
      readEvery: [10, 24],
    },
  ],
  tasks: [
    {
      id: "t-lunch-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(ODO, 12000), months(12)],
        cautious: [every(ODO, 6000), months(6)],
      },
      doneDaysAgo: [1000, 810, 620, 430, 240, 60],
    },
    {
      id: "t-lunch-plugs",
      name: "Spark plugs",
      regimes: { handbook: [every(ODO, 40000)], cautious: [every(ODO, 20000)] },
      doneDaysAgo: [810],
    },
    {
      id: "t-lunch-gas",
      name: "Gas installation, certificate",
      needs: ["gas"],
      regimes: { handbook: [months(12, { hard: true })] },
      doneDaysAgo: [1060, 700, 348],
    },
    {
      id: "t-lunch-ext",
      name: "Fire extinguisher and blanket, yearly check",
      regimes: { handbook: [months(12, { hard: true })] },
      doneDaysAgo: [820, 460, 95],
    },
    {
      id: "t-lunch-brake",
      name: "Brake fluid",
      regimes: { handbook: [months(24)] },
      doneDaysAgo: [620],
    },
    {
      id: "t-lunch-fridge",
      name: "Fridge condenser cleaned",
      regimes: { handbook: [months(3)] },
      doneDaysAgo: [290, 200, 104, 24],
    },
  ],
  said: [{ daysAgo: 3, says: { reminders: [{ code: "INSP 2", fact: "raised" }] } }],
  notes: [{ daysAgo: 348, text: "Done by the registered fitter; certificate in the office." }],
  fluids: [
    fluid(
      "f-lun-oil",
      "engine",
      "engine oil",
      [
        ["handbook", "with filter", 4.4, "us-qt"],
        ["dip-stick tag", "with filter", 4.4, "L"],
      ],
      { codes: ["SN"], grades: [{ grade: "5W-30" }], product: "p-tarn-5w30" as ProductId },
    ),
    fluid("f-lun-cool", "cooling system", "coolant", [["handbook", "dry", 7.1, "L"]], {
      coolantFamily: "organic acid",
    }),
    fluid("f-lun-brake", "brakes", "brake fluid", [["handbook", "dry", 0.7, "L"]], {
      brakeType: "4",
      product: "p-brake-4" as ProductId,
    }),
  ],
  points: [
    point("sp-lun-drain", "drain", "Sump plug", {
      of: "f-lun-oil",
      tool: "15 mm spanner",
      torque: q(22, "ft-lbf"),
      torqueUse: "plug",
      seal: "aluminium washer 14 mm",
    }),
  ],
  specifications: [
    said("s-lun-tyre", "tyre", "All wheels", "195/70 R15 C", "195/70 R15 C"),
    said("s-lun-lamp", "bulb", "Reversing lamp", "P21W", "P21W"),
  ],
};
