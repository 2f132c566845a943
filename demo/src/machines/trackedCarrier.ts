import type { PlaceId, ProductId } from "@yonderfell/core";
import { every, HRS, months } from "../limits.js";
import { fluid, measured, point, q } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";

/** The tracked carrier: imperial plate, out of service with a cracked idler arm. */
export const trackedCarrier: ScenarioMachine = {
  id: "m-carrier",
  tag: "25",
  name: "Tracked carrier",
  kind: "tracked carrier",
  description: "Brackmoor Badger 1.5 t, diesel 1.1 L, rubber tracks",
  inServiceDaysAgo: 3010,
  history: "known",
  regime: "hard use",
  facts: {
    serial: "BB15-0340",
    place: "pl-moss" as PlaceId,
    gallons: "imperial",
    duty: { coldestStart: q(-12, "degC"), dust: true, water: true },
  },
  stop: {
    daysAgo: 6,
    reason: "crack in the left idler arm, found when the track was tensioned",
    by: "Edda Thwaite",
  },
  meters: [
    {
      id: "hrs",
      name: "engine hours",
      unit: "h",
      decimals: 1,
      startsAt: 1873,
      running: steadily(2.4),
      readEvery: [8, 20],
    },
  ],
  tasks: [
    {
      id: "t-carr-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(HRS, 200), months(12)],
        "hard use": [every(HRS, 100), months(12)],
      },
      doneDaysAgo: [],
      uses: [{ fluid: "f-carr-oil", condition: "with filter" }],
      doneRunAgo: { meter: "hrs", amounts: [980, 872, 761, 660, 552, 449, 340, 231, 128, 22] },
    },
    {
      id: "t-carr-hyd",
      name: "Hydraulic oil and filter",
      regimes: { handbook: [every(HRS, 800), months(24)] },
      uses: [{ fluid: "f-carr-hyd", condition: "drain and fill" }],
      doneDaysAgo: [610],
    },
    {
      id: "t-carr-track",
      name: "Track tension",
      regimes: { handbook: [every(HRS, 50)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [210, 160, 112, 60, 6] },
    },
    {
      id: "t-carr-grease",
      name: "Grease, 10 points",
      regimes: { handbook: [every(HRS, 20)] },
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [86, 64, 41, 22, 12] },
    },
    {
      id: "t-carr-250",
      name: "250 h: filters blown out, belts and hoses",
      regimes: { handbook: [every(HRS, 250)] },
      ladder: "hours",
      minutes: 60,
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [955, 705, 452, 204] },
    },
    {
      id: "t-carr-500",
      name: "500 h: fuel filter, track rollers measured",
      nth: { of: "t-carr-250", every: 2 },
      ladder: "hours",
      minutes: 90,
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [955, 452] },
    },
    {
      id: "t-carr-1000",
      name: "1000 h: valve lash, coolant",
      nth: { of: "t-carr-250", every: 4 },
      ladder: "hours",
      minutes: 180,
      doneDaysAgo: [],
      doneRunAgo: { meter: "hrs", amounts: [955] },
    },
    {
      id: "t-carr-2000",
      name: "2000 h: injectors, pump delivery",
      nth: { of: "t-carr-250", every: 8 },
      ladder: "hours",
      minutes: 240,
      outside: { because: "specialist tools", tell: "Injectors on the bench, and pump delivery." },
      doneDaysAgo: [],
    },
  ],
  notes: [],
  fluids: [
    fluid("f-carr-oil", "engine", "engine oil", [["handbook", "with filter", 6.5, "imp-pt"]], {
      codes: ["CH-4"],
      grades: [{ grade: "15W-40", from: -15 }],
      product: "p-fell-15w40" as ProductId,
    }),
    fluid(
      "f-carr-hyd",
      "hydraulics",
      "hydraulic oil",
      [
        ["handbook", "drain and fill", 5, "imp-gal"],
        ["label", "drain and fill", 5, "us-gal"],
      ],
      { codes: ["HLP 46"], product: "p-hyd-46" as ProductId },
    ),
  ],
  points: [
    point("sp-carr-grease", "grease", "Rollers and idlers", { count: 10, tool: "grease gun" }),
    point("sp-carr-drain", "drain", "Sump plug", {
      of: "f-carr-oil",
      tool: "3/4 in spanner",
      torque: q(30, "ft-lbf"),
      torqueUse: "plug",
    }),
  ],
  specifications: [
    measured(
      "s-carr-sag",
      "free play",
      "Track sag at mid-span",
      [q(0.75, "in"), q(1.25, "in")],
      q(28, "mm"),
    ),
  ],
};
