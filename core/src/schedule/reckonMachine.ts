import type { MachineRecords } from "../book/slice/machineRecords.js";
import type { FluidId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import type { Settings } from "../book/records/settings.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { reckonMeters, type MeterReckoning } from "../meter/reckonMeter.js";
import { completionsByTask } from "./completion.js";
import { reckonFindings, type FindingReckoning } from "./findingsDue.js";
import { productsInside, type ProductInside } from "./inside.js";
import { reckonTask, type TaskReckoning } from "./reckonTask.js";
import type { MachineState } from "./machineState.js";
import { taskMarks } from "./taskMarks.js";

/** What is due on a machine on a day, and why. */
export interface MachineReckoning {
  readonly machine: Machine;
  readonly meters: readonly MeterReckoning[];
  readonly tasks: readonly TaskReckoning[];
  /** Its open findings (due rules §15). */
  readonly findings: readonly FindingReckoning[];
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
    findings: reckonFindings(records, state, settings),
  };
}

/** The kinds of the product in a fluid system, looked up when first asked: few machines have limits that depend on it. */
export function kindsInsideOf(
  records: Pick<MachineRecords, "fluids" | "tasks" | "entries" | "shared">,
  today: DayNumber,
): MachineState["kindsInside"] {
  let inside: ReadonlyMap<FluidId, ProductInside> | null = null;
  return (fluid) => {
    inside ??= productsInside(records, today);
    const id = inside.get(fluid)?.product;
    const product = id === undefined ? undefined : records.shared.products.get(id);
    const kinds = [product?.base, product?.coolantFamily].flatMap((kind) => kind ?? []);
    return kinds.length === 0 ? undefined : kinds;
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
    kindsInside: kindsInsideOf(records, today),
    rounds: records.rounds,
    checklists: records.shared.checklists,
  };
}
