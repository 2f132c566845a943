import type { JobEvent } from "../records/job.js";
import type { JobEventId } from "../records/ids.js";
import { put, type RecordChange } from "./change.js";

/** What taking back is told of the world. */
export interface TakingBack {
  /** Milliseconds since 1970, in UTC. */
  readonly at: number;
  /** A new id that nothing in the book has. */
  readonly newId: () => string;
}

/**
 * What takes an event of a job out again: an `undo` of it, for events are only ever added (job rules §1). It keeps what it took
 * out, so that it can be told again.
 */
export function undoOf(event: JobEvent, { at, newId }: TakingBack): JobEvent {
  const { revision: _, ...taken } = event;
  const { job, machine, by } = event;
  return {
    ...{ id: newId() as JobEventId, job, machine, ...(by ? { by } : {}) },
    ...{ at: Math.max(at, event.at + 1), do: "undo", undoes: event.id, taken },
  };
}

/** What a change that told of an event is taken back with: an undo of it, or, of an undo, the event told again. Null for anything else, and an undo that does not know what it took. */
export function tapTakenBack(
  { section, before, after }: RecordChange,
  back: TakingBack,
): RecordChange | null {
  if (section !== "jobEvents" || before !== null || after === null) return null;
  const event = after as JobEvent;
  if (event.do !== "undo") return put("jobEvents", undoOf(event, back));
  const taken = event.taken ?? null;
  if (taken === null) return null;
  const again = { ...taken, id: back.newId(), at: Math.max(back.at, event.at + 1) };
  return put("jobEvents", again as unknown as JobEvent);
}
