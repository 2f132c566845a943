import { applyChange, put, type Change, type RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { TaskId } from "../book/records/ids.js";
import type { LimitRecord } from "../book/records/limitRecord.js";
import type { Machine, Meter } from "../book/records/machine.js";
import type { MachineBook } from "../book/slice/slice.js";
import { failure, success } from "../book/change/result.js";
import type { Task } from "../book/records/task.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { begunBaseline, tasksWithoutStart } from "../machine/baseline.js";
import { valueIn } from "../quantity/quantity.js";
import type { Plan, PlanLimit, PlanTask } from "./plan.js";

/** Why a task of a plan cannot be put on a machine. */
export type NotApplicable =
  /** None of its limits counts on a meter the machine has. */
  | { readonly code: "no-meter"; readonly measure: "distance" | "hours" }
  /** The task it goes with or after is neither on the machine nor chosen. */
  | { readonly code: "leans-on"; readonly key: string };

/** A task of a plan beside what the machine has. */
export interface PlanOffer {
  readonly task: PlanTask;
  /** How it would stand on the machine; for one that is there, with the plan's rule in place of its own. */
  readonly candidate: Task;
  /**
   * `new`; `same` where the machine has it as the plan has it; `changed` where the plan has changed
   * since it was taken from there.
   */
  readonly standing: "new" | "same" | "changed";
  /** The machine's own task that was taken from here. */
  readonly own: Task | null;
  readonly issue: NotApplicable | null;
}

const text = (task: PlanTask): string => JSON.stringify(task);

function isFrom(task: Task, plan: Plan, key: string): boolean {
  const { origin } = task;
  return (
    origin?.key === key &&
    (origin.plan ?? null) === plan.name &&
    (origin.machine ?? null) === plan.machine
  );
}

const NICE_DIGITS = 2;

/** A figure of a plan in the unit of a meter; rounded to two digits where it had to be converted, as plans are round figures. */
function inUnit(value: number, from: "km" | "mi" | "h", to: "km" | "mi" | "h"): number {
  if (from === to) return value;
  return Number(valueIn({ value, unit: from }, to).toPrecision(NICE_DIGITS));
}

function meterFor(machine: Machine, measure: string): Meter | null {
  return (machine.meters ?? []).find((meter) => meter.measure === measure) ?? null;
}

function limitOn(limit: PlanLimit, machine: Machine): LimitRecord | null {
  const { measure, ...rest } = limit;
  if (limit.measure === "calendar") return rest;
  const meter = meterFor(machine, measure);
  if (meter === null) return null;
  const convert = (value: number): number => inUnit(value, limit.unit, meter.unit);
  const how =
    "measured" in limit
      ? limit.measured
      : {
          ...(limit.every === undefined ? {} : { every: convert(limit.every) }),
          ...(limit.at === undefined ? {} : { at: limit.at.map(convert) }),
        };
  return {
    meter: meter.id,
    ...how,
    ...(limit.grace === undefined ? {} : { grace: convert(limit.grace) }),
    ...(limit.hard === undefined ? {} : { hard: limit.hard }),
    ...(limit.for === undefined ? {} : { for: [...limit.for] }),
  };
}

/** The limits of every regime on a machine; a regime left without any of the limits it had is left out, and null stands for none left. */
function regimesOn(task: PlanTask, machine: Machine): Record<string, LimitRecord[]> | null {
  const regimes = Object.entries(task.regimes ?? {}).flatMap(([name, limits]) => {
    const own = limits.flatMap((limit) => limitOn(limit, machine) ?? []);
    return limits.length > 0 && own.length === 0 ? [] : [[name, own] as const];
  });
  return regimes.length === 0 ? null : Object.fromEntries(regimes);
}

type Ids = ReadonlyMap<string, TaskId>;

/** The rule of a task of a plan on a machine, or why it cannot stand there. */
function ruleOn(task: PlanTask, machine: Machine, ids: Ids): Partial<Task> | NotApplicable {
  const leaning = task.nth?.of ?? task.follows?.task ?? null;
  const other = leaning === null ? null : (ids.get(leaning) ?? null);
  if (leaning !== null && other === null) return { code: "leans-on", key: leaning };
  const none = { nth: null, follows: null, regimes: null };
  if (task.nth) return { ...none, nth: { of: other as TaskId, every: task.nth.every } };
  if (task.follows) {
    const { days, measure, unit, amount } = task.follows;
    if (days !== undefined) return { ...none, follows: { task: other as TaskId, days } };
    const meter = meterFor(machine, measure ?? "distance");
    if (meter === null) return { code: "no-meter", measure: measure ?? "distance" };
    const after = inUnit(amount ?? 0, unit ?? meter.unit, meter.unit);
    return {
      ...none,
      follows: { task: other as TaskId, meter: meter.id, amount: after },
    };
  }
  const regimes = regimesOn(task, machine);
  const wanted = Object.values(task.regimes ?? {}).flat();
  const lacking = wanted.find((limit) => limit.measure !== "calendar")?.measure ?? "distance";
  if (regimes === null) return { code: "no-meter", measure: lacking };
  return { ...none, regimes, anchor: task.anchor ?? "done", combine: task.combine ?? "first" };
}

function candidateOf(
  task: PlanTask,
  plan: Plan,
  machine: Machine,
  own: Task | null,
  ids: Ids,
): Pick<PlanOffer, "candidate" | "issue"> {
  const rule = ruleOn(task, machine, ids);
  const issue = "code" in rule ? rule : null;
  const { key, name, eachUse, minutes, access, ladder, note, outside } = task;
  const candidate = {
    ...own,
    id: own?.id ?? ids.get(key),
    machine: machine.id,
    name,
    ...(issue === null ? (rule as Partial<Task>) : { regimes: {} }),
    ...{ eachUse: eachUse ?? null, minutes: minutes ?? null, access: access ?? null },
    ...{ ladder: ladder ?? null, note: note ?? null, outside: outside ?? null },
    origin: { plan: plan.name, machine: plan.machine, key, as: text(task) },
  } as Task;
  return { candidate, issue };
}

/**
 * A plan beside what a machine has, task by task. `newId` names those that would be new; `chosen` are the
 * keys to be put on it, so that one leaning on another that is not chosen is told.
 */
export function planOffers(
  plan: Plan,
  machine: Machine,
  tasks: readonly Task[],
  newId: (key: string) => string,
  chosen: ReadonlySet<string> = new Set(plan.tasks.map(({ key }) => key)),
): PlanOffer[] {
  const owns = new Map(
    plan.tasks.map(({ key }) => [key, tasks.find((task) => isFrom(task, plan, key)) ?? null]),
  );
  const ids = new Map<string, TaskId>();
  for (const { key } of plan.tasks) {
    const own = owns.get(key) ?? null;
    if (own !== null) ids.set(key, own.id);
    else if (chosen.has(key)) ids.set(key, newId(key) as TaskId);
  }
  return plan.tasks.map((task) => {
    const own = owns.get(task.key) ?? null;
    const standing = own === null ? "new" : own.origin?.as === text(task) ? "same" : "changed";
    const known = ids.has(task.key)
      ? ids
      : new Map([...ids, [task.key, newId(task.key) as TaskId]]);
    return { task, own, standing, ...candidateOf(task, plan, machine, own, known) };
  });
}

/** What stands in the way of putting a plan on a machine. */
export type ApplyPlanIssue =
  | { readonly code: "nothing-chosen" }
  | { readonly code: "not-applicable"; readonly task: string; readonly why: NotApplicable };

/**
 * Puts tasks of a plan on a machine: new ones are added, and the rule of those that are there and have
 * changed in the plan takes the place of their own. A machine that is past their first turn with nothing logged is
 * taken on. Refused: no task chosen, and one that cannot stand there.
 */
export function applyPlan(
  book: MachineBook,
  plan: Plan,
  chosen: ReadonlySet<string>,
  context: CommandContext,
): CommandResult<ApplyPlanIssue> {
  const made = new Map<string, string>();
  const idFor = (key: string): string => {
    const id = made.get(key) ?? context.newId();
    made.set(key, id);
    return id;
  };
  const offers = planOffers(plan, book.machines[0], book.tasks, idFor, chosen).filter(
    ({ task, standing }) => chosen.has(task.key) && standing !== "same",
  );
  if (offers.length === 0) return failure([{ code: "nothing-chosen" }]);
  const issues = offers.flatMap(({ task, issue }): ApplyPlanIssue[] =>
    issue === null ? [] : [{ code: "not-applicable", task: task.name, why: issue }],
  );
  if (issues.length > 0) return failure(issues);
  const records = offers.map(({ candidate, own }): RecordChange<"tasks"> =>
    own === null
      ? put("tasks", candidate)
      : { section: "tasks", id: own.id, before: own, after: candidate },
  );
  const change: Change = { command: "apply-plan", records };
  return success({ ...change, records: [...records, ...takenOn(book, change, context.today)] });
}

/**
 * A machine without any work logged that tasks put on it find past their first turn is taken on: its owner says what
 * they start from, before anything is called overdue for want of a record.
 */
function takenOn(book: MachineBook, change: Change, today: DayNumber): RecordChange[] {
  const [machine] = book.machines;
  const hasLog = currentRecords(book.entries).length > 0;
  if (hasLog || (machine.history ?? "known") !== "known") return [];
  const lacking = tasksWithoutStart(applyChange(book, change), today);
  return lacking.length === 0 ? [] : begunBaseline(machine, today);
}
