import type { DayNumber, Planning, TaskId } from "@yonderfell/core";
import type { VisitChanges } from "./useVisitChanges.js";
import type { ListedVisit } from "./visitModel.js";

/** What the panel of a visit is told. */
export interface VisitPanelProps {
  readonly visit: ListedVisit;
  readonly nameOf: (task: TaskId) => string;
  /** All tasks of its machine. */
  readonly tasks: readonly TaskId[];
  readonly today: DayNumber;
  readonly planning: Planning;
  readonly currency: string;
  readonly changes: VisitChanges;
  readonly weekWords: (day: DayNumber) => string;
  readonly onMove: (day: DayNumber | null) => void;
}
