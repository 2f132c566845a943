import { z } from "zod";
import { dateField, nameField, textField } from "./fields.js";
import { taskIdField } from "./ids.js";

/** A reminder of the machine's own: a code its display can raise, and the tasks it asks for. */
export const reminderSchema = z.looseObject(
  {
    code: nameField,
    /** What the display says. */
    says: textField.nullish(),
    tasks: z.array(taskIdField, "a list of tasks").optional(),
    /** How it is reset on this machine: the keys, in their order. */
    reset: textField.nullish(),
  },
  "a reminder of the machine",
);
export type Reminder = z.infer<typeof reminderSchema>;

/** Taking on a machine without records: since when it is gone through, what was left unknown, and when it was done with. */
export const baselineSchema = z.looseObject(
  {
    begun: dateField,
    left: z.array(taskIdField, "a list of tasks").optional(),
    finished: dateField.nullish(),
  },
  "the taking on of a machine without records",
);
