import { put } from "../../book/change/change.js";
import type { CommandContext, CommandResult } from "../../book/change/command.js";
import { failure, success } from "../../book/change/result.js";
import type { FindingId, JobId, TaskId, VisitId } from "../../book/records/ids.js";
import type { Job } from "../../book/records/job.js";
import type { JobStep } from "../../book/records/step.js";
import type { Slice } from "../../book/slice/slice.js";
import { formatDay } from "../../calendar/dayNumber.js";
import { cardIssues, type CardIssue } from "../cardIssues.js";

/** A job to be opened: for tasks, findings, a visit, or nothing but a machine and a name. */
export interface JobToOpen {
  readonly name: string;
  readonly tasks: readonly TaskId[];
  readonly findings: readonly FindingId[];
  readonly visit: VisitId | null;
  readonly steps: readonly JobStep[];
  /** Who opens it: a person's id or words; empty where it is not said. */
  readonly by: string;
}

/** What stands in the way of a card. */
export type CardRefusal =
  /** A card with issues cannot be begun (job rules §1). */
  { readonly code: "card-issues"; readonly issues: readonly CardIssue[] };

/** What stands in the way of opening a job. */
export type OpenJobIssue =
  | CardRefusal
  | { readonly code: "nothing-to-do" }
  | { readonly code: "task-not-found"; readonly task: string }
  /** A task is on the card of another job that is on the go. */
  | { readonly code: "on-another-job"; readonly task: string; readonly job: string };

/** The jobs of a machine that are on the go. */
export const openJobs = (jobs: readonly Job[]): Job[] =>
  jobs.filter(({ finished }) => (finished ?? null) === null);

/** What keeps a card from being worked by. */
export function cardRefusal(steps: readonly JobStep[]): CardRefusal | null {
  const issues = cardIssues(steps);
  return issues.length === 0 ? null : { code: "card-issues", issues };
}

/**
 * Opens a job with its card. Refused: a card with issues, neither task nor finding nor name, a task that is not the
 * machine's, and one that is on another job on the go.
 */
export function openJob(
  { machines: [machine], tasks, jobs }: Slice<"tasks" | "jobs">,
  input: JobToOpen,
  context: CommandContext,
): CommandResult<OpenJobIssue> {
  const name = input.name.trim();
  const refusal = cardRefusal(input.steps);
  if (refusal !== null) return failure([refusal]);
  const isNothing = input.tasks.length === 0 && input.findings.length === 0 && name === "";
  if (isNothing) return failure([{ code: "nothing-to-do" }]);
  for (const task of input.tasks) {
    if (tasks.every(({ id }) => id !== task)) return failure([{ code: "task-not-found", task }]);
    const other = openJobs(jobs).find((job) => (job.tasks ?? []).includes(task));
    if (other !== undefined) return failure([{ code: "on-another-job", task, job: other.id }]);
  }
  const by = input.by.trim();
  const job: Job = {
    ...{ id: context.newId() as JobId, machine: machine.id, opened: formatDay(context.today) },
    ...(name === "" ? {} : { name }),
    ...{ tasks: [...input.tasks], steps: [...input.steps] },
    ...(input.findings.length === 0 ? {} : { findings: [...input.findings] }),
    ...(input.visit === null ? {} : { visit: input.visit }),
    ...(by === "" ? {} : { by }),
  };
  return success({ command: "open-job", records: [put("jobs", job)] });
}
