import type { Settings } from "../book/settings.js";
import type { Task } from "../book/task.js";
import { certain, forecastLife } from "./forecast.js";
import { followsDue } from "./follows.js";
import type {
  CalendarLimitReckoning,
  LimitReckoning,
  MeterLimitReckoning,
  Status,
} from "./limitReckoning.js";
import { nthDue } from "./nth.js";
import { calendarStatus, meterStatus, windowsFor } from "./status.js";
import { limitsInForce, ownLimitsDue, type LimitDue, type MachineState } from "./taskDue.js";

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
  const dues = limitsDue(task, state);
  const limits = dues.map((due) => reckonLimit(due, state, settings));
  const tied = (task.nth ?? null) !== null || (task.follows ?? null) !== null;
  return {
    task,
    ...decide(limits, task.combine ?? "first"),
    regime: tied ? null : limitsInForce(task, state.machine).regime,
    doubtful: dues.some(standsOnDoubt) || limits.some((limit) => limit.status === "unknown"),
    limits,
  };
}

function limitsDue(task: Task, state: MachineState): LimitDue[] {
  if (task.nth) return nthDue(task, task.nth, state);
  if (task.follows) return followsDue(task, task.follows, state);
  return ownLimitsDue(task, state);
}

function standsOnDoubt(due: LimitDue): boolean {
  return due.kind === "meter" && (due.reckoning.stale || due.reckoning.stoppedOn !== null);
}

function reckonLimit(due: LimitDue, state: MachineState, settings: Settings): LimitReckoning {
  return due.kind === "meter"
    ? reckonMeterLimit(due, state, settings)
    : reckonCalendarLimit(due, state, settings);
}

function reckonMeterLimit(
  { limit, reckoning, due }: Extract<LimitDue, { kind: "meter" }>,
  { today }: MachineState,
  settings: Settings,
): MeterLimitReckoning {
  const base = { kind: "meter", meter: limit.meter, limit, basis: due.basis } as const;
  if (due.state !== "set") {
    const nothing = { from: null, dueAt: null, dialAt: null, remaining: null, forecast: null };
    return { ...base, ...nothing, status: due.state };
  }
  const known = { from: due.from, dueAt: due.due, dialAt: due.due - reckoning.offset };
  if (reckoning.life === null) {
    return { ...base, ...known, remaining: null, forecast: null, status: "unknown" };
  }
  const remaining = due.due - reckoning.life;
  const forecast = forecastLife(reckoning, due.due, today);
  const span = due.from === null ? null : due.due - due.from;
  const windows = windowsFor(limit, reckoning.rate.perDay, settings);
  const status = meterStatus(limit, remaining, span, forecast, today, windows);
  return { ...base, ...known, remaining, forecast, status };
}

function reckonCalendarLimit(
  { limit, due }: Extract<LimitDue, { kind: "calendar" }>,
  { today }: MachineState,
  settings: Settings,
): CalendarLimitReckoning {
  const base = { kind: "calendar", limit, basis: due.basis } as const;
  if (due.state !== "set") {
    return { ...base, from: null, dueOn: null, remaining: null, forecast: null, status: due.state };
  }
  const remaining = due.due - today;
  const status = calendarStatus(limit, remaining, today, windowsFor(limit, null, settings));
  return { ...base, from: due.from, dueOn: due.due, remaining, forecast: certain(due.due), status };
}

const PRESSING: readonly Status[] = ["overdue", "due", "soon", "clear"];

type Verdict = Pick<TaskReckoning, "status" | "governs">;

function decide(limits: readonly LimitReckoning[], combine: "first" | "last"): Verdict {
  const allFinished = limits.length > 0 && limits.every((limit) => limit.status === "finished");
  if (allFinished) return { status: "finished", governs: null };
  const hasUnknown = limits.some((limit) => limit.status === "unknown");
  if (combine === "last" && hasUnknown) return { status: "unknown", governs: null };
  let governs: number | null = null;
  limits.forEach((limit, index) => {
    if (!PRESSING.includes(limit.status)) return;
    const best = governs === null ? undefined : limits[governs];
    if (best === undefined || comesBefore(limit, best, combine)) governs = index;
  });
  const deciding = governs === null ? undefined : limits[governs];
  return { status: deciding?.status ?? "unknown", governs };
}

/** Whether `limit` decides rather than `best`: the worse and then earlier of two for first, the better and then later for last. */
function comesBefore(
  limit: LimitReckoning,
  best: LimitReckoning,
  combine: "first" | "last",
): boolean {
  const rank = PRESSING.indexOf(limit.status) - PRESSING.indexOf(best.status);
  if (rank !== 0) return combine === "first" ? rank < 0 : rank > 0;
  const here = limit.forecast?.likely ?? null;
  const there = best.forecast?.likely ?? null;
  // A null date comes last in both orders, so it never takes the place of another.
  if (here === null) return false;
  if (there === null) return true;
  return combine === "first" ? here < there : here > there;
}
