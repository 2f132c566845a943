import { DEFAULT_PLANNING, settingsOf, type Planning } from "../src/book/records/settings.js";
import { addDays, dayOf, formatDay, type DayNumber } from "../src/calendar/dayNumber.js";
import type { MachinePlan } from "../src/plan/visits/planMachine.js";
import type { PlannedVisit } from "../src/plan/visits/plannedVisit.js";
import { visitsOfMachine, type PlanSource } from "../src/plan/visits/visitsOfMachine.js";
import type { Journey } from "../src/book/records/journey.js";
import { machineBookOf } from "../src/book/slice/machineBook.js";
import { EMPTY_PLATE } from "../src/book/slice/machinePlate.js";
import type { Visit } from "../src/book/records/visit.js";
import { bookOf, type BookParts } from "./books.js";

/** A Monday. */
export const TODAY = dayOf("2026-11-23");

/** A source without prices or rates, so that a turn is worth the least there is. */
export function sourceOf(planning: Partial<Planning> = {}): PlanSource {
  return {
    settings: settingsOf({}),
    planning: { ...DEFAULT_PLANNING, ...planning },
    parts: [],
    products: [],
    rate: null,
  };
}

/** A visit of the van as the book holds it. */
export function visit(
  date: string,
  tasks: readonly string[],
  more: Partial<Record<keyof Visit, unknown>> = {},
): Visit {
  return {
    id: `v-${date}`,
    machine: "van",
    date,
    tasks,
    accepted: "2026-11-01",
    ...more,
  } as unknown as Visit;
}

/** The plan of the van. */
export function planOf(
  parts: BookParts,
  visits: readonly Visit[] = [],
  planning: Partial<Planning> = {},
  today: DayNumber = TODAY,
  journeys: readonly Journey[] = [],
): MachinePlan {
  const book = machineBookOf(bookOf(parts), "van" as never);
  if (book === null) throw new Error("no van");
  return visitsOfMachine(book, EMPTY_PLATE, { visits, journeys }, sourceOf(planning), today);
}

/** A visit in a line: `2026-12-04 oil wash`, with `*` where the book holds it. */
export function lineOf({ day, visit: held, turns }: PlannedVisit): string {
  const tasks = turns.map(({ task }) => task).sort();
  return [`${formatDay(day)}${held === null ? "" : "*"}`, ...tasks].join(" ");
}

/** The date so many days from today. */
export function inDays(days: number): string {
  return formatDay(addDays(TODAY, days));
}
