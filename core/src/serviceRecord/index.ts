export type {
  RecordContent,
  RecordDial,
  RecordFluid,
  RecordGap,
  RecordLine,
  RecordMeasure,
  RecordPicture,
  RecordWork,
  ServiceRecord,
} from "./document.js";
export { GAP_DAYS } from "./gaps.js";
export { makeRecord, type RecordAsked, type RecordedSections } from "./makeRecord.js";
export {
  issueRecord,
  picturesOfRecord,
  RECORD_FILE,
  RECORD_TABLE,
  recordText,
} from "./recordFile.js";
export { recordRows } from "./recordRows.js";
export {
  type FileBeside,
  type IssuedChange,
  type RecordVerdict,
  verifyRecord,
} from "./verifyRecord.js";
export { type WarrantyLimit, type WarrantyTurn, warrantyTurns } from "./warranty.js";
