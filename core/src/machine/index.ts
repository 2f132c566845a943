export {
  addMachine,
  type MachineIssue,
  namingIssues,
  type NewFluid,
  type NewMachine,
} from "./addMachine.js";
export { type AssignIssue, assignMachines, type Assignment } from "./assignMachines.js";
export {
  type BaselineAnswer,
  type BaselineDecision,
  type BaselineIssue,
  type BaselineTask,
  baselineTasks,
  decideBaseline,
  finishBaseline,
  takeOnMachine,
  tasksWithoutStart,
} from "./baseline.js";
export { keepFinding } from "./keepFinding.js";
export { type FittedAnswer, fittedAnswer, governing, isMismatch } from "./fitted.js";
export {
  currentStop,
  releaseForService,
  type ServiceIssue,
  takeOutOfService,
} from "./outOfService.js";
export { coldOf, type PlateFinding, plateFindings } from "./plateFindings.js";
export { noteReminder, type ReminderState, reminderStates } from "./reminders.js";
export { type RunningInState, runningInState } from "./runningInState.js";
export { checkDigitOf, type VinDoubt, vinDoubt } from "./vin.js";
export {
  baselineEvidence,
  type BaselineFound,
  type BaselineProposal,
  type BaselineSources,
} from "./baselineEvidence.js";
export { levelsAgain, recheckLevels } from "./recheckLevels.js";
