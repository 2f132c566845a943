import type { TaskId } from "../../book/records/ids.js";
import type { Visit } from "../../book/records/visit.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import type { Turn } from "./turn.js";

/** A visit as the plan has it: one the book holds, or one proposed. */
export interface PlannedVisit {
  readonly day: DayNumber;
  /** The visit of the book; null where it is only proposed. */
  readonly visit: Visit | null;
  /** The turns it does. */
  readonly turns: readonly Turn[];
  /** Tasks of a visit of the book that have no turn ahead, or are done already. */
  readonly others: readonly TaskId[];
  /** Those of them that are still to be done. */
  readonly undone: readonly TaskId[];
  /** Turns that would be cheapest done in it too, and are not in it yet; none in a proposed one. */
  readonly fitting: readonly Turn[];
  readonly isOutside: boolean;
}
