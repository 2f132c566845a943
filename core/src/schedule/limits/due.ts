import type { Task } from "../../book/records/task.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import type { CalendarLimit, MeasuredLimit, MeterLimit } from "../../limit/limit.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";
import type { Completion, CompletionFact } from "../completion.js";
import type { Basis } from "../limitReckoning.js";

/** Where a limit is due and from where it counts: lives in the meter's unit, or day numbers (due rules §5). */
export type Due<Value extends number> =
  | {
      readonly state: "set";
      readonly due: Value;
      readonly from: Value | null;
      readonly basis: Basis;
    }
  | { readonly state: "unknown" | "finished"; readonly basis: Basis };

/** What the rules need beside the limit: the task's way of counting, its last completion and the machine's past. */
export interface DueContext {
  readonly anchor: NonNullable<Task["anchor"]>;
  readonly last: Completion | null;
  /** Its earliest completion up to today. */
  readonly first: Completion | null;
  readonly historyIsKnown: boolean;
  readonly inService: DayNumber | null;
}

/** A meter limit with where it is due, in life on its meter, before any forecast. */
export interface MeterLimitDue {
  readonly kind: "meter";
  readonly limit: MeterLimit;
  readonly reckoning: MeterReckoning;
  readonly due: Due<number>;
}

/** A calendar limit with the day it is due, before any forecast. */
export interface CalendarLimitDue {
  readonly kind: "calendar";
  readonly limit: CalendarLimit;
  readonly due: Due<DayNumber>;
}

/** A measured limit with the life at which its wear meets its figure, before any forecast. */
export interface MeasuredLimitDue {
  readonly kind: "measured";
  readonly limit: MeasuredLimit;
  readonly reckoning: MeterReckoning;
  readonly due: Due<number>;
  /** Whether fewer than three lives were measured. */
  readonly rough: boolean;
}

/** A limit with where it is due, before any forecast. */
export type LimitDue = MeterLimitDue | CalendarLimitDue | MeasuredLimitDue;

/** What a task that comes with every n-th turn of another is counted by (due rules §5). */
export interface NthContext {
  readonly nth: NonNullable<Task["nth"]>;
  /** This task's own last completion. */
  readonly last: Completion | null;
  /** The other task's completions on a later date than that, earliest first. */
  readonly turns: readonly Completion[];
  readonly inService: DayNumber | null;
}

/** Why a task that comes with every n-th turn is due when it is. */
export function nthBasis(
  { nth, turns }: NthContext,
  skippedAt: CompletionFact | null,
  last: CompletionFact | null,
  heldBack: boolean,
): Basis {
  return {
    code: "nth",
    of: nth.of,
    every: nth.every,
    turns: turns.length,
    skippedAt,
    heldBack,
    last,
  };
}
