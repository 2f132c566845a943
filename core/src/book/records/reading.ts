import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import { flagField, numberField } from "./fields.js";
import { machineIdField, meterIdField, readingIdField } from "./ids.js";

/** What a dial showed on a date, in the meter's own unit. */
export const readingSchema = z.looseObject(
  {
    id: readingIdField,
    ...datedFields,
    replaces: readingIdField.nullish(),
    machine: machineIdField,
    meter: meterIdField,
    value: numberField,
    /** Not read from the dial but reckoned. */
    estimated: flagField.optional(),
    /** A person has said that an unlikely rise is right as it is. */
    confirmed: flagField.optional(),
    /** Where the figure came from; the dial where absent. */
    source: z.enum(["dial", "feed", "plug"], "dial, feed or plug").nullish(),
    note: noteField,
  },
  "a reading",
);
export type Reading = z.infer<typeof readingSchema>;
