import type { JourneyModel, JourneyProblem } from "./journeyModel.js";

/** What is said of a journey. */
export const JOURNEY_LABELS: Readonly<Record<keyof JourneyModel, string>> = {
  machine: "Machine",
  name: "Where to, or which season",
  date: "Departs on",
  days: "Days away",
  meter: "Counted by",
  amount: "How far or how long",
  load: "Load",
  coldest: "Coldest start",
  hottest: "Hottest day",
  daysClear: "Days kept clear before departure",
  note: "Note",
};

/** How heavily a machine is loaded. */
export const LOADS = [
  ["usual", "as usual"],
  ["heavy", "heavy: towing, full load, long climbs"],
] as const;

/** What is wrong with a journey, and what to do. */
export function journeyProblemWords({ code, text }: JourneyProblem): string {
  switch (code) {
    case "machine-missing":
      return "Choose the machine that goes.";
    case "name-missing":
      return "Say where it goes, or for which season.";
    case "day-missing":
      return "Give the day it departs.";
    case "days-not-whole":
      return "Say how many days it is away: a whole number from 1 on.";
    case "not-an-amount":
      return `“${text}” is not how far it runs: a figure above 0, or nothing for its usual pace.`;
    case "days-clear-not-whole":
      return "Days kept clear are a whole number from 0 on.";
    case "not-a-temperature":
      return `“${text}” is not a temperature.`;
  }
}
