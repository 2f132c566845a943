export {
  blocksOf,
  costOfAnswer,
  gapOf,
  loadsOf,
  type Chosen,
  type FleetAnswer,
  type FleetCost,
} from "./fleetAnswer.js";
export { fleetChanges, takeFleetChanges, type FleetChange } from "./fleetChanges.js";
export type {
  FleetBlock,
  FleetMachine,
  FleetOption,
  FleetProblem,
  Pool,
  UnmetNeed,
  WeekChoice,
} from "./fleetProblem.js";
export { fleetMilp, type FleetMilp, type FleetModel } from "./fleetModel.js";
export { fleetTold, type FleetTold, type FleetWeek } from "./fleetTold.js";
export { type Freeing, type FullFleetWeek } from "./fullWeeks.js";
export { prepareFleet, type FleetBook, type FleetPreparing } from "./prepareFleet.js";
export { shareWeeks, type Shared } from "./shareWeeks.js";
export { solveFleet, type FleetFound, type FleetSearch } from "./solveFleet.js";
