import type { Settings } from "../book/records/settings.js";
import type { MachineRecords } from "../book/slice/machineRecords.js";
import { addDays, dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { hasReached } from "../meter/life.js";
import { lifeOn } from "../meter/lifeLine.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";
import { pastStates } from "../schedule/pastStates.js";
import type { MachineState } from "../schedule/machineState.js";
import { machineState } from "../schedule/reckonMachine.js";
import type { NeedsSource } from "../stores/taskNeeds.js";
import { occurrences } from "./occurrences.js";
import { inSchool, schoolsOf, schoolSumOf, type SchoolSum } from "./schools.js";

/** What each school would have asked for over the years that a book has of a machine, beside what was done. */
export interface Hindsight {
  /** From the first record of it to today. */
  readonly from: DayNumber;
  readonly to: DayNumber;
  readonly schools: readonly SchoolSum[];
  /** The turns that were done in those days, reckoned as the schools are: what they would take, not what was paid. */
  readonly done: SchoolSum;
  /** Tasks tested sound in those days, which put a turn off, and what was found. */
  readonly tests: readonly {
    readonly task: string;
    readonly on: DayNumber;
    readonly found: string | null;
  }[];
}

/** The first day of which the book has a figure or work of a machine; null where it has none. */
function firstDay({ readings, entries, rounds }: MachineRecords): DayNumber | null {
  const days = [
    ...readings.map(({ date }) => dayOf(date)),
    ...entries.map(({ day }) => day),
    ...rounds.map(({ day }) => day),
  ];
  return days.length === 0 ? null : (Math.min(...days) as DayNumber);
}

/** The first day from a day on, up to the last that is known, on which a meter had reached a life. */
function reachInPast(
  { kept, rate, running, today }: MeterReckoning,
  due: number,
  from: DayNumber,
): DayNumber | null {
  const hasThen = (day: DayNumber): boolean => {
    const life = lifeOn(kept, rate.perDay, day, running);
    return life !== null && hasReached(life, due);
  };
  if (hasThen(from)) return from;
  if (!hasThen(today)) return null;
  let [low, high] = [from, today];
  while (high - low > 1) {
    const middle = addDays(low, Math.floor((high - low) / 2));
    if (hasThen(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/**
 * What each school would have asked for on one machine from the first record of it to `today`, the machine having run as it
 * did: each turn done on the day it fell due, overrides of single tasks left out. Null where the book has no record of it.
 */
export function schoolsInHindsight(
  records: MachineRecords,
  settings: Settings,
  source: NeedsSource,
  today: DayNumber,
): Hindsight | null {
  const from = firstDay(records);
  if (from === null || from >= today) return null;
  const schools = schoolsOf(records.tasks).map((school) => {
    const followed = inSchool(records, school);
    const latest = machineState(followed, settings, today);
    const then = pastStates(followed, settings, today)(from);
    const state: MachineState = { ...then, meters: latest.meters };
    const found = occurrences(state, today, reachInPast);
    return schoolSumOf(school, followed.tasks, state, found, source);
  });
  const inside = records.entries.filter(({ day }) => day > from && day <= today);
  const turns = inside
    .filter(({ record }) => record.assumed !== true)
    .flatMap(({ day, record }) => [...new Set(record.tasks)].map((task) => ({ task, day })));
  const regime = records.machine.regime ?? "handbook";
  const now = machineState(records, settings, today);
  return {
    ...{ from, to: today, schools },
    done: schoolSumOf(regime, records.tasks, now, turns, source),
    tests: inside.flatMap(({ day, record }) =>
      (record.lookAgain ?? []).map(({ task, found }) => ({ task, on: day, found: found ?? null })),
    ),
  };
}
