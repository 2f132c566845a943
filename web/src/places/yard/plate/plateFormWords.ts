import { mixingWords } from "../../../words/plateWords.js";
import type { FluidModel, FluidProblem } from "./fluidModel.js";
import type { PointModel, PointProblem } from "./pointModel.js";
import type { SpecificationModel, SpecificationProblem } from "./specificationModel.js";

/** Where fluids usually are. */
export const SYSTEMS: readonly string[] = [
  "engine",
  "cooling system",
  "gearbox",
  "brakes",
  "rear axle",
  "front axle",
  "transfer box",
  "hydraulics",
  "power steering",
  "clutch",
];

/** Who gives figures. */
export const SOURCES: readonly string[] = [
  "handbook",
  "label",
  "dealer",
  "own experience",
  "maker of another part",
];

/** What is said of a fluid. */
export const FLUID_LABELS: Readonly<Record<keyof FluidModel, string>> = {
  system: "System",
  kind: "Kind",
  codes: "Codes required, apart by commas",
  coolantFamily: "Family",
  brakeType: "Type",
  product: "In it now",
  isFlushed: "It was flushed before the other went in",
  note: "Note",
  grades: "Grades by climate",
  capacities: "How much goes in, each with its source",
};

/** What is wrong with a fluid, and what to do. */
export function fluidProblemWords(problem: FluidProblem): string {
  switch (problem.code) {
    case "system-missing":
      return "Say which system it is, such as engine or gearbox.";
    case "source-missing":
      return "Say who gives each capacity: handbook, label, dealer.";
    case "not-a-capacity":
      return "That is not a capacity; mend it or leave it empty.";
    case "why-modified-missing":
      return "A modified part overrides the handbook: say why in its note.";
    case "not-a-temperature":
      return "That is not a temperature in °C.";
    case "mixing":
      return mixingWords(problem.refused);
  }
}

/** What is said of a service point. */
export const POINT_LABELS: Readonly<Record<keyof PointModel, string>> = {
  purpose: "What is done there",
  name: "Name",
  fluid: "Fluid",
  where: "Where, and how one gets at it",
  count: "How many there are",
  tool: "Tool and size",
  torque: "Torque",
  torqueUse: "What is tightened",
  seal: "Seal to renew",
  note: "Note",
  pictures: "Pictures",
};

/** What is wrong with a service point, and what to do. */
export function pointProblemWords({ code }: PointProblem): string {
  switch (code) {
    case "name-missing":
      return "Say what the point is called, such as sump plug.";
    case "count-not-whole":
      return "How many there are must be a whole number from 1 on.";
    case "not-a-torque":
      return "That is not a torque; mend it or leave it empty.";
  }
}

/** What is said of something specified. */
export const SPECIFICATION_LABELS: Readonly<Record<keyof SpecificationModel, string>> = {
  text: "In words, alternatives apart by “ / ”",
  least: "At least",
  most: "At most",
  source: "Source",
  group: "Group",
  name: "What",
  fittedText: "In words: size, type or number",
  fittedQuantity: "As a quantity",
  isOverridden: "Another part's maker sets something else",
  override: "Instead of the handbook",
  reason: "Why",
  note: "Note",
};

/** What is wrong with something specified, and what to do. */
export function specificationProblemWords({ code }: SpecificationProblem): string {
  switch (code) {
    case "name-missing":
      return "Say what it is, such as battery, capacity.";
    case "nothing-specified":
      return "Say what is specified: words, a least or a most.";
    case "not-a-quantity":
      return "That is not a quantity; mend it or leave it empty.";
    case "nothing-overrides":
      return "Say what overrides the handbook.";
    case "reason-missing":
      return "Say why it overrides the handbook.";
  }
}
