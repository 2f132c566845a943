export { dayToSpare, type PlanIssue } from "./planIssues.js";
export { costOfVisiting, type MachinePlan } from "./planMachine.js";
export type { PlannedVisit } from "./plannedVisit.js";
export { hoursOf, minutesOf, ridgeOf, type Week } from "./ridge.js";
export type { RoomMove } from "./roomMoves.js";
export { type Blocked, mondayOf, spareDays, weekdayOf } from "./spareDays.js";
export { countsOn, isPastHardEnd, type Turn, turnKey, turnOn } from "./turn.js";
export {
  acceptVisits,
  addToVisit,
  dropVisit,
  leaveOut,
  moveVisit,
  type NewVisit,
  noteVisit,
  pinVisit,
  quoteVisit,
  settleVisit,
  splitVisit,
  VISIT_NEEDS,
  type VisitContext,
  type VisitIssue,
} from "./visitChanges.js";
export {
  type OtherDay,
  otherDays,
  type TurnShare,
  type VisitCost,
  visitCostOn,
} from "./visitCost.js";
export { awayOn, type PlanSource, planUntil, visitsOfMachine } from "./visitsOfMachine.js";
export { weekHoursOf, type WeekHours } from "./weekHours.js";
export { type FullWeek, movesOutOf, otherWeeks, type WeekVisit } from "./weekRoom.js";
