import type { Checklist } from "../book/records/checklist.js";
import type { ChecklistId, FluidId, TaskId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import type { Round } from "../book/records/round.js";
import type { Task } from "../book/records/task.js";
import type { CurrentRecord } from "../book/slice/currentRecords.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import type { Completion, MeterReckonings } from "./completion.js";
import type { TaskMarks } from "./taskMarks.js";

/** A machine as the due rules see it on `today`: its meters and what was done when. */
export interface MachineState {
  readonly machine: Machine;
  readonly today: DayNumber;
  readonly meters: MeterReckonings;
  readonly completions: ReadonlyMap<TaskId, readonly Completion[]>;
  readonly tasks: ReadonlyMap<TaskId, Task>;
  readonly marks: TaskMarks;
  /** The kinds of the product in a fluid system (oil base, coolant family); undefined where nothing tells them. */
  readonly kindsInside: (fluid: FluidId) => readonly string[] | undefined;
  readonly rounds: readonly CurrentRecord<Round>[];
  readonly checklists: ReadonlyMap<ChecklistId, Checklist>;
}
