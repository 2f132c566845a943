import type { DoneModel, DoneProblem, SoundModel } from "./answerModel.js";

/** What is said of when something was done. */
export const DONE_LABELS: Readonly<Record<keyof DoneModel, string>> = {
  date: "Done on",
  figures: "At",
  note: "By which record",
  followUpsDone: "What follows it was done too, as far as there was time for it (taken as assumed)",
};

/** What the figure of a meter is called. */
export const figureLabel = (unit: string): string => `At, in ${unit} (empty if not known)`;

/** What is said of something that is judged sound. */
export const SOUND_LABELS: Readonly<Record<keyof SoundModel, string>> = {
  note: "What was seen: level, colour, smell, test",
};

/** What is wrong with it, and what to do. */
export function doneProblemWords({ code }: DoneProblem): string {
  switch (code) {
    case "day-missing":
      return "Choose the day.";
    case "day-in-future":
      return "The day is still to come; choose one that has been.";
    case "figure-not-a-number":
      return "A number of 0 or more, or nothing.";
  }
}
