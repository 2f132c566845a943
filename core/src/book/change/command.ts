import type { DayNumber } from "../../calendar/dayNumber.js";
import type { Change, RecordChange } from "./change.js";
import type { Section } from "../records/sections.js";
import type { Result } from "./result.js";

/** What a command is told of the world: it looks nothing up itself. */
export interface CommandContext {
  readonly today: DayNumber;
  /** A new id that nothing in the book has. */
  readonly newId: () => string;
  /** The next number in the order of the book's records; each call gives a larger one. */
  readonly nextSeq: () => number;
}

/** What a person saw when they decided on a change is no longer so: it was changed since, here or elsewhere. */
export interface ChangedElsewhere {
  readonly code: "changed-elsewhere";
  /** Null for a field of the book itself. */
  readonly section: Section | null;
  readonly id: string;
}

/** What a command answers: the change it would make, or what stands in its way. */
export type CommandResult<Issue> = Result<Change, Issue>;

/** Several changes as one, under a name or that of the last of them; refused where one of them is. */
export function joined<Issue>(
  results: readonly CommandResult<Issue>[],
  name?: string,
): CommandResult<Issue> {
  const records: RecordChange[] = [];
  let last = "nothing";
  for (const result of results) {
    if (!result.ok) return result;
    last = result.value.command;
    records.push(...result.value.records);
  }
  return { ok: true, value: { command: name ?? last, records } };
}
