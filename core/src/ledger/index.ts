export { besideKind, type BesideKind } from "./besideKind.js";
export {
  type FollowedUp,
  type OnTime,
  onTime,
  type OnTimeShare,
  type OutOfService,
  type OverdueTask,
} from "./onTime.js";
export { bookCosts, type BookCosts, type MachineCost } from "./bookCosts.js";
export {
  bookWithout,
  correctEntry,
  correctMeterChange,
  correctReading,
  type NotCorrectable,
  withdrawRecord,
} from "./corrections.js";
export { entryCost, minutesWorked, wholeCost } from "./entryCost.js";
export { type SystemInUse, systemsInUse, type TopUpRate } from "./inUse.js";
export { followUpsOwed, type OwedFollowUp } from "./followUps.js";
export {
  type FluidDoubt,
  fluidDoubts,
  plannedFilling,
  type PlannedFluid,
  type PlannedFrom,
  type PlannedPart,
  type PlannedWork,
  plannedWork,
  suppliedBy,
} from "./plannedWork.js";
export {
  type MonthSpent,
  type Spending,
  spending,
  type Spent,
  type UnpricedLine,
} from "./spending.js";
export { topUp, usualTopUp } from "./topUp.js";
export {
  logWork,
  type LogWorkInput,
  type LogWorkIssue,
  mayHoldUntil,
  TOOK_FIELDS,
  workDoubts,
  type WorkFigure,
  type WorkTook,
} from "./logWork.js";
export { type InTime, type TurnDone, turnsDone } from "./turns.js";
export { type WorkFollows, workFollows } from "./workFollows.js";
export { BEGINNING, type Span, type SpanName, spanName, spanOf, SPANS } from "./span.js";
export {
  type CostGroup,
  type CostGrouping,
  COST_GROUPINGS,
  costGroups,
  type CostGroupsAsked,
  NO_TASK,
} from "./costGroups.js";
export { type AheadCost, type WaitingCost } from "./spendingAhead.js";
export { type MonthAhead, type YearAhead, yearAhead, type YearBudget } from "./yearAhead.js";
export {
  LOG_ORDERS,
  type LogAsked,
  type LogList,
  logOf,
  type LogOrder,
  type LogSums,
  type WorkLog,
} from "./logList.js";
export type { EntryNames } from "./entryNames.js";
export { bringBack, setAside, takeProposal, takeSampledInterval } from "./learning/answer.js";
export { type CapacityBeside, OWN_EXPERIENCE } from "./learning/capacities.js";
export { type ConsumptionTrend, type ServiceSpan } from "./learning/consumption.js";
export { type EstimateBeside } from "./learning/estimates.js";
export { type Evidence, type IntervalSeen, type TurnSeen } from "./learning/intervals.js";
export { learning, type Learning, type MachineLearning } from "./learning/learning.js";
export { type PartLives } from "./learning/partLives.js";
export {
  capacityProposal,
  minutesProposal,
  type Proposal,
  type ProposalStanding,
} from "./learning/proposals.js";
