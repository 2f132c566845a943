import {
  addDays,
  formatDay,
  weekdayOf,
  type DayNumber,
  type Machine,
  type Visit,
} from "@yonderfell/core";
import type { ScenarioMachine } from "./scenario.js";

/** A visit that the shed has decided on, by days from the day of the book. */
interface ScenarioVisit {
  readonly id: string;
  readonly machine: string;
  readonly tasks: readonly string[];
  readonly acceptedDaysAgo: number;
  readonly inDays: number;
  readonly isPinned?: boolean;
  readonly note?: string;
}

const VISITS: readonly ScenarioVisit[] = [
  {
    id: "v-mower",
    machine: "m-mower",
    tasks: ["t-mower-air", "t-mower-oil", "t-mower-extinguisher"],
    acceptedDaysAgo: 6,
    inDays: 8,
  },
  {
    id: "v-hatch",
    machine: "m-hatch",
    tasks: ["t-hatch-test"],
    acceptedDaysAgo: 12,
    inDays: 3,
    isPinned: true,
    note: "Ramp at Nether Skarrow from nine.",
  },
  {
    id: "v-pump",
    machine: "m-pump",
    tasks: ["t-pump-air", "t-pump-seal"],
    acceptedDaysAgo: 20,
    inDays: -3,
  },
];

const SATURDAY = 6;

/** The visits of the demonstration: on a working day, so that the shed is open. */
export function visitsOf(today: DayNumber): Visit[] {
  return VISITS.map(({ acceptedDaysAgo, inDays, isPinned, tasks, ...visit }) => ({
    ...visit,
    date: formatDay(workday(addDays(today, inDays))),
    tasks: [...tasks],
    accepted: formatDay(addDays(today, -acceptedDaysAgo)),
    ...(isPinned === true ? { pinned: true } : {}),
  })) as unknown as Visit[];
}

/** A day or, at a weekend, the Friday before it. */
function workday(day: DayNumber): DayNumber {
  return addDays(day, -Math.max(0, weekdayOf(day) - SATURDAY + 1));
}

/** The days a machine cannot be spared: as the scenario has them, and the spans of days around today. */
export function neededOf(machine: ScenarioMachine, today: DayNumber): Pick<Machine, "needed"> {
  const spans = (machine.neededSpans ?? []).map(({ fromDays, toDays, ...need }) => ({
    ...need,
    from: formatDay(addDays(today, fromDays)),
    to: formatDay(addDays(today, toDays)),
  }));
  const all = [...(machine.facts?.needed ?? []), ...spans];
  return all.length === 0 ? {} : { needed: all };
}
