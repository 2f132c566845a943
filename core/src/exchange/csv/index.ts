export { guardCell } from "./csvCells.js";
export { CSV_COLUMNS, CSV_KINDS, type CsvKind, writtenColumns } from "./csvColumns.js";
export { type CsvFollowUps, csvFollowUps, withFollowUps } from "./csvFollowUps.js";
export { type CsvFormat, DATE_ORDERS, type DateOrder } from "./csvFormat.js";
export {
  type CsvColumns,
  type CsvGuess,
  type CsvHabits,
  guessCsv,
  guessFormat,
} from "./csvGuess.js";
export {
  CSV_DOUBTS,
  type CsvDoubt,
  type CsvIssue,
  csvQuestion,
  describeCsvIssue,
} from "./csvIssue.js";
export {
  csvChange,
  type CsvItem,
  type CsvNumbering,
  type CsvPlan,
  type CsvReading,
  type CsvTable,
  writes,
} from "./csvPlan.js";
export { writeCsv } from "./csvWrite.js";
export { readCsv } from "./readCsv.js";
export {
  type DoubtGroup,
  type DoubtQuestion,
  PlanShown,
  type ShownFigure,
  type ShownFollowUps,
  type ShownItem,
  type TableChoices,
  type TablePlan,
} from "./csvShown.js";
