import { MOST_MINUTES, type MinutesModel, type MinutesProblem } from "./minutesModel.js";

/** What is said of how long tasks take. */
export const MINUTES_LABELS: Readonly<Record<keyof MinutesModel, string>> = { minutes: "Minutes" };

/** What is wrong with minutes, and what to do. */
export function minutesProblemWords({ code }: MinutesProblem): string {
  switch (code) {
    case "not-above-0":
      return "minutes, a number above 0";
    case "too-many":
      return `at most ${MOST_MINUTES} minutes`;
    case "nothing-said":
      return "Say how long one of them takes.";
  }
}

/** What the page is for. `on` is the machine that it is about, empty for all. */
export const minutesPurpose = (on: string): string =>
  `Without minutes, visits and weeks hold 0 h of work, and own time costs nothing. What you say of a name goes to all tasks${on} of that name that say nothing; what a task says already stays.`;
