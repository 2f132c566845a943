import { isEqual } from "es-toolkit";
import type { CommandResult } from "../../book/change/command.js";
import { failure, success } from "../../book/change/result.js";
import type { TaskId } from "../../book/records/ids.js";
import type { Job } from "../../book/records/job.js";
import type { JobStep } from "../../book/records/step.js";
import type { Slice } from "../../book/slice/slice.js";
import type { ToldEvent } from "../card.js";
import { replayed } from "../replayed.js";
import type { StepState } from "../stepState.js";
import { standingEvents } from "../told.js";
import { cardRefusal, type CardRefusal } from "./openJob.js";
import { jobOf, type TapIssue } from "./tapJob.js";

/** What was told of a step that a changed card has no more, or has otherwise. */
export interface NotKept {
  readonly step: string;
  readonly name: string;
  readonly was: "done" | "skipped" | "begun";
}

/** What stands in the way of another card. */
export type ChangeCardIssue =
  | CardRefusal
  | TapIssue
  /** Litres were told at a step that would go: what went out and in is always counted. */
  | { readonly code: "amounts-told"; readonly step: string; readonly name: string };

/** Fields that may differ between a step and what it was: they change nothing of what was done. */
const ABOUT = [
  "id",
  "name",
  "note",
  "tasks",
  "after",
  "meanwhile",
  "mayNotApply",
  "expected",
  "made",
  "mark",
  "window",
];
const whatIsDone = (step: JobStep): object =>
  Object.fromEntries(
    Object.entries(step).filter(
      ([key, value]) => !ABOUT.includes(key) && value !== null && value !== undefined,
    ),
  );

/** Whether what was done at one step was done at the other. */
const isSameWork = (one: JobStep, other: JobStep): boolean =>
  isEqual(whatIsDone(one), whatIsDone(other));

/**
 * A card as it is changed to while its job goes on: a step that is what it was keeps its name, and with it what was told of
 * it; one that is another gets a new name, which nothing was ever told of, and what waits for it waits for that.
 */
export function changedCard(
  before: readonly JobStep[],
  after: readonly JobStep[],
  events: readonly ToldEvent[],
): JobStep[] {
  const old = new Map(before.map((step) => [step.id, step]));
  const told = new Set(events.flatMap(({ step }) => (typeof step === "string" ? [step] : [])));
  const taken = new Set([...told, ...[...before, ...after].map(({ id }) => id)]);
  let count = 0;
  const fresh = (): string => {
    do count += 1;
    while (taken.has(`step${String(count)}`));
    taken.add(`step${String(count)}`);
    return `step${String(count)}`;
  };
  const names = new Map<string, string>();
  const named = after.map((step) => {
    const was = old.get(step.id);
    const isKept = was === undefined ? !told.has(step.id) : isSameWork(was, step);
    const id = isKept && !names.has(step.id) ? step.id : fresh();
    if (!names.has(step.id)) names.set(step.id, id);
    return { ...step, id };
  });
  return named.map(({ after: waits, ...step }) => ({
    ...step,
    ...(waits === undefined ? {} : { after: waits.map((id) => names.get(id) ?? id) }),
  }));
}

function wasOf({ closed, ticked, hasFact }: StepState): NotKept["was"] | null {
  if (closed !== null) return closed;
  return ticked.size > 0 || hasFact ? "begun" : null;
}

/** What a changed card cannot keep of what was told: of steps that it has no more. */
export function notKept(
  job: Pick<Job, "steps">,
  steps: readonly JobStep[],
  events: readonly ToldEvent[],
): NotKept[] {
  const kept = new Set(steps.map(({ id }) => id));
  return replayed(job, events).states.flatMap((state) => {
    const { id, name } = state.step;
    const was = kept.has(id) ? null : wasOf(state);
    return was === null ? [] : [{ step: id, name: name ?? id, was }];
  });
}

/** The first step without which litres that were told would be lost. */
function amountsLost(
  job: Job,
  steps: readonly JobStep[],
  events: readonly ToldEvent[],
): ChangeCardIssue | null {
  const kept = new Set(steps.map(({ id }) => id));
  const told = new Set(
    standingEvents(events).events.flatMap((event) =>
      event.do === "out" || event.do === "in" ? [event.step] : [],
    ),
  );
  const lost = (job.steps ?? []).find(({ id }) => told.has(id) && !kept.has(id));
  return lost === undefined
    ? null
    : { code: "amounts-told", step: lost.id, name: lost.name ?? lost.id };
}

/**
 * Changes the card of a job on the go (`steps` as {@link changedCard} names them). What was told of a step that is still there
 * counts as before; what is not kept {@link notKept} says beforehand. Refused: a card with issues, a step gone of which
 * litres were told, a job that is finished or not there.
 */
export function changeCard(
  slice: Slice<"jobs" | "jobEvents">,
  id: string,
  input: { readonly steps: readonly JobStep[]; readonly tasks: readonly TaskId[] },
): CommandResult<ChangeCardIssue> {
  const found = jobOf(slice, id);
  if (found === null) return failure([{ code: "job-missing" }]);
  const { job, events } = found;
  if ((job.finished ?? null) !== null) return failure([{ code: "job-finished" }]);
  const refusal = cardRefusal(input.steps) ?? amountsLost(job, input.steps, events);
  if (refusal !== null) return failure([refusal]);
  const after: Job = { ...job, steps: [...input.steps], tasks: [...input.tasks] };
  const records = [{ section: "jobs" as const, id: job.id, before: job, after }];
  return success({ command: "change-card", records });
}
