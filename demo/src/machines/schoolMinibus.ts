import type { PlaceId, ProductId, TaskId } from "@yonderfell/core";
import { every, months, ODO } from "../limits.js";
import { fluid, measured, point, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";
import { vinOf } from "../vin.js";

/** The school minibus: steady terms, quiet August, a seat-belt inspection by law. */
export const schoolMinibus: ScenarioMachine = {
  id: "m-minibus",
  tag: "03",
  name: "School minibus",
  kind: "bus",
  description: "Harrowgate Drover 3.5 t, 16 seats, diesel 2.3 L; small sister of the library bus",
  inServiceDaysAgo: 1410,
  neededSpans: [
    { fromDays: -90, toDays: 30, weekdays: [1, 2, 3, 4, 5], reason: "school runs" },
    { fromDays: 44, toDays: 115, weekdays: [1, 2, 3, 4, 5], reason: "school runs" },
    { fromDays: 130, toDays: 190, weekdays: [1, 2, 3, 4, 5], reason: "school runs" },
  ],
  history: "known",
  regime: "handbook",
  facts: {
    vin: vinOf("0YFHD23B", "M0031877"),
    variant: "2.3 L diesel, six-speed",
    place: "pl-shed" as PlaceId,
    duty: { coldestStart: q(-14, "degC"), shortTrips: true, idling: true },
  },
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 23180,
      running: steadily(118, [1, 2, 3, 4, 5, 6, 9, 10, 11, 12]),
      readEvery: [6, 14],
    },
  ],
  tasks: [
    {
      id: "t-mini-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(ODO, 20000, { grace: 1000 }), months(12)],
        cautious: [
          every(ODO, 8000, { for: ["mineral"] }),
          every(ODO, 10000, { for: ["part synthetic"] }),
          every(ODO, 15000, { for: ["full synthetic"] }),
          months(12),
        ],
      },
      minutes: 45,
      access: "sump",
      uses: [{ fluid: "f-mini-oil", condition: "with filter" }],
      doneDaysAgo: [880, 560, 255],
    },
    {
      id: "t-mini-fuel",
      name: "Fuel filter",
      nth: { of: "t-mini-oil", every: 2 },
      doneDaysAgo: [560],
    },
    {
      id: "t-mini-brake",
      name: "Brake fluid",
      copiedFrom: { machine: "m-bus", task: "t-bus-brake-fluid", schools: ["handbook"] },
      regimes: { handbook: [months(24)] },
      doneDaysAgo: [720],
    },
    {
      id: "t-mini-brakes",
      name: "Brakes looked over",
      copiedFrom: { machine: "m-bus", task: "t-bus-brakes" },
      regimes: { handbook: [every(ODO, 20000), months(12)] },
      doneDaysAgo: [880, 560, 255],
    },
    {
      id: "t-mini-belts",
      name: "Seat belts and anchorages, inspection",
      regimes: { handbook: [months(12, { hard: true })] },
      anchor: "grid",
      doneDaysAgo: [1060, 690, 325],
    },
    {
      id: "t-mini-tyres",
      name: "Tyres measured",
      regimes: { handbook: [months(3)] },
      doneDaysAgo: [300, 205, 110, 22],
    },
  ],
  said: [
    {
      daysAgo: 12,
      says: { lookAgain: [{ task: "t-mini-brake" as TaskId, months: 6, found: "moisture 1.2 %" }] },
    },
  ],
  notes: [{ daysAgo: 255, text: "Left rear pads 6 mm, right 4 mm: slider freed." }],
  fluids: [
    fluid(
      "f-mini-oil",
      "engine",
      "engine oil",
      [
        ["handbook", "with filter", 6.6, "L"],
        ["dealer", "with filter", 6.5, "L"],
      ],
      { codes: ["A5/B5"], grades: [{ grade: "5W-30" }], product: "p-tarn-5w30" as ProductId },
    ),
    fluid("f-mini-cool", "cooling system", "coolant", [["handbook", "dry", 9.4, "L"]], {
      coolantFamily: "organic acid",
      product: "p-cool-oat" as ProductId,
    }),
    fluid(
      "f-mini-steer",
      "power steering",
      "power steering fluid",
      [["handbook", "drain and fill", 0.9, "L"]],
      { vessel: q(1.3, "L"), level: { by: "lines", engine: "off", warm: false } },
    ),
    fluid("f-mini-brake", "brakes", "brake fluid", [["handbook", "dry", 0.8, "L"]], {
      brakeType: "4",
      codes: ["DOT 4"],
      product: "p-brake-4" as ProductId,
    }),
  ],
  points: [
    point("sp-mini-drain", "drain", "Sump plug", {
      of: "f-mini-oil",
      tool: "8 mm hexagon",
      torque: q(28, "Nm"),
      torqueUse: "plug",
      seal: "aluminium washer 14 mm",
    }),
  ],
  specifications: [
    said("s-mini-tyre", "tyre", "All wheels", "215/75 R16 C", "215/75 R16 C"),
    measured(
      "s-mini-pressure",
      "pressure",
      "Rear tyres, cold",
      [q(62, "psi"), q(68, "psi")],
      null,
      { source: "door label" },
    ),
    said("s-mini-wiper", "wiper", "Rear wiper", "WB 400", "WB 350"),
  ],
};
