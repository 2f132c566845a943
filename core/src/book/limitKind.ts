import type { MeterId } from "./ids.js";

/** By distance or hours: milestones in life, then every so much. */
export interface MeterLimit {
  readonly meter: MeterId;
  readonly every?: number | null | undefined;
  readonly at?: readonly number[] | undefined;
  readonly grace?: number | undefined;
  readonly hard?: boolean | undefined;
}

/** By calendar: every so many months or days, exactly one of the two. */
export interface CalendarLimit {
  readonly months?: number | null | undefined;
  readonly days?: number | null | undefined;
  readonly from?: string | null | undefined;
  readonly grace?: number | undefined;
  readonly hard?: boolean | undefined;
}

/** One limit of a task; which of the two kinds, its `meter` tells. */
export type Limit = MeterLimit | CalendarLimit;

/** Whether a limit counts on a meter (else on the calendar). */
export function isMeterLimit(limit: Limit): limit is MeterLimit {
  return "meter" in limit && limit.meter !== undefined && limit.meter !== null;
}
