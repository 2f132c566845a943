export type { CompletionFact } from "./completion.js";
export { type DueList, dueList } from "./dueList.js";
export type { Forecast } from "./forecast.js";
export type { FindingReckoning } from "./findingsDue.js";
export { insideOf, plateNow, type ProductInside } from "./inside.js";
export {
  type LimitReckoning,
  type MeterLimitReckoning,
  type Status,
  STATUSES,
} from "./limitReckoning.js";
export { reckonBook } from "./reckonBook.js";
export { type MachineReckoning, machineState } from "./reckonMachine.js";
export { reckonTask, type TaskReckoning } from "./reckonTask.js";
export { limitsInForce } from "./taskDue.js";
