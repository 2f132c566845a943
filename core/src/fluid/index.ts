export {
  type CapacityAnswer,
  capacityAnswers,
  DISAGREEMENT_SHARE,
  plainCapacity,
} from "./capacity.js";
export {
  type Cold,
  type CoverIssue,
  type GradeAnswer,
  gradesInTheCold,
  productCovers,
  isWrongProduct,
} from "./covers.js";
export { DEFAULT_COLD_MARGIN } from "./grade.js";
export {
  BRAKE_TYPES,
  type BrakeType,
  COOLANT_FAMILIES,
  type CoolantFamily,
  FLUID_KINDS,
  type FluidKind,
  OIL_BASES,
  type OilBase,
} from "./kinds.js";
export { type LearnedCapacity, learnedCapacityOf } from "./learnedCapacity.js";
export {
  levelWindow,
  type TemperatureRead,
  type TemperatureWindow,
  type WindowReading,
} from "./levelWindow.js";
export { isRefused, mixing, type MixingAnswer } from "./mixing.js";
