import type { PlaceId, ProductId } from "@yonderfell/core";
import { every, months, ODO } from "../limits.js";
import { fluid, measured, q, said } from "../plate.js";
import { steadily, type ScenarioMachine } from "../scenario.js";
import { vinOf } from "../vin.js";

/** The electric post van: no engine oil; brake fluid, coolant loop, cabin filter, tyres. */
export const postVan: ScenarioMachine = {
  id: "m-post",
  tag: "18",
  name: "Post van",
  kind: "electric van",
  description: "Corven Drayman E, 52 kWh",
  inServiceDaysAgo: 760,
  history: "known",
  regime: "handbook",
  facts: {
    vin: vinOf("0YFCDE52", "P0018090"),
    place: "pl-shed" as PlaceId,
    duty: { coldestStart: q(-14, "degC"), shortTrips: true },
    needed: [{ weekdays: [1, 2, 4, 5, 6], reason: "post round" }],
  },
  meters: [
    {
      id: "odo",
      name: "odometer",
      unit: "km",
      decimals: 0,
      startsAt: 15,
      running: steadily(84, [], [1, 2, 3, 4, 5, 6]),
      readEvery: [7, 20],
    },
  ],
  tasks: [
    {
      id: "t-post-cabin",
      name: "Cabin filter",
      regimes: { handbook: [every(ODO, 30000), months(12)] },
      doneDaysAgo: [395, 31],
    },
    {
      id: "t-post-brake",
      name: "Brake fluid",
      regimes: { handbook: [months(24)] },
      doneDaysAgo: [],
    },
    {
      id: "t-post-sliders",
      name: "Brake sliders freed and greased",
      regimes: { handbook: [months(12)] },
      doneDaysAgo: [338],
    },
    {
      id: "t-post-tyres",
      name: "Tyres turned front to back",
      regimes: { handbook: [every(ODO, 12000)] },
      doneDaysAgo: [560, 380, 190],
    },
    {
      id: "t-post-loop",
      name: "Battery coolant loop",
      regimes: { handbook: [every(ODO, 160000), months(96)] },
      doneDaysAgo: [],
    },
  ],
  notes: [{ daysAgo: 338, text: "Rear discs rusty from little use: bedded in on the hill." }],
  fluids: [
    fluid("f-post-loop", "battery loop", "coolant", [["handbook", "dry", 8.8, "L"]], {
      coolantFamily: "silicated",
      note: "high-voltage system: licensed people only",
    }),
    fluid("f-post-brake", "brakes", "brake fluid", [["handbook", "dry", 0.7, "L"]], {
      brakeType: "5.1",
      codes: ["DOT 5.1"],
      product: "p-brake-4" as ProductId,
    }),
    fluid("f-post-red", "reduction gear", "gear oil", [["handbook", "drain and fill", 1.5, "L"]]),
  ],
  specifications: [
    said("s-post-tyre", "tyre", "All wheels", "205/60 R16 96H", "205/60 R16 92H"),
    measured("s-post-pressure", "pressure", "Tyres, cold", [q(2.9, "bar"), q(3.1, "bar")], null, {
      source: "door label",
    }),
    said("s-post-bat", "battery", "12 V battery", "AGM 60", "AGM 60"),
  ],
};
