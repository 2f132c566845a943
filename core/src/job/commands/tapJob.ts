import { put, type RecordChange } from "../../book/change/change.js";
import type { CommandContext, CommandResult } from "../../book/change/command.js";
import { failure, success } from "../../book/change/result.js";
import { undoOf } from "../../book/change/takenBackTap.js";
import type { JobEventId } from "../../book/records/ids.js";
import type { Known } from "../../book/records/known.js";
import type { Job, JobEvent } from "../../book/records/job.js";
import type { Slice } from "../../book/slice/slice.js";
import { formatDay } from "../../calendar/dayNumber.js";
import type { RejectedCode } from "../eventCodes.js";
import { jobState } from "../jobState.js";

/** What is told of a job: an event as a hand tells it (job rules §2), without what is filled in. */
export type Tap = Omit<Known<JobEvent>, "id" | "job" | "machine" | "at" | "revision">;

/** What stands in the way of what is told of a job. */
export type TapIssue =
  | { readonly code: "job-missing" }
  /** A job that is finished stays as it is. */
  | { readonly code: "job-finished" }
  /** It may not be done, or makes no sense. */
  | { readonly code: "rejected"; readonly why: RejectedCode }
  | { readonly code: "why-missing" };

type JobSlice = Slice<"jobs" | "jobEvents">;

/** What a command on a job is told of the world: the clock beside the rest, in milliseconds since 1970, in UTC. */
export interface TapContext extends CommandContext {
  readonly at: number;
}

/** A job of a machine with its events; null where it is not there. */
export function jobOf(
  { jobs, jobEvents }: JobSlice,
  id: string,
): { readonly job: Job; readonly events: readonly JobEvent[] } | null {
  const job = jobs.find((one) => one.id === id);
  return job === undefined ? null : { job, events: jobEvents.filter((one) => one.job === id) };
}

/** When something is told: the clock, or one more than the latest that is known (job rules §2). */
function tellingAt(events: readonly JobEvent[], clock: number): number {
  return events.reduce((at, event) => Math.max(at, event.at + 1), clock);
}

function openJobNamed(
  slice: JobSlice,
  id: string,
): { readonly job: Job; readonly events: readonly JobEvent[] } | TapIssue {
  const found = jobOf(slice, id);
  if (found === null) return { code: "job-missing" };
  return (found.job.finished ?? null) === null ? found : { code: "job-finished" };
}

function eventOf(job: Job, events: readonly JobEvent[], tap: Tap, context: TapContext): JobEvent {
  const at = tellingAt(events, context.at);
  return { ...tap, id: context.newId() as JobEventId, job: job.id, machine: job.machine, at };
}

/**
 * Tells of what happened in a job, or was done in it: an event more for each tap, one after the other, or none of them. What the
 * replay would reject is refused with its code; a fact that comes out of order counts, and the replay lists it. Refused as
 * well: a job that is finished or not there.
 */
export function tapJob(
  slice: JobSlice,
  id: string,
  taps: readonly Tap[],
  context: TapContext,
): CommandResult<TapIssue> {
  const found = openJobNamed(slice, id);
  if ("code" in found) return failure([found]);
  const { job } = found;
  const events = [...found.events];
  const told = taps.map((tap) => {
    const event = eventOf(job, events, tap, context);
    events.push(event);
    return event;
  });
  const { rejected } = jobState(job, events, context.at);
  const why = rejected.find(({ event }) => told.some((one) => one.id === event))?.code;
  if (why !== undefined) return failure([{ code: "rejected", why }]);
  return success({ command: "tap-job", records: told.map((event) => put("jobEvents", event)) });
}

/** Takes an event of a job out again by an undo. Refused: one that is not there or is an undo itself, and a job that is finished. */
export function undoTap(
  slice: JobSlice,
  id: string,
  eventId: string,
  context: TapContext,
): CommandResult<TapIssue> {
  const found = openJobNamed(slice, id);
  if ("code" in found) return failure([found]);
  const event = found.events.find((one) => one.id === eventId);
  if (event === undefined || event.do === "undo") {
    return failure([{ code: "rejected", why: "cannot-undo" }]);
  }
  const at = tellingAt(found.events, context.at);
  const undo = undoOf(event, { at, newId: context.newId });
  return success({ command: "undo-tap", records: [put("jobEvents", undo)] });
}

/** A person takes a job up: what each must see to anew is open again, and it is put down no more. Refused: nobody, a job that is finished or not there. */
export function takeUpJob(
  slice: JobSlice,
  id: string,
  by: string,
  context: TapContext,
): CommandResult<TapIssue> {
  if (by.trim() === "") return failure([{ code: "why-missing" }]);
  const found = openJobNamed(slice, id);
  if ("code" in found) return failure([found]);
  const { job, events } = found;
  const { down, ...rest } = job;
  const taken = put("jobEvents", eventOf(job, events, { do: "take", by: by.trim() }, context));
  const records: RecordChange[] = [taken];
  if ((down ?? null) !== null) {
    records.push({ section: "jobs", id: job.id, before: job, after: rest });
  }
  return success({ command: "take-up-job", records });
}

/** Puts a job down for now, and says what it waits for; that stays in what is told of it. Refused: no reason, a job that is finished or not there. */
export function putDownJob(
  slice: JobSlice,
  id: string,
  { by, why }: { readonly by: string; readonly why: string },
  context: TapContext,
): CommandResult<TapIssue> {
  const reason = why.trim();
  if (reason === "") return failure([{ code: "why-missing" }]);
  const found = openJobNamed(slice, id);
  if ("code" in found) return failure([found]);
  const { job, events } = found;
  const who = by.trim() === "" ? {} : { by: by.trim() };
  const down = { on: formatDay(context.today), ...who, why: reason };
  const note = eventOf(job, events, { do: "note", ...who, text: `Put down: ${reason}` }, context);
  const records: RecordChange[] = [
    { section: "jobs", id: job.id, before: job, after: { ...job, down } },
    put("jobEvents", note),
  ];
  return success({ command: "put-down-job", records });
}
