export { applyChange, type Change, fieldsOf, put, type RecordChange } from "./change.js";
export { changeSettings, type SettingsInput } from "./changeSettings.js";
export type { CommandContext, CommandResult } from "./command.js";
export { type EditedSection, keepRecord } from "./keepRecord.js";
export { headAfter } from "./removed.js";
export { failure, type Result, success } from "./result.js";
export { takenBack } from "./takenBack.js";
