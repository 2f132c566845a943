export {
  type MachineReport,
  type PutRight,
  type ReportedCost,
  type ReportedFinding,
  type ReportedRound,
  reportOn,
} from "./report.js";
