import type { PlaceId, ProductId } from "@yonderfell/core";
import { every, months, ODO } from "../limits.js";
import { fluid, measured, point, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";
import { vinOf } from "../vin.js";

/** The rescue ambulance: it cannot be spared, so its work is done in an hour or not at all. */
export const rescueAmbulance: ScenarioMachine = {
  id: "m-ambulance",
  tag: "01",
  name: "Rescue ambulance",
  kind: "van",
  description: "Stanegate Fell 4x4, diesel 2.8 L",
  inServiceDaysAgo: 1220,
  history: "known",
  regime: "cautious",
  facts: {
    vin: vinOf("0YFSF28A", "A0001337"),
    variant: "2.8 L, transfer box",
    place: "pl-shed" as PlaceId,
    duty: { coldestStart: q(-18, "degC"), idling: true, water: true },
    needed: [
      { weekdays: [1, 2, 3, 4, 5, 6, 7], reason: "on call; at most two hours, told beforehand" },
    ],
  },
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 9020,
      running: steadily(58, [], [1, 2, 3, 4, 5, 6, 7]),
      readEvery: [3, 9],
    },
  ],
  tasks: [
    {
      id: "t-amb-oil",
      name: "Engine oil and filter",
      regimes: {
        handbook: [every(ODO, 20000), months(12)],
        cautious: [every(ODO, 8000), months(6)],
      },
      doneDaysAgo: [920, 740, 560, 385, 206, 37],
    },
    {
      id: "t-amb-transfer",
      name: "Transfer box and axle oils",
      regimes: { handbook: [every(ODO, 40000)], cautious: [every(ODO, 20000), months(24)] },
      doneDaysAgo: [560, 206],
    },
    {
      id: "t-amb-box",
      name: "Automatic gearbox fluid",
      regimes: { handbook: [], cautious: [every(ODO, 60000), months(48)] },
      uses: [{ fluid: "f-amb-box", condition: "drain and fill" }],
      doneDaysAgo: [560],
    },
    {
      id: "t-amb-brake",
      name: "Brake fluid",
      regimes: { handbook: [months(24)], cautious: [months(12)] },
      doneDaysAgo: [740, 385, 37],
    },
    {
      id: "t-amb-brakes",
      name: "Brakes looked over",
      regimes: {
        handbook: [every(ODO, 15000), months(12)],
        cautious: [every(ODO, 8000), months(6)],
      },
      doneDaysAgo: [560, 385, 206, 37],
    },
    {
      id: "t-amb-tyres",
      name: "Tyres measured",
      regimes: { handbook: [months(1)] },
      doneDaysAgo: [95, 66, 37, 6],
    },
    {
      id: "t-amb-warn",
      name: "Blue lamps and horn tried",
      regimes: { handbook: [months(1)] },
      doneDaysAgo: [37, 6],
    },
  ],
  notes: [
    {
      daysAgo: 226,
      text: "Report given to the office: 0 now, 1 for the next visit, the heater hose. Declined until the new budget.",
    },
  ],
  fluids: [
    fluid(
      "f-amb-oil",
      "engine",
      "engine oil",
      [
        ["handbook", "with filter", 7.3, "L"],
        ["own experience", "with filter", 7.2, "L"],
      ],
      { codes: ["A5/B5"], grades: [{ grade: "5W-30" }], product: "p-tarn-5w30" as ProductId },
    ),
    fluid(
      "f-amb-transfer",
      "transfer box",
      "gear oil",
      [["handbook", "drain and fill", 2.3, "L"]],
      { codes: ["GL-4"], product: "p-gear-80w90" as ProductId },
    ),
    fluid(
      "f-amb-box",
      "automatic gearbox",
      "automatic transmission fluid",
      [["handbook", "drain and fill", 4.8, "L"]],
      {
        vessel: q(9.4, "L"),
        level: { by: "overflow", engine: "idling", warm: true, from: 35, to: 45 },
        note: "filled for life, says the handbook; no date is made of that",
      },
    ),
    fluid("f-amb-cool", "cooling system", "coolant", [["handbook", "dry", 11, "L"]], {
      coolantFamily: "organic acid",
      product: "p-cool-oat" as ProductId,
    }),
    fluid("f-amb-brake", "brakes", "brake fluid", [["handbook", "dry", 0.9, "L"]], {
      brakeType: "4",
      product: "p-brake-4" as ProductId,
    }),
  ],
  points: [
    point("sp-amb-drain", "drain", "Sump plug", {
      of: "f-amb-oil",
      tool: "17 mm spanner",
      torque: q(38, "Nm"),
      torqueUse: "plug",
      seal: "copper washer 24 mm",
    }),
  ],
  specifications: [
    said("s-amb-tyre", "tyre", "All wheels", "235/65 R17 108T", "235/65 R17 108T"),
    measured(
      "s-amb-bat",
      "battery",
      "Battery, cold-cranking current",
      [q(850, "A"), null],
      q(900, "A"),
    ),
  ],
};
