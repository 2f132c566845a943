import type { ProductId } from "@yonderfell/core";
import { fluid, measured, point, q, said } from "../plate.js";
import type { ScenarioMachine } from "../scenario.js";

/** What belongs in and on the library bus. */
export const libraryBusPlate: Pick<
  ScenarioMachine,
  "fluids" | "points" | "specifications" | "fitments"
> = {
  fluids: [
    fluid(
      "f-bus-oil",
      "engine",
      "engine oil",
      [
        ["handbook", "with filter", 12.5, "L"],
        ["sump label", "with filter", 13.4, "L"],
        ["own experience", "with filter", 12.6, "L", "on the mark after 10 minutes, twice"],
        ["handbook", "without filter", 11.6, "L"],
      ],
      {
        codes: ["CK-4 / CJ-4", "E7"],
        grades: [
          { grade: "15W-40", from: -15 },
          { grade: "10W-40", from: -20 },
        ],
        product: "p-fell-15w40" as ProductId,
        working: [
          { capacity: "f-bus-oil-3", reason: "measured twice; the label is for the older sump" },
        ],
        level: { by: "stick", engine: "off", warm: true, minutes: 10 },
      },
    ),
    fluid(
      "f-bus-cool",
      "cooling system",
      "coolant",
      [
        ["handbook", "dry", 21, "L"],
        ["handbook", "drain and fill", 16.5, "L"],
      ],
      {
        coolantFamily: "organic acid",
        product: "p-cool-oat" as ProductId,
        level: { by: "lines", engine: "off", warm: false },
        cap: q(1, "bar"),
      },
    ),
    fluid("f-bus-box", "gearbox", "gear oil", [["handbook", "drain and fill", 8.5, "L"]], {
      codes: ["GL-4"],
      grades: [{ grade: "80W-90" }],
      product: "p-gear-80w90" as ProductId,
      level: { by: "overflow", engine: "off" },
    }),
    fluid(
      "f-bus-axle",
      "rear axle",
      "differential oil",
      [
        ["handbook", "drain and fill", 6.2, "L"],
        ["dealer", "drain and fill", 6.8, "L"],
      ],
      {
        codes: ["GL-5"],
        grades: [{ grade: "85W-140" }],
        product: "p-axle-85w140" as ProductId,
        level: { by: "overflow", engine: "off" },
      },
    ),
    fluid("f-bus-brake", "brakes", "brake fluid", [["handbook", "dry", 1.1, "L"]], {
      brakeType: "4",
      codes: ["DOT 4"],
      product: "p-brake-4" as ProductId,
      level: { by: "lines", engine: "off" },
    }),
  ],
  points: [
    point("sp-bus-drain", "drain", "Sump plug", {
      of: "f-bus-oil",
      where: "rear of sump, reached from the left",
      tool: "24 mm socket",
      torque: q(60, "Nm"),
      torqueUse: "plug",
      seal: "copper washer 24 mm, new each time",
    }),
    point("sp-bus-fill", "fill", "Oil filler", {
      of: "f-bus-oil",
      where: "behind the front flap",
      tool: "by hand",
    }),
    point("sp-bus-filter", "filter", "Oil filter", {
      of: "f-bus-oil",
      where: "right of block, below the exhaust",
      tool: "strap wrench",
      note: "hand + 3/4 turn",
    }),
    point("sp-bus-box-fill", "fill", "Gearbox fill and level plug", {
      of: "f-bus-box",
      where: "right side, upper plug",
      tool: "17 mm hexagon",
      torque: q(45, "Nm"),
      torqueUse: "plug",
      note: "loosen this one before the drain plug",
    }),
    point("sp-bus-box-drain", "drain", "Gearbox drain plug", {
      of: "f-bus-box",
      tool: "17 mm hexagon",
      torque: q(45, "Nm"),
      torqueUse: "plug",
      seal: "copper washer 24 mm",
    }),
    point("sp-bus-king", "grease", "King pins", {
      count: 4,
      where: "upper and lower, both sides",
      tool: "grease gun",
    }),
    point("sp-bus-prop", "grease", "Propeller shaft joints", {
      count: 3,
      tool: "grease gun, needle end",
    }),
  ],
  specifications: [
    measured(
      "s-bus-bat-ah",
      "battery",
      "Batteries, each, capacity",
      [q(120, "Ah"), null],
      q(110, "Ah"),
      { note: "two in series, 24 V" },
    ),
    measured(
      "s-bus-bat-cca",
      "battery",
      "Batteries, each, cold-cranking current",
      [q(750, "A"), null],
      q(760, "A"),
    ),
    said("s-bus-tyre", "tyre", "All wheels", "205/75 R17.5 C", "205/75 R17.5 C"),
    measured(
      "s-bus-pressure-f",
      "pressure",
      "Front tyres, cold",
      [q(6.5, "bar"), q(6.8, "bar")],
      null,
      { source: "door label" },
    ),
    measured(
      "s-bus-pressure-r",
      "pressure",
      "Rear tyres, cold",
      [q(5.75, "bar"), q(6, "bar")],
      null,
      { source: "door label" },
    ),
    measured(
      "s-bus-wiper",
      "wiper",
      "Wipers, left and right",
      [q(600, "mm"), q(600, "mm")],
      q(600, "mm"),
    ),
    said("s-bus-oilf", "filter", "Oil filter", "HD 4510", "CF-210"),
    said("s-bus-lamp", "bulb", "Headlamp", "H7 24 V", "H7 24 V"),
    measured("s-bus-wheel", "torque", "Wheel nuts", [q(330, "Nm"), q(330, "Nm")], null, {
      note: "dry, star pattern, in two stages; again after 50 km",
    }),
  ],
  fitments: [
    { part: "pt-hd-oilf", perService: 1, tasks: ["t-bus-oil"] },
    {
      part: "pt-washer-24",
      position: "sump plug",
      perService: 1,
      tasks: ["t-bus-oil", "t-bus-gearbox"],
    },
    { part: "pt-hd-air", perService: 1, tasks: ["t-bus-air"] },
    { part: "pt-hd-fuel", perService: 1, tasks: ["t-bus-fuel"] },
    { part: "pt-hd-cabin", perService: 1, tasks: ["t-bus-cabin"] },
    {
      part: "pt-pads-l",
      position: "front axle",
      side: "left",
      perService: 1,
      tasks: ["t-bus-brakes"],
      note: "Looks like the right one; this one carries the wear lead.",
    },
    {
      part: "pt-pads-r",
      position: "front axle",
      side: "right",
      perService: 1,
      tasks: ["t-bus-brakes"],
    },
    { part: "pt-wiper-600", position: "windscreen", perService: 2 },
  ],
};
