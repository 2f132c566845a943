import type { Meter } from "@yonderfell/core";
import { fullDate } from "../../../words/format.js";
import type { Happening, HappeningFigures, HappeningProblem } from "./happening.js";
import type { NewMeterModel, NewMeterProblem } from "./newMeterModel.js";

/** What is said of a new meter. */
export const NEW_METER_LABELS: Readonly<Record<keyof NewMeterModel, string>> = {
  name: "Called",
  unit: "Counts",
};

/** What is wrong with a new meter, and what to do. */
export function newMeterProblemWords({ code }: NewMeterProblem): string {
  switch (code) {
    case "name-missing":
      return "Give the meter a name, such as odometer or pump hours.";
    case "name-taken":
      return "The machine has a meter of this name already.";
  }
}

/** What a happening is called on its button. */
export const HAPPENING_WORDS: Readonly<Record<Happening, string>> = {
  replaced: "Replaced or reset",
  "rolled-over": "Rolled over",
  repaired: "Repaired",
  stopped: "It stands still",
  estimate: "Estimate it",
};

/** What is told once a happening is saved. */
export const HAPPENING_SAVED: Readonly<Record<Happening, string>> = {
  replaced: "Saved; its life counts on.",
  "rolled-over": "Saved; its life counts on.",
  repaired: "Saved; its life counts on.",
  stopped: "Its dial is no longer believed; limits go by estimate.",
  estimate: "Saved as an estimate.",
};

/** What is said of a happening of a meter. */
export function happeningLabels(
  happening: Happening,
  { unit }: Meter,
): Readonly<Record<keyof HappeningFigures, string>> {
  return {
    date: happening === "stopped" ? "Not believed from" : "On",
    oldFinal:
      happening === "rolled-over" ? `It begins again after, ${unit}` : `Old one ended at, ${unit}`,
    newStart: `New one began at, ${unit}`,
    lost: `Run unmetered between, ${unit}`,
    figure: `It would show, ${unit}`,
    note: "Note",
  };
}

/** What is wrong with a happening, and what to do. */
export function happeningProblemWords(problem: HappeningProblem): string {
  switch (problem.code) {
    case "day-missing":
      return "Choose the day.";
    case "day-in-future":
      return `It is ${fullDate(problem.today)}; choose a day that has been.`;
    case "figure-not-a-number":
      return "A number of 0 or more.";
  }
}
