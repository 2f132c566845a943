import type { Reminder, TaskId } from "@yonderfell/core";
import { isEmpty, textTyped } from "../../../form/typed.js";

/** A code of a machine as it stands in the form. */
export interface ReminderModel {
  readonly code: string;
  readonly says: string;
  readonly reset: string;
  readonly tasks: readonly TaskId[];
}

/** A code as it stands in the form, empty for a new one. */
export function modelOfReminder(reminder: Reminder | null): ReminderModel {
  return {
    code: textTyped(reminder?.code),
    says: textTyped(reminder?.says),
    reset: textTyped(reminder?.reset),
    tasks: reminder?.tasks ?? [],
  };
}

/** What is wrong with a code as it is typed. */
export interface ReminderProblem {
  readonly field: "code";
  readonly code: "code-missing" | "code-taken";
}

/** What is still wrong with it, at its fields; `others` are the machine's other codes. */
export function reminderProblems(
  { code }: ReminderModel,
  others: readonly Reminder[],
): readonly ReminderProblem[] {
  if (isEmpty(code)) return [{ field: "code", code: "code-missing" }];
  const isTaken = others.some((one) => one.code === code.trim());
  return isTaken ? [{ field: "code", code: "code-taken" }] : [];
}

/** The code of a form that has no problem; what the form does not show stays as it was. */
export function reminderOf(model: ReminderModel, before: Reminder | null): Reminder {
  return { ...before, ...model, code: model.code.trim(), tasks: [...model.tasks] };
}
