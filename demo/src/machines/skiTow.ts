import type { PlaceId, ProductId } from "@yonderfell/core";
import { every, HRS, months } from "../limits.js";
import { fluid, point, q } from "../plate.js";
import type { ScenarioMachine } from "../scenario.js";

/** The ski-tow engine: winter only, and examined before it may run. */
export const skiTow: ScenarioMachine = {
  id: "m-tow",
  tag: "33",
  name: "Ski-tow engine",
  kind: "stationary engine",
  description: "Lowther 3-cylinder in the top station, diesel 2.4 L, rope drive",
  inServiceDaysAgo: 5110,
  history: "known",
  regime: "handbook",
  facts: {
    serial: "LW24-1187",
    place: "pl-top" as PlaceId,
    duty: { coldestStart: q(-24, "degC"), idling: true },
    laidUp: [{ months: [4, 5, 6, 7, 8, 9, 10, 11], reason: "no snow" }],
  },
  meters: [
    {
      id: "hrs",
      name: "engine hours",
      unit: "h",
      decimals: 1,
      startsAt: 3306,
      running: { perDayByMonth: [5.5, 6, 3.5, 0, 0, 0, 0, 0, 0, 0, 0, 3], weekdays: [3, 5, 6, 7] },
      readEvery: [5, 11],
    },
  ],
  tasks: [
    {
      id: "t-tow-oil",
      name: "Engine oil and filter",
      regimes: { handbook: [every(HRS, 250), months(12)] },
      doneDaysAgo: [1070, 708, 338],
    },
    {
      id: "t-tow-rope",
      name: "Haul rope and splice, examination",
      regimes: { handbook: [months(12, { hard: true })] },
      anchor: "grid",
      doneDaysAgo: [1080, 712, 351],
    },
    {
      id: "t-tow-safety",
      name: "Safety gates and stop lines, before the season",
      regimes: { handbook: [months(12, { from: "2023-12-01" })] },
      anchor: "grid",
      doneDaysAgo: [1075, 710, 346],
    },
    {
      id: "t-tow-bearing",
      name: "Return wheel bearing greased",
      regimes: { handbook: [every(HRS, 40)] },
      doneDaysAgo: [300, 282, 260],
    },
    {
      id: "t-tow-heater",
      name: "Block heater tried",
      regimes: { handbook: [months(12)] },
      doneDaysAgo: [711, 350],
    },
  ],
  notes: [
    { daysAgo: 351, text: "Examined by the inspector. Splice good, 11.8 mm at the thinnest." },
  ],
  fluids: [
    fluid("f-tow-oil", "engine", "engine oil", [["handbook", "with filter", 6.4, "L"]], {
      codes: ["CI-4"],
      grades: [{ grade: "15W-40", from: -15 }, { grade: "5W-40" }],
      product: "p-fell-15w40" as ProductId,
    }),
    fluid("f-tow-cool", "cooling system", "coolant", [["handbook", "dry", 10.5, "L"]], {
      coolantFamily: "conventional",
      product: "p-cool-conv" as ProductId,
    }),
    fluid(
      "f-tow-box",
      "rope drive gearbox",
      "gear oil",
      [
        ["name plate", "drain and fill", 3.2, "imp-pt"],
        ["handbook", "drain and fill", 1.8, "L"],
      ],
      { codes: ["GL-4"], product: "p-gear-80w90" as ProductId },
    ),
  ],
  points: [
    point("sp-tow-drain", "drain", "Sump plug", {
      of: "f-tow-oil",
      tool: "22 mm spanner",
      torque: q(44, "Nm"),
      torqueUse: "plug",
    }),
  ],
};
