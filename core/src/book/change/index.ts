export {
  applyChange,
  applyChanges,
  type Change,
  fieldsOf,
  put,
  type RecordChange,
} from "./change.js";
export { changeSettings, type SettingsInput, type SettingsIssue } from "./changeSettings.js";
export {
  type ChangedElsewhere,
  type CommandContext,
  type CommandResult,
  joined,
} from "./command.js";
export { type EditedSection, type KeepIssue, keepRecord } from "./keepRecord.js";
export { headAfter } from "./removed.js";
export { failure, type Result, success } from "./result.js";
export { type CalendarDays, newClosures, takeInClosures } from "./takeInClosures.js";
export { takenBack } from "./takenBack.js";
