import { machineIssueWords } from "../../../words/machineWords.js";
import type { MachineSheet, SheetProblem } from "./newMachineModel.js";

/** What is said of a new machine. */
export const SHEET_LABELS: Readonly<Record<keyof MachineSheet, string>> = {
  tag: "Number",
  name: "Name",
  kind: "Kind",
  description: "Make, model, engine or variant",
  inService: "In service since",
  history: "History before",
  place: "Lives at",
  vin: "VIN or serial number",
  gallons: "A bare quart or gallon means",
  source: "Capacities by",
  meters: "Meters",
  fluids: "Fluids of its plate",
};

/** What is wrong with a new machine, and what to do. */
export function sheetProblemWords(problem: SheetProblem): string {
  switch (problem.code) {
    case "machine":
      return machineIssueWords(problem.issue);
    case "unit-missing":
      return `Say what the ${problem.meter} counts: km, mi or h.`;
    case "not-a-figure":
      return `That is not a figure of the ${problem.meter}.`;
    case "not-a-capacity":
      return "That is not a capacity; mend it or leave it empty.";
  }
}
