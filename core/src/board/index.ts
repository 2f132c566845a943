export {
  type BoardFault,
  type BoardMachine,
  type BoardMeter,
  reckonBoard,
  reckonBookMeters,
  reckonMachineBook,
} from "./board.js";
export {
  type BoardTask,
  firstOverAll,
  firstTask,
  machinesInOrder,
  mostPressing,
  pressure,
  tasksInOrder,
} from "./boardOrder.js";
export {
  daysOver,
  forbidsUse,
  governingLimit,
  isRequired,
  likelyDay,
  orderingDay,
  presses,
} from "./governing.js";
export { type BookSummary, summaryOf } from "./bookSummary.js";
