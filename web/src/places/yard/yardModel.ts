import {
  currentStop,
  firstTask,
  machinesInOrder,
  type BoardMachine,
  type Place,
} from "@yonderfell/core";

import { STATUS_WORD } from "../../words/statusWords.js";

/** How the machines of the Yard are put in order. */
export const YARD_ORDERS = ["number", "name", "kind", "most pressing"] as const;
type YardOrder = (typeof YARD_ORDERS)[number];

/** What the machines of the Yard are put together by. */
export const YARD_GROUPS = ["none", "place", "kind", "state"] as const;
type YardGroup = (typeof YARD_GROUPS)[number];

/** How the Yard is looked at. */
export interface YardView {
  readonly words: string;
  readonly order: YardOrder;
  readonly group: YardGroup;
}

/** A line of the Yard: the heading of a group, or a machine. */
export type YardLine =
  | { readonly code: "group"; readonly name: string; readonly count: number }
  | { readonly code: "machine"; readonly machine: BoardMachine };

const byWords = new Intl.Collator(undefined, { numeric: true });
const ELSEWHERE = "No place recorded";

/** Where a machine lives, empty where that is not recorded. */
export function placeName(machine: BoardMachine, places: readonly Place[]): string {
  const { place } = machine.machine;
  return places.find((one) => one.id === place)?.name ?? "";
}

/** Everything of a machine that words are looked for in. */
function searched(machine: BoardMachine, places: readonly Place[]): string {
  const { tag, name, kind, description, vin, serial, registration } = machine.machine;
  return [tag, name, kind, description, vin, serial, registration, placeName(machine, places)]
    .join(" ")
    .toLowerCase();
}

function inOrder(machines: readonly BoardMachine[], order: YardOrder): BoardMachine[] {
  if (order === "most pressing") return machinesInOrder(machines);
  const key = order === "number" ? "tag" : order;
  return [...machines].sort(
    (one, other) =>
      byWords.compare(one.machine[key], other.machine[key]) ||
      byWords.compare(one.machine.tag, other.machine.tag),
  );
}

function groupOf(machine: BoardMachine, group: YardGroup, places: readonly Place[]): string {
  switch (group) {
    case "none":
      return "";
    case "place":
      return placeName(machine, places) || ELSEWHERE;
    case "kind":
      return machine.machine.kind;
    case "state": {
      if (currentStop(machine.machine) !== null) return "out of service";
      const first = firstTask(machine);
      return first === null ? "no tasks" : STATUS_WORD[first.status];
    }
  }
}

/** The machines that fit all the words, in the order asked for, under the headings asked for. */
export function yardLines(
  machines: readonly BoardMachine[],
  places: readonly Place[],
  { words, order, group }: YardView,
): YardLine[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const found = machines.filter((machine) => {
    if (wanted.length === 0) return true;
    const text = searched(machine, places);
    return wanted.every((word) => text.includes(word));
  });
  const sorted = inOrder(found, order);
  if (group === "none") return sorted.map((machine) => ({ code: "machine", machine }));
  const groups = new Map<string, BoardMachine[]>();
  for (const machine of sorted) {
    const name = groupOf(machine, group, places);
    groups.set(name, [...(groups.get(name) ?? []), machine]);
  }
  const names = [...groups.keys()].sort((one, other) => byWords.compare(one, other));
  return names.flatMap((name): YardLine[] => {
    const own = groups.get(name) ?? [];
    const lines = own.map((machine): YardLine => ({ code: "machine", machine }));
    return [{ code: "group", name, count: own.length }, ...lines];
  });
}
