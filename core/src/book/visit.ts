import { z } from "zod";
import { quantitySchema } from "../quantity/quantity.js";
import {
  dateField,
  flagField,
  nameField,
  positiveField,
  positiveWholeField,
  textField,
  wholeField,
} from "./fields.js";
import { journeyIdField, machineIdField, meterIdField, taskIdField, visitIdField } from "./ids.js";
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
    /** The journey it prepares for. */
    journey: journeyIdField.nullish(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a visit",
);
export type Visit = z.infer<typeof visitSchema>;

/** How heavily a machine is loaded on a journey. */
export const JOURNEY_LOADS = ["light", "usual", "heavy"] as const;

/** A journey or a spell of use that a machine is made ready for. */
export const journeySchema = z
  .looseObject(
    {
      id: journeyIdField,
      machine: machineIdField,
      name: nameField,
      /** The day it departs. */
      date: dateField,
      /** How many days it is away, the day of departure among them. */
      days: positiveWholeField,
      /** How far or how long it runs on it, in the unit of `meter`; at its usual pace where it is not said. */
      meter: meterIdField.nullish(),
      amount: positiveField.nullish(),
      load: z.enum(JOURNEY_LOADS, JOURNEY_LOADS.join(", ")).nullish(),
      coldest: quantitySchema.nullish(),
      hottest: quantitySchema.nullish(),
      note: textField.nullish(),
      revision: revisionField,
    },
    "a journey",
  )
  .refine((journey) => ((journey.meter ?? null) === null) === ((journey.amount ?? null) === null), {
    path: ["amount"],
    message: "an amount with a meter, or neither",
  });
export type Journey = z.infer<typeof journeySchema>;
