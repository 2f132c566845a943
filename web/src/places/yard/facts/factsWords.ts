import { figure, MONTHS } from "../../../words/format.js";
import { machineIssueWords } from "../../../words/machineWords.js";
import type { DutyFlag, FactsModel, FactsProblem, LaidUpRow, NeededRow } from "./factsModel.js";
import type { StandingModel } from "./standingModel.js";

/** What the facts of a machine are called. */
export const FACTS_LABELS: Readonly<Record<keyof FactsModel, string>> = {
  tag: "Number",
  name: "Name",
  kind: "Kind",
  description: "Make and model",
  variant: "Engine or variant",
  vin: "VIN",
  serial: "Serial number",
  registration: "Registration",
  inService: "In service since",
  acquired: "Came here",
  history: "History before",
  place: "Lives at",
  person: "Looked after by",
  gallons: "A bare quart or gallon means",
  coldest: "Coldest start",
  hottest: "Hottest day",
  flags: "How it is used",
  dutyNote: "What else is hard on it",
  laidUp: "Laid up",
  needed: "Cannot be spared",
  visitCost: "A visit of it costs",
  bayNeeds: "A bay for it must take",
  runningIn: "Running in",
  note: "Note",
  pictures: "Pictures",
};

/** How a machine is used. */
export const DUTY_WORDS: Readonly<Record<DutyFlag, string>> = {
  dust: "Dust",
  towing: "Towing or heavy loads",
  shortTrips: "Short trips",
  idling: "Long idling",
  water: "Water, mud or salt",
};

/** The days of the week, Monday first. */
export const WEEKDAYS: readonly string[] = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];

/** Days on which a machine stands or is needed, in words. */
export function standsWords(row: LaidUpRow | NeededRow): string {
  const [numbers, names] = "months" in row ? [row.months, MONTHS] : [row.weekdays, WEEKDAYS];
  const named = numbers.map((number) => names[number - 1] ?? "").join(", ");
  const days = row.from === "" && row.to === "" ? "" : `${row.from} to ${row.to}`;
  return [named, days, row.reason].filter((part) => part !== "").join(" · ");
}

/** What is wrong with the facts of a machine, and what to do. */
export function factsProblemWords(problem: FactsProblem): string {
  switch (problem.code) {
    case "machine":
      return machineIssueWords(problem.issue);
    case "not-a-temperature":
      return `“${problem.text}” is not a temperature.`;
    case "months-and-dates":
      return "A lay-up is either by months or by dates: use two lines for both.";
    case "begins-missing":
      return "A lay-up needs the day it begins.";
    case "ends-before-it-begins":
      return "A lay-up cannot end before it begins.";
    case "not-a-cost":
      return `“${problem.text}” is not what a visit costs: an amount of at least 0.`;
    case "not-a-start":
      return "A figure of at least 0, or nothing.";
    case "stage-ends-too-early":
      return `A stage ends at a figure above ${figure(problem.after)}.`;
    case "not-above-0":
      return "A figure above 0, or nothing.";
  }
}

/** What is said of why a machine may not be used. */
export const STOP_LABELS: Readonly<Record<keyof StandingModel, string>> = {
  words: "Why it may not be used",
  by: "Said by",
  date: "Since",
};

/** What is said of how it may be used again. */
export const RELEASE_LABELS: Readonly<Record<keyof StandingModel, string>> = {
  words: "What was done",
  by: "Released by",
  date: "On",
};
