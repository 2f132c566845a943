import type { Entry } from "@yonderfell/core";
import { workWords, type WorkNames } from "./workWords.js";

const NAMES: WorkNames = {
  fluid: (id) => ({ sump: "engine" })[id] ?? id,
  product: (id) => ({ fell: "Fellmaster 15W-40" })[id] ?? id,
  part: (id) => ({ filter: "HD 4510 Oil filter" })[id] ?? id,
  person: (id) => ({ edda: "Edda Tarn" })[id] ?? id,
  finding: (id) => ({ pads: "Pads at 2.8 mm, front" })[id] ?? id,
  currency: "cr",
};
const L = (value: number): object => ({ value, unit: "L" });
const words = (entry: object): string[] =>
  workWords(entry as Entry, NAMES).map((piece) => piece.replaceAll("\u00a0", " "));

test("an entry tells what went in and out, parts, who, bills, and what it came to", () => {
  expect(
    words({
      fluids: [{ fluid: "sump", product: "fell", out: L(11.9), in: L(12.6), price: 5 }],
      parts: [
        { part: "filter", count: 1, price: 10 },
        { part: "washer", count: 2 },
      ],
      work: [{ person: "edda", minutes: 60, rate: 40 }],
      costs: [{ what: "alignment", amount: 7, kind: "shop" }],
      measures: [{ name: "pad, left", readings: [{ value: 9, unit: "mm" }], verdict: "sound" }],
    }),
  ).toEqual([
    "engine 12.6 L Fellmaster 15W-40, 11.9 L came out",
    "HD 4510 Oil filter",
    "2 × washer",
    "pad, left: 9 mm, sound",
    "Edda Tarn 60 min",
    "alignment (shop)",
    "120.00 cr, 1 line without a price",
  ]);
});

test.each([
  [{}, []],
  [{ tasks: ["oil"], warranty: true }, []],
  [{ closes: ["pads", "gone"] }, ["put right: Pads at 2.8 mm, front", "put right: gone"]],
  [
    { work: [{ person: "a guest", minutes: 30, rate: 40 }], warranty: true },
    ["a guest 30 min", "20.00 cr, under warranty"],
  ],
  [{ fluids: [{ fluid: "sump", out: L(3) }] }, ["engine, 3 L came out", "0.00 cr"]],
])("what %j took is told as %j", (entry, expected) => {
  expect(words(entry)).toEqual(expected);
});
