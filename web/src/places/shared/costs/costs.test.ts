import {
  dayOf,
  NO_TASK,
  spanOf,
  type BesideKind,
  type BoardMachine,
  type CostGroup,
  type CostGrouping,
  type MachineCost,
  type Meter,
} from "@yonderfell/core";
import type { CostsTold } from "../../../work/costs.worker.js";
import { besideWords, groupName } from "./groupWords.js";
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

test("what a unit run cost stands with how far it ran, and beside the kind with how many", () => {
  const one = { machine: "m", meter: "odo", unit: "km", run: 11800, perUnit: 0.0855 } as const;
  const said = (ofKind: number, median: number | null): string[] =>
    plain([besideWords({ ...one, ofKind, median } as unknown as BesideKind, "cr")]);
  expect(said(1, null)).toEqual(["0.086 cr a km over 11 800 km; alone of its kind"]);
  expect(said(3, 0.09)).toEqual([
    "0.086 cr a km over 11 800 km; the 3 of its kind 0.090 in the middle",
  ]);
});

test("groups are called as people call them; what did no task says what it was", () => {
  const machines = [{ machine: { id: "m", tag: "07", name: "Bus" } }] as unknown as BoardMachine[];
  const places = [{ id: "p", name: "Shed" }] as unknown as CostsTold["places"];
  const named = (by: CostGrouping, key: string): string => {
    const { tag, name } = groupName(by, { key } as CostGroup, machines, places);
    return `${tag} ${name}`.trim().replaceAll("\u00a0", " ");
  };
  expect(named("machine", "m")).toBe("07 Bus");
  expect(named("place", "p")).toBe("Shed");
  expect(named("place", "")).toBe("no place");
  expect(named("task", "Oil")).toBe("Oil");
  expect(named("task", NO_TASK.topUp)).toBe("topped up");
  expect(named("month", "2026-11")).toBe("Nov 2026");
});
