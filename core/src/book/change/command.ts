import type { DayNumber } from "../../calendar/dayNumber.js";
import type { Change } from "./change.js";
import type { Result } from "./result.js";

/** What a command is told of the world: it looks nothing up itself. */
export interface CommandContext {
  readonly today: DayNumber;
  /** A new id that nothing in the book has. */
  readonly newId: () => string;
  /** The next number in the order of the book's records; each call gives a larger one. */
  readonly nextSeq: () => number;
}

/** What a command answers: the change it would make, or what stands in its way. */
export type CommandResult<Issue> = Result<Change, Issue>;
