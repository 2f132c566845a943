import { quantityIssueWords } from "../../../words/quantityWords.js";
import { listOfWords } from "../../../words/format.js";
import type { FieldProblem } from "./readFields.js";
import type { Outcome } from "./reckoned.js";
import type { Told } from "./sumForm.js";

/** What is wrong with a field, and what to do. */
export function fieldProblemWords(problem: FieldProblem): string {
  switch (problem.code) {
    case "quantity":
      return quantityIssueWords(problem.issue, problem.unit);
    case "not-a-figure":
      return "A figure is expected here.";
    case "not-a-day":
      return "Choose a day.";
    case "no-mix-as-cold":
      return "No mix freezes that cold: write the share in per cent.";
    case "line":
      return `Line ${problem.line} cannot be read: write it as the example does.`;
    case "expected":
      return `Expected: ${problem.expected}.`;
  }
}

/** Why a sum has no answer, and what to do. */
const REFUSED: Readonly<Record<string, string>> = {
  "no-mix-reaches":
    "No mix of this kind freezes that cold. Read it again, or look whether it is another kind.",
  "product-too-weak":
    "What is filled is weaker than what is wanted: no amount of it will do. Take the undiluted product.",
  "too-many":
    "More than 200 passes would be needed. Drain more each time, or ask for less that is fresh.",
  "not-to-be-had":
    "There are not enough packs to cover it. Add another pack, or ask another source.",
  "no-such-week": "There is no such week: a year has 52 or 53. Read the code again.",
  "not-made-yet": "By its code it is not made yet. Read the code again, or the day.",
  "not-a-date-code":
    "This is no date code: it has four figures, week and year, or three on tyres made before 2000.",
  "not-by-voltage": "Lithium says nothing by its volts at rest: read its own display.",
  "not-rested": "It must rest for four hours, neither charged nor used. Measure later.",
  "not-a-resting-voltage":
    "So many volts stand only while it is charged, or just after. Let it rest, then measure.",
};

/** Why there is no answer. */
function refusedWords(code: string): string {
  return REFUSED[code] ?? `There is no answer to this (${code}).`;
}

/** What is still to be filled in. */
function missingWords(missing: readonly string[]): string {
  return `Still to fill in: ${listOfWords(missing.map((label) => `“${label}”`))}.`;
}

/** What has come of it so far, in a line. */
export function outcomeWords(outcome: Outcome): string {
  switch (outcome.kind) {
    case "told":
      return outcome.told.main;
    case "refused":
      return refusedWords(outcome.code);
    case "incomplete":
      return missingWords(outcome.missing);
    case "wrong":
      return "Something cannot be read: look at the fields.";
  }
}

/** An answer as plain words, to be kept elsewhere. */
export function answerText(question: string, told: Told, filled: readonly string[]): string {
  return [question, ...filled, "", told.main, ...(told.more ?? []), told.reason]
    .join("\n")
    .replaceAll("\u00a0", " ");
}
