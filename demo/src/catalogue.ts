import type { Bay, Part, PartId, Person, Place, Product } from "@yonderfell/core";
import { q } from "./plate.js";

/** The fluids Skarrow Vale buys. All names are made up. */
export const PRODUCTS = [
  {
    id: "p-tarn-5w30",
    name: "Tarnside Semi 5W-30",
    kind: "engine oil",
    grade: "5W-30",
    base: "part synthetic",
    claims: ["SN", "CF", "A5/B5"],
    packs: [
      {
        quantity: q(5, "L"),
        prices: [
          { source: "Netherby Stores", price: 29.5 },
          { source: "Corrie Factors", price: 31.9 },
        ],
      },
      {
        quantity: q(20, "L"),
        prices: [
          { source: "Netherby Stores", price: 122 },
          { source: "Corrie Factors", price: 108 },
        ],
      },
    ],
  },
  {
    id: "p-fell-15w40",
    name: "Fellmaster 15W-40",
    kind: "engine oil",
    grade: "15W-40",
    base: "mineral",
    claims: ["CK-4", "CI-4 PLUS", "SN", "E7"],
    packs: [
      { quantity: q(20, "L"), prices: [{ source: "Corrie Factors", price: 82 }] },
      { quantity: q(60, "L"), prices: [{ source: "Corrie Factors", price: 219 }] },
    ],
    least: q(20, "L"),
  },
  {
    id: "p-fell-10w40",
    name: "Fellmaster Long 10W-40",
    kind: "engine oil",
    grade: "10W-40",
    base: "part synthetic",
    claims: ["CK-4", "E6", "E7"],
    packs: [{ quantity: q(20, "L"), prices: [{ source: "Corrie Factors", price: 121 }] }],
  },
  {
    id: "p-ling-10w40",
    name: "Lingmoor Wet Clutch 10W-40",
    kind: "engine oil",
    grade: "10W-40",
    base: "part synthetic",
    claims: ["SL", "JASO MA2"],
    packs: [{ quantity: q(1, "L"), prices: [{ source: "Netherby Stores", price: 11.2 }] }],
  },
  {
    id: "p-gear-80w90",
    name: "Ghyll Gear 80W-90",
    kind: "gear oil",
    grade: "80W-90",
    base: "mineral",
    claims: ["GL-4"],
    packs: [{ quantity: q(20, "L"), prices: [{ source: "Corrie Factors", price: 94 }] }],
  },
  {
    id: "p-axle-85w140",
    name: "Ghyll Axle 85W-140",
    kind: "differential oil",
    grade: "85W-140",
    base: "mineral",
    claims: ["GL-5"],
    packs: [{ quantity: q(20, "L"), prices: [{ source: "Corrie Factors", price: 99 }] }],
  },
  {
    id: "p-hyd-46",
    name: "Beckflow 46",
    kind: "hydraulic oil",
    grade: "46",
    base: "mineral",
    claims: ["HLP 46"],
    packs: [{ quantity: q(20, "L"), prices: [{ source: "Corrie Factors", price: 71 }] }],
  },
  {
    id: "p-cool-oat",
    name: "Rime Long Life",
    kind: "coolant",
    coolantFamily: "organic acid",
    claims: ["SV-OA 2"],
    packs: [{ quantity: q(5, "L"), prices: [{ source: "Netherby Stores", price: 24 }] }],
  },
  {
    id: "p-cool-conv",
    name: "Rime Classic",
    kind: "coolant",
    coolantFamily: "conventional",
    claims: [],
    packs: [{ quantity: q(5, "L"), prices: [{ source: "Netherby Stores", price: 15.5 }] }],
  },
  {
    id: "p-brake-4",
    name: "Screefast 4",
    kind: "brake fluid",
    brakeType: "4",
    claims: ["DOT 4"],
    packs: [{ quantity: q(1, "L"), prices: [{ source: "Netherby Stores", price: 9.8 }] }],
  },
] as unknown as readonly Product[];

const part = (
  id: string,
  name: string,
  kind: string,
  number: string,
  price: number,
  more: Partial<Part> = {},
): Part =>
  ({
    ...{ id, name, kind, number, prices: [{ source: "Corrie Factors", price }] },
    ...more,
  }) as Part;

/** The parts Skarrow Vale keeps numbers of. All are made up. */
export const PARTS: readonly Part[] = [
  part("pt-hd-oilf", "Oil filter, spin-on", "filter", "HD 4510", 14.6, {
    equivalents: ["CF-210"],
    least: 2,
    note: "Seal comes with it. Check the old ring came off.",
  }),
  part("pt-hd-air", "Air filter element", "filter", "HD 4530", 38),
  part("pt-hd-fuel", "Fuel filter with water trap", "filter", "HD 4521", 29.5, {
    supersededBy: "HD 4521B",
  }),
  part("pt-hd-kit", "Filter kit: filter, two washers", "kit", "KF 4510", 16.4, {
    contains: [
      { part: "pt-hd-oilf" as PartId, count: 1 },
      { part: "pt-washer-24" as PartId, count: 1 },
      { part: "pt-washer-14" as PartId, count: 1 },
    ],
    note: "One washer fits; the other goes to the shelf.",
  }),
  part("pt-hd-fuel-b", "Fuel filter with water trap", "filter", "HD 4521B", 31.4),
  part("pt-hd-cabin", "Cabin filter", "filter", "HD 4590", 17),
  part("pt-hd-belt", "Auxiliary belt, 8 ribs", "belt", "HD 4760", 41),
  part("pt-washer-24", "Copper washer 24 mm", "seal", "W 24", 0.6, { pack: 10, least: 10 }),
  part("pt-washer-14", "Aluminium washer 14 mm", "seal", "W 14", 0.35, { pack: 10 }),
  part("pt-pads-l", "Brake pads, front left with wear lead", "brake pads", "HD 4612 L", 66),
  part("pt-pads-r", "Brake pads, front right", "brake pads", "HD 4612 R", 61),
  part("pt-tol-oilf", "Oil filter, spin-on", "filter", "T 58-102", 9.8, {
    equivalents: ["CF-118"],
  }),
  part("pt-tol-air", "Air filter element, outer", "filter", "T 58-140", 22),
  part("pt-tol-hyd", "Hydraulic return filter", "filter", "T 58-171", 27),
  part("pt-flail", "Flail, forged", "wear part", "BV 160-12", 4.1, { pack: 12 }),
  part("pt-rotor-belt", "Rotor belt, matched set of 3", "belt", "BV 160-40", 58),
  part("pt-cor-oilf", "Oil filter, spin-on", "filter", "P 14-01", 7.4, { equivalents: ["CF-077"] }),
  part("pt-cor-plug", "Spark plug, long reach", "plug", "P 14-22", 6.9, {
    note: "Two reaches exist for this engine; this one is 26.5 mm.",
  }),
  part("pt-cor-air", "Air filter", "filter", "P 14-10", 11),
  part("pt-small-plug", "Spark plug, small engine", "plug", "S 7", 3.2),
  part("pt-small-air", "Foam air filter", "filter", "S 31", 5.5),
  part("pt-wiper-600", "Wiper blade 600 mm", "wiper", "WB 600", 12),
];

/** Those who work in the shed. */
export const PEOPLE = [
  {
    id: "pe-thwaite",
    name: "Edda Thwaite",
    initials: "ET",
    rate: 42,
    hoursAWeek: 6,
    skills: ["gas"],
  },
  { id: "pe-rigg", name: "Joss Rigg", initials: "JR", rate: 38, hoursAWeek: 4 },
] as unknown as readonly Person[];

/** Where things stand. */
export const PLACES = [
  { id: "pl-shed", name: "Long Shed" },
  { id: "pl-moss", name: "Moss Barn" },
  { id: "pl-top", name: "Top Station" },
  { id: "pl-home", name: "At home" },
] as unknown as readonly Place[];

/** Where work is done. */
export const BAYS = [
  { id: "ba-pit", name: "Pit", place: "pl-shed", hoursAWeek: 40, takes: ["pit", "long"] },
  { id: "ba-floor", name: "Flat floor", place: "pl-shed", hoursAWeek: 40 },
] as unknown as readonly Bay[];
