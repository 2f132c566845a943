import { z } from "zod";
import { dateField, flagField, textField, wholeField } from "./fields.js";
import { machineIdField, taskIdField, visitIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

/** Work on one machine on one day that somebody has decided on. */
export const visitSchema = z.looseObject(
  {
    id: visitIdField,
    machine: machineIdField,
    date: dateField,
    tasks: z.array(taskIdField, "a list of tasks"),
    /** When it was decided on: work logged from then on, after the record of number `since`, is its own. */
    accepted: dateField,
    since: wholeField.nullish(),
    /** Its day is settled with others and is not proposed to be moved. */
    pinned: flagField.optional(),
    /** Tasks left out of it on purpose, which are not proposed for it again. */
    without: z.array(taskIdField, "a list of tasks").optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a visit",
);
export type Visit = z.infer<typeof visitSchema>;
