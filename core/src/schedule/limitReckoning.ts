import type { MeterId, TaskId } from "../book/records/ids.js";
import type { CalendarLimit, MeasuredLimit, MeterLimit } from "../limit/limit.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import type { Unit } from "../quantity/unit.js";
import type { CompletionFact } from "./completion.js";
import type { Forecast } from "./forecast.js";

/** The states of a limit and of a task, from the most pressing to those that do not press (due rules §7). */
export const STATUSES = ["overdue", "due", "soon", "clear", "unknown", "finished"] as const;
export type Status = (typeof STATUSES)[number];

/** Where a limit counts from and by which rule: the facts a person needs to check it by hand (due rules §9). */
export type Basis =
  /** Never done, history known: from 0, or from the day in service. */
  | { readonly code: "never-done" }
  | { readonly code: "completed"; readonly last: CompletionFact }
  /**
   * On a fixed grid; `last` satisfied the point it counts from, null where never done. `first` is the completion
   * its points are counted from, where nothing else fixes them.
   */
  | {
      readonly code: "grid";
      readonly last: CompletionFact | null;
      readonly first?: CompletionFact;
    }
  | { readonly code: "history-unknown" }
  | { readonly code: "life-unknown-then"; readonly last: CompletionFact }
  | { readonly code: "date-missing" }
  | { readonly code: "milestones-passed"; readonly last: CompletionFact }
  | {
      readonly code: "nth";
      readonly of: TaskId;
      readonly every: number;
      /** Turns of the other task since this one was last done. */
      readonly turns: number;
      /** The turn it was skipped at, where it was. */
      readonly skippedAt: CompletionFact | null;
      /** Held back to a whole interval after its own last time. */
      readonly heldBack: boolean;
      readonly last: CompletionFact | null;
    }
  | { readonly code: "nth-unknown"; readonly of: TaskId }
  /** Tested sound, to be looked at again (due rules §11). */
  | { readonly code: "tested-sound"; readonly test: CompletionFact; readonly found: string | null }
  /** Wanted at once, by a reminder code of the machine or, where null, by a person (due rules §12). */
  | { readonly code: "wanted"; readonly by: CompletionFact; readonly reminder: string | null }
  /** By the trend of what was measured; `slope` in the check's unit for each unit of the meter (due rules §16). */
  | {
      readonly code: "measured";
      readonly check: string;
      readonly point: string | null;
      readonly unit: Unit;
      readonly slope: number;
      readonly points: number;
    }
  /** Not measured since it was last done, or not often enough to say when. */
  | { readonly code: "not-measured" | "no-trend"; readonly check: string }
  | { readonly code: "follows-waiting"; readonly task: TaskId }
  | { readonly code: "follows-armed"; readonly task: TaskId; readonly by: CompletionFact }
  | {
      readonly code: "follows-done";
      readonly task: TaskId;
      readonly by: CompletionFact;
      readonly last: CompletionFact;
    };

interface LimitReckoningBase {
  readonly basis: Basis;
  readonly status: Status;
  readonly forecast: Forecast | null;
  /** The last day within the grace, counted from the likely date; null where there is no date, or no grace beyond it. */
  readonly graceUntil: DayNumber | null;
}

/** A meter limit reckoned; figures in the meter's unit, as life but for `dialAt`. */
export interface MeterLimitReckoning extends LimitReckoningBase {
  readonly kind: "meter";
  /** The limit it comes from; for nth the one borrowed, for follows one made of it. */
  readonly limit: MeterLimit;
  readonly meter: MeterId;
  readonly from: number | null;
  readonly dueAt: number | null;
  /** `dueAt` in the figures of today's dial. */
  readonly dialAt: number | null;
  readonly remaining: number | null;
}

/** A calendar limit reckoned; `remaining` in days. */
export interface CalendarLimitReckoning extends LimitReckoningBase {
  readonly kind: "calendar";
  /** As for a meter limit. */
  readonly limit: CalendarLimit;
  readonly from: DayNumber | null;
  readonly dueOn: DayNumber | null;
  readonly remaining: number | null;
}

/** A measured limit reckoned; figures as for a meter limit. */
export interface MeasuredLimitReckoning extends LimitReckoningBase {
  readonly kind: "measured";
  readonly limit: MeasuredLimit;
  readonly meter: MeterId;
  readonly from: number | null;
  readonly dueAt: number | null;
  readonly dialAt: number | null;
  readonly remaining: number | null;
  /** Whether fewer than three lives were measured. */
  readonly rough: boolean;
}

export type LimitReckoning = MeterLimitReckoning | CalendarLimitReckoning | MeasuredLimitReckoning;
