export type { JobCard, ToldEvent } from "./card.js";
export { cardIssues as cardIssuesOf } from "./cardIssues.js";
export { bookWork, type BookWorkIssue, type WorkToBook } from "./commands/bookWork.js";
export {
  changeCard,
  type ChangeCardIssue,
  changedCard,
  type NotKept,
  notKept,
} from "./commands/changeCard.js";
export {
  finishJob,
  type FinishJobIssue,
  giveUpJob,
  type GiveUpIssue,
  lastToldAt,
  lateEvents,
} from "./commands/finishJob.js";
export { type JobWork, jobWork } from "./commands/jobWork.js";
export { dropOwnWay, keepMethod, keepOwnWay, type KeepWayIssue } from "./commands/keepWay.js";
export { type JobToOpen, openJob, type OpenJobIssue, openJobs } from "./commands/openJob.js";
export {
  putDownJob,
  takeUpJob,
  type Tap,
  type TapContext,
  type TapIssue,
  tapJob,
  undoTap,
} from "./commands/tapJob.js";
export type { RejectedCode } from "./eventCodes.js";
export { readJobFile } from "./jobFile.js";
export { JobRun } from "./jobRun.js";
export type { StepVerdict } from "../inspect/verdict.js";
export { type JobState, jobState } from "./jobState.js";
export { cardFrom, type CardFrom } from "./make/cardFrom.js";
export { DANGERS } from "./make/cautions.js";
export { waysToChoose } from "./make/chooseWay.js";
export { METHODS } from "./make/library/index.js";
export { makeCard, type MadeCard } from "./make/makeCard.js";
export type { CardLack } from "./make/places.js";
export { libraryMethods, methodsFile, readMethodsFile, takeInMethods } from "./methodsFile.js";
