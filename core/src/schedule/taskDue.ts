import type { TaskId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import { ownValue } from "../book/records/ownValue.js";
import type { Task } from "../book/records/task.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { limitOf, type Limit } from "../limit/limit.js";
import type { Completion } from "./completion.js";
import type { MachineState } from "./machineState.js";
import type { DueContext, LimitDue } from "./limits/due.js";
import { limitDue } from "./limits/kinds.js";

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
  return limits === undefined ? null : { regime, limits: limits.map(limitOf) };
}

/** The limits in force: those of the task's own regime, else the machine's, else the handbook's (due rules §4). */
export function limitsInForce(task: Task, machine: Machine): LimitsInForce {
  return (
    limitsOf(task, task.regime) ??
    limitsOf(task, machine.regime) ??
    limitsOf(task, DEFAULT_REGIME) ?? { regime: null, limits: [] }
  );
}

/**
 * Whether a limit holds for the product in the task's first fluid (due rules §13): one that is for
 * no kind in particular always does, and so does every one while what is in it is not recorded.
 */
export function holdsForProduct(limit: Limit, task: Task, state: MachineState): boolean {
  const { products: wanted } = limit;
  const fluid = task.uses?.[0]?.fluid;
  if (wanted.length === 0 || fluid === undefined) return true;
  const kinds = state.kindsInside(fluid);
  return kinds === undefined || wanted.some((kind) => kinds.includes(kind));
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
  const completions = completionsOf(state, task.id);
  const context: DueContext = {
    anchor: task.anchor ?? "done",
    last: completions.at(-1) ?? null,
    first: completions[0] ?? null,
    historyIsKnown: (state.machine.history ?? "known") === "known",
    inService: inServiceDay(state.machine),
  };
  return limitsInForce(task, state.machine).limits.flatMap((limit) =>
    holdsForProduct(limit, task, state) ? (limitDue(limit, context, state) ?? []) : [],
  );
}
