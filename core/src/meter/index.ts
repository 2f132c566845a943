export {
  addMeter,
  believeMeter,
  changeMeter,
  guessChange,
  type MeterIssue,
  stopMeter,
} from "./changeMeter.js";
export { dialOn } from "./dials.js";
export { type FeedBox, feedBoxes } from "./feedBox.js";
export { figureDoubt, type FigureDoubt, reckonedDial } from "./figureDoubt.js";
export { CEILING_PER_DAY } from "./keptPoints.js";
export { lifeOn } from "./lifeLine.js";
export {
  type LineFigure,
  type LineReading,
  parseReadingLine,
  type ReadingLine,
  type ReadingLineIssue,
} from "./parseReadingLine.js";
export type { Point } from "./points.js";
export { type MeterFigureIssue, readMeter, readMeters } from "./readMeter.js";
export { type MeterReckoning, reckonMeters } from "./reckonMeter.js";
export { runningDaysOf } from "./runningDays.js";
export {
  type DialFigureInput,
  type FigureAnswer,
  type FigureIssue,
  meterReckoningOf,
} from "./settleFigure.js";
