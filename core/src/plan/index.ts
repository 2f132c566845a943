export {
  applyPlan,
  type ApplyPlanIssue,
  type NotApplicable,
  type PlanOffer,
  planOffers,
} from "./applyPlan.js";
export { type Hindsight, schoolsInHindsight } from "./hindsight.js";
export {
  type LadderInput,
  type LadderIssue,
  laddersOf,
  type LadderStep,
  stepsIncluded,
  writeLadder,
} from "./ladder.js";
export { plansFor } from "./library.js";
export { nextTurns } from "./occurrences.js";
export { type Plan, planOfMachine } from "./plan.js";
export { compareSchools, SCHOOLS, type SchoolSum, type SchoolTask } from "./schools.js";
export { type TimeIssue, timeTasks, type UntimedTasks, untimedTasks } from "./timeTasks.js";
