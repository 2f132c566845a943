import type {
  ChecklistId,
  FindingId,
  MeasuredLimitRecord,
  PlaceId,
  ProductId,
} from "@yonderfell/core";
import { vinOf } from "../vin.js";
import { every, months, ODO } from "../limits.js";
import { fluid, measured, point, q, said } from "../plate.js";
import type { ScenarioMachine } from "../scenario.js";

/** Front pads that wear, by what is measured of them. */
const padsWorn = (point: string): MeasuredLimitRecord => ({
  checklist: "cl-wheels" as ChecklistId,
  ...{ check: "k-pads", point, meter: ODO, limit: 3 },
});

/** A mechanic's own car, bought with a part of its papers. */
export const hatchback: ScenarioMachine = {
  id: "m-hatch",
  tag: "H1",
  name: "Hatchback",
  kind: "car",
  description: "Corven Pellet 1.4 petrol, bought used with a part of its papers",
  inServiceDaysAgo: 3870,
  history: "unknown",
  regime: "cautious",
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 109240,
      running: {
        perDayByMonth: [38, 36, 34, 36, 30, 28, 40, 44, 30, 32, 34, 40],
        weekdays: [1, 2, 3, 4, 5, 6],
      },
      readEvery: [18, 44],
      mistypedDaysAgo: 412,
    },
  ],
  tasks: [
    {
      id: "t-hatch-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(ODO, 20000), months(24)],
        cautious: [every(ODO, 10000), months(12)],
      },
      doneDaysAgo: [1012, 690, 342],
    },
    {
      id: "t-hatch-air",
      name: "Air filter",
      regimes: { handbook: [every(ODO, 60000)], cautious: [every(ODO, 30000), months(36)] },
      doneDaysAgo: [690],
    },
    {
      id: "t-hatch-belt",
      name: "Timing belt, tensioner and water pump",
      regimes: {
        handbook: [every(ODO, 90000), months(72)],
        cautious: [every(ODO, 75000), months(60)],
      },
      doneDaysAgo: [],
    },
    {
      id: "t-hatch-plugs",
      name: "Spark plugs",
      regimes: { handbook: [every(ODO, 60000)], cautious: [every(ODO, 30000)] },
      doneDaysAgo: [1012],
    },
    {
      id: "t-hatch-brake-fluid",
      name: "Brake fluid",
      regimes: { handbook: [months(24)], cautious: [months(24)] },
      doneDaysAgo: [612],
    },
    {
      id: "t-hatch-gearbox",
      name: "Gearbox oil",
      regimes: { handbook: [], cautious: [every(ODO, 60000), months(72)] },
      regimeReason: "For life, says the handbook; changed anyway.",
      regime: "cautious",
      doneDaysAgo: [],
    },
    {
      id: "t-hatch-tyres",
      name: "Tyre pressures and tread",
      regimes: { handbook: [{ days: 30 }], cautious: [{ days: 14 }] },
      doneDaysAgo: [78, 61, 44, 30, 13],
    },
    {
      id: "t-hatch-test",
      name: "Roadworthiness test",
      regimes: { handbook: [months(12, { hard: true })] },
      doneDaysAgo: [1090, 727, 361],
    },
    {
      id: "t-hatch-running-in",
      name: "Front brake pads, bedding-in look",
      follows: { task: "t-hatch-pads", days: 14 },
      doneDaysAgo: [329],
    },
    {
      id: "t-hatch-pads",
      name: "Front brake pads",
      regimes: {
        handbook: [every(ODO, 45000)],
        measured: [padsWorn("left"), padsWorn("right")],
      },
      regime: "measured",
      regimeReason: "Measured whenever the wheels are off; the book's figure is a guess.",
      doneDaysAgo: [342],
    },
  ],
  stop: {
    ...{ daysAgo: 349, reason: "Front pads, left", by: "Joss Rigg" },
    released: {
      ...{ daysAgo: 342, by: "Joss Rigg" },
      done: "new pads both sides, pins freed and greased, brakes tried on the hill",
    },
  },
  worked: [
    {
      daysAgo: 342,
      says: {
        measures: ["left", "right"].map((side) => ({
          ...{ name: `Front pads, ${side}`, readings: [q(12, "mm")], verdict: "sound" as const },
        })),
        closes: ["fd-hatch-pads" as FindingId],
        torques: [{ name: "wheel bolts", torque: q(110, "Nm"), by: "pe-rigg" }],
        met: [{ caution: "on stands, wheels chocked", by: "pe-rigg" }],
      },
    },
  ],
  notes: [
    { daysAgo: 342, text: "Pads were 2.5 mm on the inner faces. Pins freed and greased." },
    { daysAgo: 612, text: "Tester showed 2.4 % before, 0.3 % after." },
  ],
  facts: {
    vin: vinOf("0YFCP14K", "H1142093"),
    variant: "1.4 petrol, five-speed",
    place: "pl-home" as PlaceId,
    duty: { coldestStart: q(-12, "degC"), shortTrips: true },
  },
  acquiredDaysAgo: 1530,
  fluids: [
    fluid(
      "f-hat-oil",
      "engine",
      "engine oil",
      [
        ["handbook", "with filter", 3.8, "L"],
        ["own experience", "with filter", 3.7, "L"],
        ["handbook", "without filter", 3.5, "L"],
      ],
      {
        codes: ["A5/B5"],
        grades: [{ grade: "5W-30" }],
        product: "p-tarn-5w30" as ProductId,
      },
    ),
    fluid("f-hat-cool", "cooling system", "coolant", [["handbook", "dry", 5.6, "L"]], {
      coolantFamily: "organic acid",
      product: "p-cool-oat" as ProductId,
    }),
    fluid("f-hat-box", "gearbox", "gear oil", [["handbook", "drain and fill", 2, "L"]], {
      codes: ["GL-4"],
      note: "the handbook says for life",
    }),
    fluid("f-hat-brake", "brakes", "brake fluid", [["handbook", "dry", 0.6, "L"]], {
      brakeType: "4",
      codes: ["DOT 4"],
      product: "p-brake-4" as ProductId,
    }),
  ],
  points: [
    point("sp-hat-drain", "drain", "Sump plug", {
      of: "f-hat-oil",
      tool: "13 mm spanner",
      torque: q(25, "Nm"),
      torqueUse: "plug",
      seal: "aluminium washer 14 mm",
    }),
    point("sp-hat-box", "fill", "Gearbox fill and level plug", {
      of: "f-hat-box",
      where: "facing the wheel, left",
      tool: "8 mm square",
    }),
  ],
  specifications: [
    measured(
      "s-hat-bat",
      "battery",
      "Battery, cold-cranking current",
      [q(420, "A"), null],
      q(330, "A"),
      { note: "came with it when it was bought" },
    ),
    said("s-hat-tyre", "tyre", "All wheels", "175/65 R14 82T", "175/65 R14 82T"),
    measured("s-hat-pressure", "pressure", "Tyres, cold", [q(2.2, "bar"), q(2.4, "bar")], null, {
      source: "door label",
    }),
    measured("s-hat-plug", "gap", "Spark plugs, gap", [q(0.8, "mm"), q(0.9, "mm")], null),
    said("s-hat-oilf", "filter", "Oil filter", "P 14-01", "P 14-01"),
    said("s-hat-lamp", "bulb", "Headlamp", "H4", "H4"),
  ],
  fitments: [
    { part: "pt-cor-oilf", perService: 1, tasks: ["t-hatch-oil"] },
    { part: "pt-washer-14", position: "sump plug", perService: 1, tasks: ["t-hatch-oil"] },
    { part: "pt-cor-air", perService: 1, tasks: ["t-hatch-air"] },
    { part: "pt-cor-plug", perService: 4, tasks: ["t-hatch-plugs"] },
  ],
};
