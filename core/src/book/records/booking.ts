import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import { dateField, nameField, notNegativeField, numberField, textField } from "./fields.js";
import {
  bayIdField,
  bookingIdField,
  closureIdField,
  findingIdField,
  machineIdField,
  personIdField,
  taskIdField,
} from "./ids.js";
import { revisionField } from "./revisionField.js";

/** Work that was given to others (records §5); its date is when it was agreed. */
export const bookingSchema = z.looseObject(
  {
    id: bookingIdField,
    ...datedFields,
    replaces: bookingIdField.nullish(),
    machine: machineIdField,
    tasks: z.array(taskIdField, "a list of tasks").optional(),
    findings: z.array(findingIdField, "a list of findings").optional(),
    workshop: nameField,
    /** When it is to be there. */
    day: dateField.nullish(),
    /** What to tell them, and what to ask. */
    tell: textField.nullish(),
    ask: textField.nullish(),
    quote: notNegativeField.nullish(),
    /** What became of it. */
    came: z
      .looseObject(
        { on: dateField, cost: numberField.nullish(), paper: textField.nullish() },
        "when it came back, at what cost",
      )
      .nullish(),
    note: noteField,
  },
  "a booking",
);
export type Booking = z.infer<typeof bookingSchema>;

/** Days on which the workshop is closed, a person away, or a bay out of use. */
export const closureSchema = z
  .looseObject(
    {
      id: closureIdField,
      from: dateField,
      /** The last such day. */
      to: dateField,
      what: z.enum(["workshop", "person", "bay"], "workshop, person or bay"),
      person: personIdField.nullish(),
      bay: bayIdField.nullish(),
      reason: textField.nullish(),
      revision: revisionField,
    },
    "a closure",
  )
  .superRefine(({ from, to, what, person, bay }, context) => {
    const refuse = (path: string, message: string): void => {
      context.addIssue({ code: "custom", path: [path], message });
    };
    if (to < from) refuse("to", "a day that is not before from");
    if ((what === "person") !== ((person ?? null) !== null)) {
      refuse("person", "the person, where and only where one is away");
    }
    if ((what === "bay") !== ((bay ?? null) !== null)) {
      refuse("bay", "the bay, where and only where one is out of use");
    }
  });
export type Closure = z.infer<typeof closureSchema>;
