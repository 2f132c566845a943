export { type JobState, jobState } from "./jobState.js";
export { readJobFile } from "./jobFile.js";
