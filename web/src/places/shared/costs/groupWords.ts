import {
  NO_TASK,
  type BesideKind,
  type BoardMachine,
  type CostGroup,
  type CostGrouping,
} from "@yonderfell/core";
import type { CostsTold } from "../../../work/costs.worker.js";
import { amount, figure, NBSP } from "../../../words/format.js";
import { monthWords, rateFigure } from "./costWords.js";

/** What costs are told apart by, in words. */
export const GROUPING_WORDS = {
  machine: "machine",
  kind: "kind",
  place: "place",
  task: "task",
  month: "month",
  year: "year",
} as const satisfies Record<CostGrouping, string>;

const NO_TASK_WORDS: ReadonlyMap<string, string> = new Map([
  [NO_TASK.topUp, "topped up"],
  [NO_TASK.found, "what was found"],
  [NO_TASK.other, "other work, no task"],
]);

/** What a group is called, and its number where it is a machine. */
export function groupName(
  by: CostGrouping,
  { key }: CostGroup,
  machines: readonly BoardMachine[],
  places: CostsTold["places"],
): { readonly tag: string; readonly name: string } {
  const named = (name: string) => ({ tag: "", name });
  switch (by) {
    case "machine": {
      const machine = machines.find((one) => one.machine.id === key)?.machine;
      return machine === undefined ? named(key) : { tag: machine.tag, name: machine.name };
    }
    case "place":
      return named(key === "" ? "no place" : (places.find(({ id }) => id === key)?.name ?? key));
    case "task":
      return named(NO_TASK_WORDS.get(key) ?? key);
    case "month":
      return named(monthWords(key));
    case "kind":
    case "year":
      return named(key);
  }
}

const ONE = { km: "a km", mi: "a mile", h: "an hour" } as const;

/** What a unit run cost, over how much, beside its kind: `0.086 cr a km over 11 800 km; the 3 of its kind 0.091 in the middle`. */
export function besideWords(
  { unit, run, perUnit, ofKind, median }: BesideKind,
  currency: string,
): string {
  const money = currency === "" ? "" : `${NBSP}${currency}`;
  const own = `${rateFigure(perUnit)}${money} ${ONE[unit]} over ${amount(run, unit)}`;
  return median === null
    ? `${own}; alone of its kind`
    : `${own}; the ${figure(ofKind)} of its kind ${rateFigure(median)} in the middle`;
}
