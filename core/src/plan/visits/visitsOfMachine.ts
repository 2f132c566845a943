import type { Journey } from "../../book/records/journey.js";
import type { Machine } from "../../book/records/machine.js";
import type { MachineBook } from "../../book/slice/slice.js";
import type { MachinePlate } from "../../book/slice/machinePlate.js";
import { recordsByMachine } from "../../book/slice/machineRecords.js";
import type { Part } from "../../book/records/part.js";
import type { Product } from "../../book/records/product.js";
import type { Planning, Settings } from "../../book/records/settings.js";
import type { Needed } from "../../book/records/service.js";
import type { Visit } from "../../book/records/visit.js";
import { addDays, formatDay, type DayNumber } from "../../calendar/dayNumber.js";
import { machineState } from "../../schedule/reckonMachine.js";
import { journeyDays } from "../journeys/journeyRun.js";
import { planMachine, type MachinePlan, type ToPlan } from "./planMachine.js";
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

/** What the book has planned for a machine. */
export interface Planned {
  readonly visits: readonly Visit[];
  readonly journeys: readonly Journey[];
}

/** A machine as it is planned for: it cannot be spared on the days of its journeys. */
export function awayOn(machine: Machine, journeys: readonly Journey[], today: DayNumber): Machine {
  if (journeys.length === 0) return machine;
  const away = journeys.map((journey): Needed => {
    const { date: from, name: reason } = journey;
    return { from, to: formatDay(journeyDays(journey, today).returns), reason };
  });
  return { ...machine, needed: [...(machine.needed ?? []), ...away] };
}

/** What the visits of a machine are planned from; null where the book has no such machine. */
export function machineToPlan(
  book: MachineBook,
  plate: MachinePlate,
  { visits, journeys }: Planned,
  { settings, planning, parts, products, rate }: PlanSource,
  today: DayNumber,
): ToPlan | null {
  const [machine] = book.machines;
  const records = recordsByMachine(book).get(machine.id);
  if (records === undefined) return null;
  const own = machineState(records, settings, today);
  const state = { ...own, machine: awayOn(machine, journeys, today) };
  const until = planUntil(today, planning);
  const needs = { plate, parts, products, rate };
  const turns = turnsOf(state, settings, planning, needs, until);
  return { state, turns, visits, planning, until };
}

/**
 * The visits of a machine as the book holds and the plan proposes them, from `today` over the weeks of the
 * settings; none is proposed for a day of a journey.
 */
export function visitsOfMachine(
  book: MachineBook,
  plate: MachinePlate,
  planned: Planned,
  source: PlanSource,
  today: DayNumber,
): MachinePlan {
  const given = machineToPlan(book, plate, planned, source, today);
  if (given === null) return { visits: [], missed: [], turns: [], left: [], issues: [] };
  return planMachine(given);
}
