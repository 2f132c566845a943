export { crossingRecords } from "./crossing.js";
export { byDate, currentRecords, supersededIds } from "./currentRecords.js";
export type { DatedRecord } from "./dated.js";
export {
  dependOnProducts,
  type MachineBook,
  machineBookOf,
  machineBooksOf,
} from "./machineBook.js";
export {
  EMPTY_PLATE,
  type MachinePlate,
  machinePlateOf,
  type SharedBook,
  sharedBookOf,
} from "./machinePlate.js";
export { recordsByMachine } from "./machineRecords.js";
