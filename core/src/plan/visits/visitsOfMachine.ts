import type { MachineBook } from "../../book/machineBook.js";
import type { MachinePlate } from "../../book/machinePlate.js";
import { recordsByMachine } from "../../book/machineRecords.js";
import type { Part } from "../../book/part.js";
import type { Product } from "../../book/product.js";
import type { Planning, Settings } from "../../book/settings.js";
import type { Visit } from "../../book/visit.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { machineState } from "../../schedule/reckonMachine.js";
import { planMachine, type MachinePlan } from "./planMachine.js";
import { turnsOf } from "./turnsOf.js";

const DAYS_A_WEEK = 7;

/** What the plan of a machine needs of the rest of the book. */
export interface PlanSource {
  readonly settings: Settings;
  readonly planning: Planning;
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  /** What an hour of work costs; null where nobody has a rate. */
  readonly rate: number | null;
}

/** The last day that visits are proposed for. */
export function planUntil(today: DayNumber, { weeks }: Pick<Planning, "weeks">): DayNumber {
  return addDays(today, weeks * DAYS_A_WEEK);
}

/** The visits of a machine as the book holds and the plan proposes them, from `today` over the weeks of the settings. */
export function visitsOfMachine(
  book: MachineBook,
  plate: MachinePlate,
  visits: readonly Visit[],
  { settings, planning, parts, products, rate }: PlanSource,
  today: DayNumber,
): MachinePlan {
  const [machine] = book.machines;
  const records = recordsByMachine(book).get(machine.id);
  if (records === undefined) return { visits: [], missed: [], turns: [], left: [], issues: [] };
  const state = machineState(records, settings, today);
  const until = planUntil(today, planning);
  const needs = { plate, parts, products, rate };
  return planMachine(
    state,
    turnsOf(state, settings, planning, needs, until),
    visits,
    planning,
    until,
  );
}
