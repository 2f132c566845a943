import type { ChecklistId, MeterId } from "./ids.js";

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

/** As the book has a limit by what is measured in rounds: wear that meets a figure (due rules §16). */
export interface MeasuredLimitRecord extends AnyLimitRecord {
  readonly checklist: ChecklistId;
  /** The id of a check of it, which has a unit. */
  readonly check: string;
  readonly point?: string | null | undefined;
  /** The meter whose life the wear is set against. */
  readonly meter: MeterId;
  /** In the unit of the check. */
  readonly limit: number;
}

/** A limit of a task as the book has it: its kind is told by its fields alone. Whoever reckons or words it takes `limitOf` of it. */
export type LimitRecord = MeterLimitRecord | CalendarLimitRecord | MeasuredLimitRecord;
