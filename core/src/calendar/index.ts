export {
  addDays,
  dayFromParts,
  type DayNumber,
  dayOf,
  daysBetween,
  formatDay,
  parseDay,
  partsFromDay,
} from "./dayNumber.js";
