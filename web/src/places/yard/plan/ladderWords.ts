import { amount } from "../../../words/format.js";
import type { LadderModel, LadderProblem } from "./ladderModel.js";

/** What is said of a ladder. */
export const LADDER_LABELS: Readonly<Record<keyof LadderModel, string>> = {
  name: "Name",
  meter: "Counted by",
  every: "First step every",
  rows: "Steps",
};

/** What is wrong with a ladder, and what to do. */
export function ladderProblemWords({ issue, unit }: LadderProblem): string {
  switch (issue.code) {
    case "name-missing":
      return "Give the ladder a name.";
    case "interval-missing":
      return "Say every how much the first step comes, a figure above 0.";
    case "no-first-step":
      return `Write down the step at ${amount(issue.every, unit)}, the first of it.`;
    case "step-name-missing":
      return `Say what the step at ${amount(issue.at, unit)} adds, or leave it out.`;
    case "not-a-multiple":
      return Number.isFinite(issue.at)
        ? `A step at ${amount(issue.at, unit)} does not fit: it must be a whole multiple of ${amount(issue.every, unit)}.`
        : "Each step needs its figure.";
    case "two-steps-at":
      return `Two steps stand at ${amount(issue.at, unit)}; put them together.`;
  }
}
