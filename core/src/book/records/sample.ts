import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import {
  dateField,
  flagField,
  nameField,
  notNegativeField,
  numberField,
  textField,
} from "./fields.js";
import {
  fluidIdField,
  machineIdField,
  meterIdField,
  productIdField,
  sampleIdField,
} from "./ids.js";

const limitsField = z
  .record(
    z.string(),
    z.looseObject({ watch: numberField.nullish(), stop: numberField.nullish() }, "watch and stop"),
    "limits by name",
  )
  .nullish();
const countField = z.int("a whole number").positive("a number above 0");

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
    /** It was sent through the program: its laboratory can be asked by its label. */
    online: flagField.nullish(),
    result: z
      .looseObject(
        {
          on: dateField,
          /** In ppm, percent, mm2/s or mg KOH/g, as each figure is usually kept. */
          values: z.record(z.string(), numberField, "figures by name"),
          /** What the laboratory itself advises. */
          advice: textField.nullish(),
          remarks: textField.nullish(),
          /** From where on a figure is watched or stopped at, as the laboratory has it. */
          limits: limitsField,
          /** The same, for what must not fall. */
          lowest: limitsField,
          /** Which of the laboratory's answers it is, the first being 1. */
          answer: countField.nullish(),
          /** The last of its answers that somebody has looked at. */
          seen: countField.nullish(),
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
