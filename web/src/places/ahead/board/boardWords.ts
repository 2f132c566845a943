import type { BoardColumn, BoardGrouping, BoardShown } from "@yonderfell/core";
import type { BoardLook } from "../../../session/boardLook.js";
import type { BoardNames } from "./boardGroups.js";

export const GROUPING_WORDS: readonly (readonly [BoardGrouping, string])[] = [
  ["machine", "machine"],
  ["place", "place"],
  ["person", "person"],
  ["kind", "kind"],
  ["state", "state"],
];

export const SHOWN_WORDS: readonly (readonly [BoardShown, string])[] = [
  ["all", "everything"],
  ["due", "what is due"],
  ["soon", "up to soon"],
];

export const COLUMN_WORDS: readonly (readonly [BoardColumn, string])[] = [
  ["state", "State"],
  ["machine", "Machine"],
  ["task", "Task"],
  ["likely", "Likely"],
  ["left", "Left"],
];

/** What is looked at, in words, for the head of a page: `what is due at Long Shed, by kind`; empty for everything. */
export function lookWords({ group, show, of }: BoardLook, names: BoardNames): string {
  const what = show === "all" ? "" : (SHOWN_WORDS.find(([key]) => key === show)?.[1] ?? "");
  const where =
    of === null
      ? ""
      : of.by === "kind"
        ? of.value
        : of.by === "place"
          ? `at ${names.places.get(of.value) ?? "a place"}`
          : `looked after by ${names.people.get(of.value) ?? "somebody"}`;
  const by = group === "machine" ? "" : `by ${GROUPING_WORDS.find(([key]) => key === group)?.[1]}`;
  const parted = [what, where].filter((part) => part !== "").join(" ");
  return [parted, by].filter((part) => part !== "").join(", ");
}
