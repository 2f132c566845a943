import type { Settings } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import type { LimitReckoning, Status } from "./limitReckoning.js";
import { reckonLimit, standsOnDoubt } from "./limits/kinds.js";
import { limitsDue } from "./limitsDue.js";
import { calledDue, callInEffect } from "./setAside.js";
import type { MachineState } from "./machineState.js";
import { limitsInForce } from "./taskDue.js";

/** When a task is due and why (due rules §7). */
export interface TaskReckoning {
  readonly task: Task;
  readonly status: Status;
  /** The position of the deciding limit, null where the task is unknown or finished. */
  readonly governs: number | null;
  /** The regime its limits are of; null for nth and follows, and where it has none. */
  readonly regime: string | null;
  readonly doubtful: boolean;
  readonly limits: readonly LimitReckoning[];
}

/** The reckoning of a task of a machine (due rules §§4–7). */
export function reckonTask(task: Task, state: MachineState, settings: Settings): TaskReckoning {
  const call = callInEffect(task, state);
  const own = limitsDue(task, state);
  const dues = call === null ? own : [...own, calledDue(call, settings)];
  const limits = dues.map((due) => reckonLimit(due, state.today, settings));
  const tied = (task.nth ?? null) !== null || (task.follows ?? null) !== null;
  const verdict = decide(limits.slice(0, own.length), task);
  const { status, governs } = call === null ? verdict : withCall(verdict, limits);
  const regime = tied ? null : limitsInForce(task, state.machine).regime;
  const doubtful = dues.some(standsOnDoubt) || limits.some((limit) => limit.status === "unknown");
  return { task, status, governs, regime, doubtful, limits };
}

const PRESSING: readonly Status[] = ["overdue", "due", "soon", "clear"];

type Verdict = Pick<TaskReckoning, "status" | "governs">;

function decide(limits: readonly LimitReckoning[], task: Task): Verdict {
  const combine = task.combine ?? "first";
  // Done with each use, it is never late by a date (due rules §14).
  if (limits.length === 0 && task.eachUse) return { status: "clear", governs: null };
  const allFinished = limits.length > 0 && limits.every((limit) => limit.status === "finished");
  if (allFinished) return { status: "finished", governs: null };
  const hasUnknown = limits.some((limit) => limit.status === "unknown");
  if (combine === "last" && hasUnknown) return { status: "unknown", governs: null };
  return decided(limits, combine);
}

/** What decides among limits that can be told apart. */
type Pressing = Pick<LimitReckoning, "status" | "forecast">;

function decided(limits: readonly Pressing[], combine: "first" | "last"): Verdict {
  let governs: number | null = null;
  limits.forEach((limit, index) => {
    if (!PRESSING.includes(limit.status)) return;
    const best = governs === null ? undefined : limits[governs];
    if (best === undefined || comesBefore(limit, best, combine)) governs = index;
  });
  const deciding = governs === null ? undefined : limits[governs];
  return { status: deciding?.status ?? "unknown", governs };
}

/** Which of some limits decides where whichever comes first does (due rules §7). */
export function decideFirst(limits: readonly Pressing[]): Verdict {
  return decided(limits, "first");
}

/** The call for a task, its last limit, decides unless another one is worse (due rules §12). */
function withCall(verdict: Verdict, limits: readonly LimitReckoning[]): Verdict {
  const at = limits.length - 1;
  const call = limits[at];
  const best = verdict.governs === null ? undefined : limits[verdict.governs];
  if (call === undefined) return verdict;
  return best === undefined || comesBefore(call, best, "first")
    ? { status: call.status, governs: at }
    : verdict;
}

/** Whether `limit` decides rather than `best`: the worse and then earlier of two for first, the better and then later for last. */
function comesBefore(limit: Pressing, best: Pressing, combine: "first" | "last"): boolean {
  const rank = PRESSING.indexOf(limit.status) - PRESSING.indexOf(best.status);
  if (rank !== 0) return combine === "first" ? rank < 0 : rank > 0;
  const here = limit.forecast?.likely ?? null;
  const there = best.forecast?.likely ?? null;
  // A null date comes last in both orders, so it never takes the place of another.
  if (here === null) return false;
  if (there === null) return true;
  return combine === "first" ? here < there : here > there;
}
