import { dayOf, spanOf, type MachineCost, type Meter } from "@yonderfell/core";
import { apartWords, monthWords, runWords, totalWords } from "./costWords.js";

const TODAY = dayOf("2026-11-23");
const NO_DAYS = { from: "", to: "" };
const plain = (words: readonly string[]): string[] =>
  words.map((one) => one.replaceAll("\u00a0", " "));

const METERS = [
  { id: "odo", kind: "odometer", unit: "km" },
  { id: "hrs", kind: "hours", unit: "h" },
] as unknown as Meter[];
const cost = (meters: object[]): MachineCost =>
  ({
    ...{ id: "m", parts: 1, fluids: 2, work: 3, other: 4, total: 10, missing: 1, warranty: 5 },
    meters,
  }) as unknown as MachineCost;

test.each([
  [[{ id: "odo", run: 11800, perUnit: 0.0855 }], ["0.086 cr a km over 11 800 km"]],
  [[{ id: "hrs", run: 40.25, perUnit: 3.414 }], ["3.41 cr an hour over 40.3 h"]],
  [[{ id: "odo", run: 0, perUnit: null }], ["0 km run"]],
  [[{ id: "odo", run: 90, perUnit: null }], ["90 km run since its figures begin; no cost a km"]],
  [[{ id: "odo", run: null, perUnit: null }], []],
  [[{ id: "gone", run: 9, perUnit: 1 }], []],
])("of %j it says %j", (meters, words) => {
  expect(plain(runWords(cost(meters), METERS, "cr"))).toEqual(words);
});

test("what came under warranty and what has no price stand apart; nothing is said of none", () => {
  expect(plain(apartWords(5, 2, "cr"))).toEqual([
    "5.00 cr under warranty, not in it",
    "2 lines without a price counted as nothing",
  ]);
  expect(apartWords(0, 0, "cr")).toEqual([]);
});

test("from when to when", () => {
  const span = { from: dayOf("2026-01-01"), to: TODAY };
  expect(plain([totalWords(12.5, "cr", span)])).toEqual([
    "12.50 cr from 1 Jan 2026 to 23 Nov 2026",
  ]);
  const all = spanOf("all", TODAY, NO_DAYS);
  expect(all === null ? [] : plain([totalWords(1, "", all)])).toEqual(["1.00 up to 23 Nov 2026"]);
  expect(plain([monthWords("2026-03")])).toEqual(["Mar 2026"]);
});
