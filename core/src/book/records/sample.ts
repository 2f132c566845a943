import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import { dateField, nameField, notNegativeField, numberField, textField } from "./fields.js";
import {
  fluidIdField,
  machineIdField,
  meterIdField,
  productIdField,
  sampleIdField,
} from "./ids.js";

/** A fluid that was sampled for a laboratory, and what it answered. */
export const sampleSchema = z.looseObject(
  {
    id: sampleIdField,
    ...datedFields,
    replaces: sampleIdField.nullish(),
    machine: machineIdField,
    fluid: fluidIdField,
    /** What its bottle says. */
    label: textField.nullish(),
    /** The meter that its lives count on. */
    meter: meterIdField.nullish(),
    /** Life of the machine when it was taken. */
    life: notNegativeField.nullish(),
    /** Life of the fluid: since it was renewed. */
    oilLife: notNegativeField.nullish(),
    product: productIdField.nullish(),
    sent: dateField.nullish(),
    lab: textField.nullish(),
    result: z
      .looseObject(
        {
          on: dateField,
          values: z.record(z.string(), numberField, "figures by name"),
          advice: textField.nullish(),
        },
        "what the laboratory answered",
      )
      .nullish(),
    by: nameField.nullish(),
    note: noteField,
  },
  "a sample",
);
export type Sample = z.infer<typeof sampleSchema>;
