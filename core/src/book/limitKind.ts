import type { MeterId } from "./ids.js";

/** What either kind of limit may say. */
interface AnyLimit {
  readonly grace?: number | undefined;
  readonly hard?: boolean | undefined;
  /** Kinds of product it holds for; any where absent (due rules §13). */
  readonly for?: readonly string[] | undefined;
}

/** By distance or hours: milestones in life, then every so much. */
export interface MeterLimit extends AnyLimit {
  readonly meter: MeterId;
  readonly every?: number | null | undefined;
  readonly at?: readonly number[] | undefined;
}

/** By calendar: every so many months or days, exactly one of the two. */
export interface CalendarLimit extends AnyLimit {
  readonly months?: number | null | undefined;
  readonly days?: number | null | undefined;
  readonly from?: string | null | undefined;
}

/** One limit of a task; which of the two kinds, its `meter` tells. */
export type Limit = MeterLimit | CalendarLimit;

/** Whether a limit counts on a meter (else on the calendar). */
export function isMeterLimit(limit: Limit): limit is MeterLimit {
  return "meter" in limit && limit.meter !== undefined && limit.meter !== null;
}
