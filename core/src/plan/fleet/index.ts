export { findFleetPlan, type FleetNews } from "./findFleetPlan.js";
export { gapOf } from "./fleetAnswer.js";
export { type FleetChange, takeFleetChanges } from "./fleetChanges.js";
export type { Pool, UnmetNeed } from "./fleetProblem.js";
export type { FleetTold, FleetWeek } from "./fleetTold.js";
export type { Freeing, FullFleetWeek } from "./fullWeeks.js";
