import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import { entryWorkFields } from "./entryWork.js";
import {
  flagField,
  nameField,
  numberField,
  positiveField,
  positiveWholeField,
  textField,
} from "./fields.js";
import { entryIdField, machineIdField, meterIdField, taskIdField } from "./ids.js";

/** A task tested sound, to be looked at again after so much (due rules §11): exactly one of months, days, or a meter with an amount. */
const lookAgainSchema = z
  .looseObject(
    {
      task: taskIdField,
      months: positiveWholeField.nullish(),
      days: positiveWholeField.nullish(),
      meter: meterIdField.nullish(),
      amount: positiveField.nullish(),
      /** What was found. */
      found: textField.nullish(),
    },
    "a task tested sound",
  )
  .superRefine((one, context) => {
    const given = (value: unknown): number => Number((value ?? null) !== null);
    const meter = given(one.meter);
    if (given(one.months) + given(one.days) + meter !== 1 || meter !== given(one.amount)) {
      const message = "months, days, or a meter with an amount";
      context.addIssue({ code: "custom", path: [], message });
    }
  });
export type LookAgain = z.infer<typeof lookAgainSchema>;

/** What can be said of a reminder code of the machine: each is a fact of its own (due rules §12). */
const REMINDER_FACTS = ["raised", "done", "reset"] as const;
export type ReminderFactCode = (typeof REMINDER_FACTS)[number];

/** A reminder code of the machine was raised, what it asks for was done, or it was reset. */
const reminderFactSchema = z.looseObject(
  { code: nameField, fact: z.enum(REMINDER_FACTS, REMINDER_FACTS.join(", ")) },
  "a reminder code and what became of it",
);
export type ReminderFact = z.infer<typeof reminderFactSchema>;

/** An entry of the log: work done on a machine on a date, with what its dials showed. */
export const entrySchema = z.looseObject(
  {
    id: entryIdField,
    ...datedFields,
    replaces: entryIdField.nullish(),
    machine: machineIdField,
    /** What the dials showed, by meter, in each meter's own unit. */
    meters: z.record(z.string(), numberField, "dial figures by meter").optional(),
    /** Meters whose figure was reckoned and accepted untouched. */
    estimatedMeters: z.array(meterIdField, "a list of meters").optional(),
    tasks: z.array(taskIdField, "a list of tasks").optional(),
    /** Taken as done without a record of it. */
    assumed: flagField.optional(),
    /** Tasks tested sound, which moves when they are due (due rules §11). */
    lookAgain: z.array(lookAgainSchema, "a list of tasks tested sound").optional(),
    /** Tasks that are wanted at once (due rules §12). */
    wanted: z.array(taskIdField, "a list of tasks").optional(),
    reminders: z.array(reminderFactSchema, "a list of reminder codes").optional(),
    /** A person has said that an unlikely rise is right as it is. */
    confirmed: flagField.optional(),
    ...entryWorkFields,
    note: noteField,
  },
  "an entry",
);
export type Entry = z.infer<typeof entrySchema>;
