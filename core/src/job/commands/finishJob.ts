import type { RecordChange } from "../../book/change/change.js";
import type { CommandContext, CommandResult } from "../../book/change/command.js";
import { failure, success } from "../../book/change/result.js";
import type { EntryId } from "../../book/records/ids.js";
import type { Job, JobEvent } from "../../book/records/job.js";
import type { MachineBook, Slice } from "../../book/slice/slice.js";
import { formatDay, type DayNumber } from "../../calendar/dayNumber.js";
import { logWork, type LogWorkInput, type LogWorkIssue } from "../../ledger/logWork.js";
import { jobState, type JobState } from "../jobState.js";
import { jobOf, type TapIssue } from "./tapJob.js";

/** What stands in the way of finishing a job. */
export type FinishJobIssue =
  | LogWorkIssue
  | Extract<TapIssue, { readonly code: "job-missing" | "job-finished" }>
  /** What keeps it from being finished (job rules §4, `unfinished`). */
  | { readonly code: "unfinished"; readonly left: JobState["unfinished"] };

/** What stands in the way of giving a job up. */
export type GiveUpIssue =
  | Extract<FinishJobIssue, { readonly code: "job-missing" | "job-finished" | "unfinished" }>
  /** Something was poured, fitted or done, which an entry must tell. */
  | { readonly code: "something-done" };

type JobSlice = Slice<"jobs" | "jobEvents">;

function finishable(
  slice: JobSlice,
  id: string,
):
  | { readonly job: Job; readonly events: readonly JobEvent[]; readonly state: JobState }
  | Extract<FinishJobIssue, { readonly code: "job-missing" | "job-finished" | "unfinished" }> {
  const found = jobOf(slice, id);
  if (found === null) return { code: "job-missing" };
  if ((found.job.finished ?? null) !== null) return { code: "job-finished" };
  const state = jobState(found.job, found.events);
  if (state.unfinished.length > 0) return { code: "unfinished", left: state.unfinished };
  return { ...found, state };
}

function finishedBy(
  job: Job,
  events: readonly JobEvent[],
  entry: EntryId | null,
  day: DayNumber,
): RecordChange<"jobs"> {
  const { down: _, ...rest } = job;
  const finished = { on: formatDay(day), entry, events: events.map((event) => event.id as string) };
  return { section: "jobs", id: job.id, before: job, after: { ...rest, finished } };
}

/**
 * Finishes a job (job rules §5): one entry of the log as the person has seen it, and the job closed with it, as one change.
 * Refused: what is unfinished, a job that is finished or not there, and what {@link logWork} refuses.
 */
export function finishJob(
  book: MachineBook & JobSlice,
  id: string,
  input: LogWorkInput,
  context: CommandContext,
): CommandResult<FinishJobIssue> {
  const found = finishable(book, id);
  if ("code" in found) return failure([found]);
  const { job, events } = found;
  const logged = logWork(book, { ...input, took: { ...input.took, job: job.id } }, context);
  if (!logged.ok) return logged;
  const entry = logged.value.records.find(
    ({ section, after }) => section === "entries" && (after as { job?: unknown }).job === job.id,
  );
  const closed = finishedBy(job, events, (entry?.id ?? null) as EntryId | null, input.day);
  return success({
    ...logged.value,
    command: "finish-job",
    records: [...logged.value.records, closed],
  });
}

/** Gives a job up of which nothing was done. Refused: one that was worked on, which is finished instead, one that is unfinished, finished or not there. */
export function giveUpJob(
  slice: JobSlice,
  id: string,
  context: CommandContext,
): CommandResult<GiveUpIssue> {
  const found = finishable(slice, id);
  if ("code" in found) return failure([found]);
  const { job, events, state } = found;
  const kinds = new Map((job.steps ?? []).map((step) => [step.id, step.kind]));
  const isWork = (step: string): boolean =>
    !["caution", "look", "wait"].includes(kinds.get(step) ?? "caution");
  const hasAmounts = state.systems.some((system) => system.out !== 0 || system.in !== 0);
  const hasDone = state.steps.some(
    (step) => isWork(step.id) && (step.state === "done" || step.ticked.length > 0),
  );
  if (hasAmounts || hasDone) return failure([{ code: "something-done" }]);
  const records = [finishedBy(job, events, null, context.today)];
  return success({ command: "give-up-job", records });
}

/** The events of a finished job that nobody knew of when it was finished: they change nothing until a person decides. */
export function lateEvents(job: Job, events: readonly JobEvent[]): JobEvent[] {
  const known = job.finished?.events ?? null;
  if (known === null) return [];
  const names = new Set(known);
  return events.filter(({ id }) => !names.has(id));
}

/** The dials that a job asks for at its end are those of the day of its last event; null without any. */
export const lastToldAt = (events: readonly JobEvent[]): number | null =>
  events.length === 0 ? null : events.reduce((latest, { at }) => Math.max(latest, at), 0);
