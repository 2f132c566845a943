import type { MachineRecords } from "../book/slice/machineRecords.js";
import type { Machine } from "../book/records/machine.js";
import type { Settings } from "../book/records/settings.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { reckonMeters, type MeterReckoning } from "../meter/reckonMeter.js";
import { completionsByTask } from "./completion.js";
import { reckonTask, type TaskReckoning } from "./reckonTask.js";
import type { MachineState } from "./taskDue.js";
import { taskMarks } from "./taskMarks.js";

/** What is due on a machine on a day, and why. */
export interface MachineReckoning {
  readonly machine: Machine;
  readonly meters: readonly MeterReckoning[];
  readonly tasks: readonly TaskReckoning[];
}

/** The due rules for one machine on `today`; meters and tasks in the order of the file. */
export function reckonMachine(
  records: MachineRecords,
  settings: Settings,
  today: DayNumber,
): MachineReckoning {
  const state = machineState(records, settings, today);
  return {
    machine: records.machine,
    meters: [...state.meters.values()],
    tasks: records.tasks.map((task) => reckonTask(task, state, settings)),
  };
}

/** A machine as the due rules see it on `today`. */
export function machineState(
  records: MachineRecords,
  settings: Settings,
  today: DayNumber,
): MachineState {
  return {
    machine: records.machine,
    today,
    meters: reckonMeters(records, settings, today),
    completions: completionsByTask(records.entries, today),
    tasks: new Map(records.tasks.map((task) => [task.id, task])),
    marks: taskMarks(records.entries, records.machine.reminders ?? [], today),
    inside: records.inside,
  };
}
