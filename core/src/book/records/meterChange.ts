import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import { numberField } from "./fields.js";
import { machineIdField, meterChangeIdField, meterIdField } from "./ids.js";

/** A meter replaced, reset or rolled over: where the old dial ended, where the new one began, in the meter's unit. */
export const meterChangeSchema = z.looseObject(
  {
    id: meterChangeIdField,
    ...datedFields,
    replaces: meterChangeIdField.nullish(),
    machine: machineIdField,
    meter: meterIdField,
    oldFinal: numberField,
    newStart: numberField,
    /** Run while the meter stood still; 0 where absent. */
    lost: numberField.optional(),
    note: noteField,
  },
  "a meter change",
);
export type MeterChange = z.infer<typeof meterChangeSchema>;
