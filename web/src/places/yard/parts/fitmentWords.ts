import type { FitmentModel, FitmentProblem, Side } from "./fitmentModel.js";

/** Which side it is on. */
export const SIDES: readonly (readonly [Side | "", string])[] = [
  ["", "no side"],
  ["left", "left"],
  ["right", "right"],
];

/** What is said of a part that a machine takes. */
export const FITMENT_LABELS: Readonly<Record<keyof FitmentModel, string>> = {
  part: "Part",
  position: "Where",
  side: "Side",
  perService: "How many a service",
  tasks: "Needed for",
  note: "Note",
};

/** What is wrong with it, and what to do. */
export function fitmentProblemWords({ code }: FitmentProblem): string {
  switch (code) {
    case "part-missing":
      return "Choose the part; a new one is written down in Stores first.";
    case "not-above-0":
      return "How many a service takes must be above 0.";
  }
}
