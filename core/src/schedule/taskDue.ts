import type { TaskId } from "../book/ids.js";
import {
  isMeterLimit,
  type CalendarLimit,
  type Limit,
  type MeterLimit,
} from "../book/limitKind.js";
import type { Machine } from "../book/machine.js";
import { ownValue } from "../book/ownValue.js";
import type { Task } from "../book/task.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";
import type { Completion, MeterReckonings } from "./completion.js";
import { calendarDue, meterDue, type Due, type DueContext } from "./due.js";

/** A limit with where it is due, before any forecast. */
export type LimitDue =
  | {
      readonly kind: "meter";
      readonly limit: MeterLimit;
      readonly reckoning: MeterReckoning;
      readonly due: Due<number>;
    }
  | { readonly kind: "calendar"; readonly limit: CalendarLimit; readonly due: Due<DayNumber> };

/** A machine as the due rules see it on `today`: its meters and what was done when. */
export interface MachineState {
  readonly machine: Machine;
  readonly today: DayNumber;
  readonly meters: MeterReckonings;
  readonly completions: ReadonlyMap<TaskId, readonly Completion[]>;
  readonly tasks: ReadonlyMap<TaskId, Task>;
}

/** The regime every machine falls back on. */
export const DEFAULT_REGIME = "handbook";

/** The limits in force of a task and the name of their regime. */
export interface LimitsInForce {
  /** Null where the task has limits in none of the regimes it may follow. */
  readonly regime: string | null;
  readonly limits: readonly Limit[];
}

function limitsOf(task: Task, regime: string | null | undefined): LimitsInForce | null {
  if (regime === null || regime === undefined) return null;
  const limits = ownValue(task.regimes, regime);
  return limits === undefined ? null : { regime, limits };
}

/** The limits in force: those of the task's own regime, else the machine's, else the handbook's (due rules §4). */
export function limitsInForce(task: Task, machine: Machine): LimitsInForce {
  return (
    limitsOf(task, task.regime) ??
    limitsOf(task, machine.regime) ??
    limitsOf(task, DEFAULT_REGIME) ?? { regime: null, limits: [] }
  );
}

/** The completions of a task, earliest first. */
export function completionsOf(state: MachineState, task: TaskId): readonly Completion[] {
  return state.completions.get(task) ?? [];
}

/** The day a machine went into service, null where not recorded. */
export function inServiceDay(machine: Machine): DayNumber | null {
  return (machine.inService ?? null) === null ? null : dayOf(machine.inService as string);
}

/** Where each limit in force of a task with limits of its own is due (due rules §5). */
export function ownLimitsDue(task: Task, state: MachineState): LimitDue[] {
  const last = completionsOf(state, task.id).at(-1) ?? null;
  const context: DueContext = {
    anchor: task.anchor ?? "done",
    last,
    historyIsKnown: (state.machine.history ?? "known") === "known",
    inService: inServiceDay(state.machine),
  };
  const dues: LimitDue[] = [];
  for (const limit of limitsInForce(task, state.machine).limits) {
    if (isMeterLimit(limit)) {
      const reckoning = state.meters.get(limit.meter);
      if (reckoning === undefined) continue;
      dues.push({ kind: "meter", limit, reckoning, due: meterDue(limit, context, reckoning) });
    } else dues.push({ kind: "calendar", limit, due: calendarDue(limit, context) });
  }
  return dues;
}
