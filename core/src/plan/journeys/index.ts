export type { FluidAlong, PartAlong } from "./journeyLoad.js";
export type { OilOnJourney } from "./journeyOil.js";
export { journeyDays, type JourneyRun } from "./journeyRun.js";
export type { JourneyAdvice, JourneyTask } from "./journeyTasks.js";
export type { LimitOnJourney } from "./limitOnJourney.js";
export { type JourneyIssue, type JourneyPlan, planJourney } from "./planJourney.js";
