export { bookCosts, type BookCosts } from "./bookCosts.js";
export {
  bookWithout,
  correctEntry,
  correctMeterChange,
  correctReading,
  type NotCorrectable,
  withdrawRecord,
} from "./corrections.js";
export { entryCost, wholeCost } from "./entryCost.js";
export { followUpsOwed, type OwedFollowUp } from "./followUps.js";
export {
  logWork,
  type LogWorkInput,
  type LogWorkIssue,
  mayHoldUntil,
  workDoubts,
  type WorkFigure,
} from "./logWork.js";
