export { asBefore, type AsBefore } from "./asBefore.js";
export { checkLimits, type CheckLimits, isRead } from "./checkLimits.js";
export { foundBefore } from "./foundBefore.js";
export { findingAtPlace } from "./foundAt.js";
export { isAsked, judgeReadings, pickOf, proposedVerdict, readAgain } from "./judgeCheck.js";
export {
  CHECK_SUMS,
  type Figures,
  figuresBefore,
  type JudgedSum,
  judgeSum,
  knownFigures,
  plateFigures,
  sumOfCheck,
  unitOfSum,
} from "./judgeSum.js";
export { CHECKLIST_LIBRARY } from "./library/index.js";
export { type ListedRound, listRounds, type ListedRounds } from "./listRounds.js";
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
  tellAsBefore,
  tellFigures,
  tellReading,
  tellResult,
} from "./roundCommands.js";
export { sharedCauses, unevenPairs } from "./together.js";
export { goesBy, type Wear, wearOf } from "./wear.js";
