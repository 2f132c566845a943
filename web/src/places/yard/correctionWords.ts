import type { DayNumber, Meter } from "@yonderfell/core";
import { correctionIssueWords } from "../../words/readingWords.js";
import type { ChangeModel, CorrectionProblem, ReadingModel } from "./correctionModel.js";

/** What is said of a reading that is corrected. */
export const readingLabels = (unit: string): Readonly<Record<keyof ReadingModel, string>> => ({
  date: "Read on",
  value: `Figure, ${unit}`,
  figureIsRight: "It is right as it is; set aside what does not agree",
});

/** What is said of a meter change that is corrected. */
export const changeLabels = (unit: string): Readonly<Record<keyof ChangeModel, string>> => ({
  date: "Changed on",
  oldFinal: `Old one ended at, ${unit}`,
  newStart: `New one began at, ${unit}`,
  lost: `Unmetered between, ${unit}`,
});

/** What is wrong with a correction, and what to do. */
export function correctionProblemWords(
  problem: CorrectionProblem<string>,
  meter: Meter | undefined,
  today: DayNumber,
): string {
  switch (problem.code) {
    case "day-missing":
      return "Choose the day.";
    case "figure-not-a-number":
      return "A number of 0 or more.";
    case "refused":
      return meter === undefined
        ? "The machine no longer has this meter."
        : correctionIssueWords(problem.issue, meter, today);
  }
}
