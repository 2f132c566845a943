import type { Amount, WeightsModel, WeightsProblem } from "./weightsModel.js";

/** What the weights are called. */
export const WEIGHTS_LABELS: Readonly<Record<keyof WeightsModel, string>> = {
  visitCost: "A visit",
  accessCost: "An access",
  leastTurnValue: "A turn is worth at least",
  lateADay: "A day late within the grace",
  pastGraceADay: "A day past the grace",
  overHour: "An hour more than there are",
  weeks: "Weeks ahead",
  leastDays: "Left to rounds",
  workdays: "Work is done on",
};

/** What each of them is; empty where its name says it. */
export const WEIGHTS_NOTES: Readonly<Record<Amount, string>> = {
  visitCost: "fetching, setting up, the machine standing still",
  accessCost: "opened once a visit, however much is done through it",
  leastTurnValue: "where its parts and labour have no figures",
  lateADay: "",
  pastGraceADay: "a hard limit is never passed",
  overHour: "in a week that cannot hold all, as the fleet plan weighs it",
  weeks: "",
  leastDays: "what comes more often than every so many days",
};

/** The days of the week, Monday first. */
export const WEEKDAYS: readonly string[] = [
  ...["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"],
];

/** What is wrong with a weight, and what to do. */
export function weightsProblemWords({ code, field }: WeightsProblem): string {
  if (code === "not-an-amount") return "A number of at least 0.";
  return field === "weeks" ? "A whole number from 1 on." : "A whole number from 0 on.";
}
