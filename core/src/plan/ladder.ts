import { limitOf, limitsOnMeter } from "../limit/limit.js";
import { put, type RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { MeterId, TaskId } from "../book/records/ids.js";
import type { Slice } from "../book/slice/slice.js";
import { failure, success } from "../book/change/result.js";
import type { Task } from "../book/records/task.js";
import { DEFAULT_REGIME } from "../schedule/taskDue.js";

/** A step of a ladder: the task, and with every how many of the first step's turns it comes. */
export interface LadderStep {
  readonly task: Task;
  readonly multiple: number;
}

/** The ladders of a machine's tasks, by name: their steps, the smallest first. */
export function laddersOf(tasks: readonly Task[]): Map<string, LadderStep[]> {
  const ladders = new Map<string, LadderStep[]>();
  for (const task of tasks) {
    const name = task.ladder ?? "";
    if (name === "") continue;
    const multiple = task.nth?.every ?? 1;
    ladders.set(name, [...(ladders.get(name) ?? []), { task, multiple }]);
  }
  for (const steps of ladders.values()) steps.sort((one, other) => one.multiple - other.multiple);
  return ladders;
}

/** The smaller steps that come with a step of a ladder: each larger service includes those whose turn it is as well. */
export function stepsIncluded(id: TaskId, tasks: readonly Task[]): TaskId[] {
  const own = tasks.find((task) => task.id === id);
  const steps = laddersOf(tasks).get(own?.ladder ?? "") ?? [];
  const multiple = own?.nth?.every ?? 1;
  return steps.flatMap((step) =>
    step.task.id !== id && step.multiple < multiple && multiple % step.multiple === 0
      ? [step.task.id]
      : [],
  );
}

/** A step as it is written down: at which figure, in the ladder's unit, and what is done. */
export interface StepInput {
  /** The task it is kept in; null for a new one. */
  readonly id: TaskId | null;
  readonly at: number;
  readonly name: string;
  readonly minutes: number | null;
}

/** A ladder as it is written down: `every` so many units of a meter, each step at a multiple of it. */
export interface LadderInput {
  readonly name: string;
  readonly meter: MeterId;
  readonly every: number;
  readonly steps: readonly StepInput[];
}

/** What stands in the way of a ladder. */
export type LadderIssue =
  | { readonly code: "name-missing" }
  | { readonly code: "interval-missing" }
  | { readonly code: "no-first-step"; readonly every: number }
  | { readonly code: "step-name-missing"; readonly at: number }
  /** A step must stand at a whole multiple of the first. */
  | { readonly code: "not-a-multiple"; readonly at: number; readonly every: number }
  | { readonly code: "two-steps-at"; readonly at: number };

function issuesOf({ name, every, steps }: LadderInput): LadderIssue[] {
  if (name.trim() === "") return [{ code: "name-missing" }];
  if (!(every > 0) || !Number.isFinite(every)) return [{ code: "interval-missing" }];
  const issues = steps.flatMap(({ at, name: called }, index): LadderIssue[] => {
    if (!Number.isInteger(at / every) || at <= 0) return [{ code: "not-a-multiple", at, every }];
    if (called.trim() === "") return [{ code: "step-name-missing", at }];
    const isTwice = steps.slice(0, index).some((other) => other.at === at);
    return isTwice ? [{ code: "two-steps-at", at }] : [];
  });
  if (issues.length > 0) return issues;
  return steps.some(({ at }) => at === every) ? [] : [{ code: "no-first-step", every }];
}

/** The first step's limits with the ladder's interval in place of the one on its meter; others stay. */
function firstLimits(before: Task | null, meter: MeterId, every: number): Task["regimes"] {
  const regimes = before?.regimes ?? {};
  const others = (regimes[DEFAULT_REGIME] ?? []).filter(
    (limit) => limitsOnMeter([limitOf(limit)], meter).length === 0,
  );
  return { ...regimes, [DEFAULT_REGIME]: [{ meter, every }, ...others] };
}

/**
 * Writes a ladder of stacked services down: its first step by the meter, each larger one with every n-th
 * turn of the first. A step that is left out stays a task of its own, as the log may speak of it. Refused:
 * no name, no interval, no step at the interval, a step that is no multiple of it or has no name, two at one figure.
 */
export function writeLadder(
  book: Slice<"tasks">,
  input: LadderInput,
  before: string | null,
  context: CommandContext,
): CommandResult<LadderIssue> {
  const issues = issuesOf(input);
  if (issues.length > 0) return failure(issues);
  const machine = book.machines[0].id;
  const ladder = input.name.trim();
  const steps = [...input.steps].sort((one, other) => one.at - other.at);
  const known = new Map(book.tasks.map((task) => [task.id, task]));
  const first = steps[0]?.id ?? (context.newId() as TaskId);
  const written = steps.map(({ id, at, name, minutes }, index): Task => {
    const own = id === null ? null : (known.get(id) ?? null);
    const multiple = at / input.every;
    const tie =
      index === 0
        ? { regimes: firstLimits(own, input.meter, input.every), nth: null }
        : { regimes: null, nth: { of: first, every: multiple } };
    const taskId = index === 0 ? first : (own?.id ?? (context.newId() as TaskId));
    return {
      ...own,
      id: taskId,
      machine,
      name: name.trim(),
      minutes,
      ladder,
      follows: null,
      ...tie,
    };
  });
  const kept = new Set(written.map(({ id }) => id));
  const left = book.tasks.filter(
    (task) => before !== null && task.ladder === before && !kept.has(task.id),
  );
  const changed = [...written, ...left.map((task) => ({ ...task, ladder: null }))];
  const records = changed.flatMap((after): RecordChange[] => {
    const own = known.get(after.id);
    if (own === undefined) return [put("tasks", after)];
    const isSame = JSON.stringify(own) === JSON.stringify(after);
    return isSame ? [] : [{ section: "tasks", id: own.id, before: own, after }];
  });
  return success({ command: "write-ladder", records });
}
