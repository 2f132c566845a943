import { put } from "../../book/change/change.js";
import type { CommandContext, CommandResult } from "../../book/change/command.js";
import { failure, success } from "../../book/change/result.js";
import type { MethodId, TaskId } from "../../book/records/ids.js";
import type { Method } from "../../book/records/job.js";
import type { JobStep, MethodStep } from "../../book/records/step.js";
import type { Task } from "../../book/records/task.js";
import type { SharedSlice, Slice } from "../../book/slice/slice.js";
import { DANGERS } from "../make/cautions.js";

/** What stands in the way of keeping a way to work. */
export type KeepWayIssue =
  | { readonly code: "task-not-found"; readonly task: string }
  /** The card has no steps of the task, or only cautions. */
  | { readonly code: "no-steps" };

/** The usual cautions are found anew for each card. */
const USUAL = new Set(DANGERS.map(({ name }) => name));

/**
 * The steps of a task on a card as a way to work: without the usual cautions and what a card has of its day (tasks, expected
 * litres). For a kind of machine (`isForKind`) each step in the words it was filled in from, its parts as `$parts`.
 */
function wayOf(
  steps: readonly JobStep[],
  task: Pick<Task, "id" | "uses">,
  isForKind: boolean,
): MethodStep[] {
  const own = steps.filter(
    ({ kind, name, tasks }) =>
      (tasks ?? []).includes(task.id) && !(kind === "caution" && USUAL.has(name ?? "")),
  );
  const systems = new Set([
    ...(task.uses ?? []).map(({ fluid }) => fluid),
    ...(isForKind ? own.flatMap(({ system }) => system ?? []) : []),
  ]);
  const seen = { parts: false };
  return own.flatMap((step): MethodStep[] => {
    const { tasks: _, expected: __, mark: ___, window, made, part, system, ...rest } = step;
    const isPart = isForKind && step.kind === "fit" && (part ?? null) !== null;
    if (isPart && seen.parts) return [];
    if (isPart) seen.parts = true;
    // Of another machine of the kind its plate says at which temperatures a level holds.
    const words = isForKind
      ? { ...rest, ...given(made?.name, made?.points) }
      : { ...rest, ...(window ? { window } : {}) };
    const waits = (rest.after ?? []).filter((id) => own.some((one) => one.id === id));
    const of = system ? { system: systems.has(system) ? "$system" : system } : {};
    const taken = part ? { part: isForKind ? "$parts" : part } : {};
    const after = rest.after === undefined ? {} : { after: waits };
    return [
      { ...words, ...after, ...(isPart ? { kind: "fit", name: "Fit" } : {}), ...of, ...taken },
    ];
  });
}

function given(name: unknown, points: unknown): Partial<MethodStep> {
  return {
    ...(typeof name === "string" ? { name } : {}),
    ...(Array.isArray(points) ? { points: points as string[] } : {}),
  };
}

/** Keeps the steps of a task on a card as this machine's own way (`task.steps`). Refused: a task that is not the machine's, no steps of it. */
export function keepOwnWay(
  { tasks }: Slice<"tasks">,
  id: TaskId,
  steps: readonly JobStep[],
): CommandResult<KeepWayIssue> {
  const task = tasks.find((one) => one.id === id);
  if (task === undefined) return failure([{ code: "task-not-found", task: id }]);
  const way = wayOf(steps, task, false);
  if (way.length === 0) return failure([{ code: "no-steps" }]);
  const records = [{ section: "tasks" as const, id, before: task, after: { ...task, steps: way } }];
  return success({ command: "keep-own-way", records });
}

/** Gives a task's own way up; the usual one of its kind holds again. Refused: a task that is not the machine's, one without an own way. */
export function dropOwnWay({ tasks }: Slice<"tasks">, id: TaskId): CommandResult<KeepWayIssue> {
  const task = tasks.find((one) => one.id === id);
  if (task === undefined) return failure([{ code: "task-not-found", task: id }]);
  if ((task.steps ?? []).length === 0) return failure([{ code: "no-steps" }]);
  const { steps: _, ...rest } = task;
  const records = [{ section: "tasks" as const, id, before: task, after: rest as Task }];
  return success({ command: "drop-own-way", records });
}

/**
 * Keeps the steps of a task on a card as the way for a kind of machine: a method of the book under the task's name, in place of
 * one of that name and kind. Refused: no steps of it.
 */
export function keepMethod(
  { methods }: SharedSlice<"methods">,
  input: {
    readonly task: Pick<Task, "id" | "name" | "uses">;
    readonly kind: string;
    readonly uses: readonly string[];
    readonly steps: readonly JobStep[];
  },
  context: CommandContext,
): CommandResult<KeepWayIssue> {
  const { task, kind, uses } = input;
  const steps = wayOf(input.steps, task, true);
  if (steps.length === 0) return failure([{ code: "no-steps" }]);
  const before = methods.find(
    ({ name, kinds }) =>
      name.toLowerCase() === task.name.toLowerCase() && (kinds ?? []).join() === kind,
  );
  const said = { name: task.name, kinds: [kind], uses: [...uses], steps };
  if (before === undefined) {
    const method: Method = { id: context.newId() as MethodId, ...said };
    return success({ command: "keep-method", records: [put("methods", method)] });
  }
  const after = { ...before, ...said };
  const records = [{ section: "methods" as const, id: before.id, before, after }];
  return success({ command: "keep-method", records });
}
