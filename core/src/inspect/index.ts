export { checkLimits, type CheckLimits, isRead } from "./checkLimits.js";
export { findingAtPlace } from "./foundAt.js";
export { isAsked, judgeReadings, pickOf, proposedVerdict, readAgain } from "./judgeCheck.js";
export { CHECKLIST_LIBRARY } from "./library/index.js";
export {
  type CheckPlace,
  type CheckResult,
  isFound,
  openPlaces,
  placesOf,
  resultAt,
  stationOf,
} from "./places.js";
export {
  beginRound,
  dropRound,
  finishRound,
  leaveTheRest,
  type RoundIssue,
  roundsUnderWay,
  tellReading,
  tellResult,
} from "./roundCommands.js";
export { type Wear, wearOf } from "./wear.js";
