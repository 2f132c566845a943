export { intervalChanges, type IntervalChange } from "./advice.js";
export { findingOfSample } from "./found.js";
export { sampleFigure, SAMPLE_FIGURES, type SamplePart } from "./figures.js";
export {
  type JudgedFigure,
  type JudgedSample,
  judgeSamples,
  oilLifeOf,
  type SampleAdvice,
  samplesOf,
} from "./judgeSample.js";
export {
  type AnswerDoubt,
  type LabAnswer,
  type LabReport,
  labReportSchema,
  readAnswer,
} from "./labAnswer.js";
export { oilLifeOn } from "./oilLife.js";
export {
  correctSample,
  keepAnswer,
  leaveAnswer,
  noteSample,
  type SampleIssue,
  sendSample,
  strikeSample,
  takeSample,
} from "./sampleCommands.js";
