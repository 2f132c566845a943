export { crossingRecords } from "./crossing.js";
export { byDate, currentRecords, standingFor, supersededIds } from "./currentRecords.js";
export type { DatedOfMachine, DatedRecord } from "./dated.js";
export {
  checklistsNamed,
  dependOnProducts,
  machineBookOf,
  machineBooksOf,
  productsNamed,
  sliceOf,
} from "./machineBook.js";
export {
  EMPTY_PLATE,
  type MachinePlate,
  machinePlateOf,
  type SharedBook,
  sharedBookOf,
} from "./machinePlate.js";
export { recordsByMachine } from "./machineRecords.js";
export {
  BOOK_NEEDS,
  RECKONED_SECTIONS,
  type Inside,
  type MachineBook,
  type Need,
  type SharedSlice,
  type Slice,
} from "./slice.js";
