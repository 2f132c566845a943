import type { Planning } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";

/** A day on which a visit is or may be. */
export interface VisitDay {
  readonly day: DayNumber;
  /** What it costs to have a visit that day: 0 where there is one already. */
  readonly cost: number;
  /** What is opened that day in any case. */
  readonly opened: ReadonlySet<string>;
}

/** What the search for the cheapest days goes by. */
export type Weights = Pick<Planning, "accessCost" | "lateADay" | "pastGraceADay">;
