import { z } from "zod";
import { datedFields, noteField } from "./dated.js";
import { flagField, numberField } from "./fields.js";
import { entryIdField, machineIdField, meterIdField, taskIdField } from "./ids.js";

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
    /** A person has said that an unlikely rise is right as it is. */
    confirmed: flagField.optional(),
    note: noteField,
  },
  "an entry",
);
export type Entry = z.infer<typeof entrySchema>;
