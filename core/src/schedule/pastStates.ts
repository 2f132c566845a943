import type { TaskId } from "../book/records/ids.js";
import type { Settings } from "../book/records/settings.js";
import type { MachineRecords } from "../book/slice/machineRecords.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { meterAsOf } from "../meter/reckonMeter.js";
import type { Completion } from "./completion.js";
import type { MachineState } from "./machineState.js";
import { kindsInsideOf, machineState } from "./reckonMachine.js";
import { saysMore, taskMarks } from "./taskMarks.js";

/** The first of some completions, in order of date, that are dated up to a day. */
function upTo(all: readonly Completion[], day: DayNumber): readonly Completion[] {
  const after = all.findIndex((one) => one.day > day);
  return after === -1 ? all : all.slice(0, after);
}

/**
 * A machine as the due rules see it on many earlier days, each by what is dated up to it. Reckons its meters once: a
 * figure that is known by now to be at fault is left out on each of them.
 *
 * @param until the last day that is asked for.
 */
export function pastStates(
  records: MachineRecords,
  settings: Settings,
  until: DayNumber,
): (day: DayNumber) => MachineState {
  const latest = machineState(records, settings, until);
  const said = records.entries.filter(({ record }) => saysMore(record));
  const filled = records.entries.filter(({ record }) => record.fluids !== undefined);
  const reminders = records.machine.reminders ?? [];
  return (day) => ({
    ...latest,
    today: day,
    meters: new Map(
      [...latest.meters].map(([id, reckoning]) => [id, meterAsOf(reckoning, settings, day)]),
    ),
    completions: new Map<TaskId, readonly Completion[]>(
      [...latest.completions].map(([task, all]) => [task, upTo(all, day)]),
    ),
    marks: taskMarks(said, reminders, day),
    kindsInside: kindsInsideOf({ ...records, entries: filled }, day),
    rounds: records.rounds.filter((round) => round.day <= day),
  });
}
