import type { MeterId } from "./ids.js";

/** What a limit of any kind may say in the book. */
interface AnyLimitRecord {
  readonly grace?: number | undefined;
  readonly hard?: boolean | undefined;
  /** Kinds of product it holds for; any where absent (due rules §13). */
  readonly for?: readonly string[] | undefined;
}

/** As the book has a limit by distance or hours: milestones in life, then every so much. */
export interface MeterLimitRecord extends AnyLimitRecord {
  readonly meter: MeterId;
  readonly every?: number | null | undefined;
  readonly at?: readonly number[] | undefined;
}

/** As the book has a limit by calendar: every so many months or days, exactly one of the two. */
export interface CalendarLimitRecord extends AnyLimitRecord {
  readonly months?: number | null | undefined;
  readonly days?: number | null | undefined;
  readonly from?: string | null | undefined;
}

/** A limit of a task as the book has it: its kind is told by its fields alone. Whoever reckons or words it takes `limitOf` of it. */
export type LimitRecord = MeterLimitRecord | CalendarLimitRecord;
