import type { ReminderModel, ReminderProblem } from "./reminderModel.js";

/** What is said of a code that a machine raises. */
export const REMINDER_LABELS: Readonly<Record<keyof ReminderModel, string>> = {
  code: "Code",
  says: "What the display says",
  reset: "How it is reset: the keys, in their order",
  tasks: "It asks for",
};

/** What is wrong with a code, and what to do. */
export function reminderProblemWords({ code }: ReminderProblem): string {
  switch (code) {
    case "code-missing":
      return "Give the code as the display shows it.";
    case "code-taken":
      return "This code is there already.";
  }
}
