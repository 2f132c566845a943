import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { dimensionOf } from "../../quantity/unit.js";
import {
  dateField,
  nameField,
  positiveField,
  positiveWholeField,
  textField,
  wholeField,
} from "./fields.js";
import { journeyIdField, machineIdField, meterIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

/** How heavily a machine is worked on a journey. */
const JOURNEY_LOADS = ["usual", "heavy"] as const;
export type JourneyLoad = (typeof JOURNEY_LOADS)[number];

/** So many days are kept clear between the visit before a journey and departure, unless it says otherwise. */
export const DEFAULT_DAYS_CLEAR = 2;

const temperatureField = quantitySchema.refine(
  ({ unit }) => dimensionOf(unit) === "temperature",
  "a temperature",
);

/** A journey or a season of use that a machine is made ready for. */
export const journeySchema = z
  .looseObject(
    {
      id: journeyIdField,
      machine: machineIdField,
      /** Where to, or which season. */
      name: nameField,
      /** The day it departs. */
      date: dateField,
      /** How many days it is away, the day of departure among them. */
      days: positiveWholeField,
      /** How far or how long it runs on it, in the unit of `meter`; at its usual pace where it is not said. */
      meter: meterIdField.nullish(),
      amount: positiveField.nullish(),
      /** "usual" where absent; "heavy" for towing, full load or long climbs. */
      load: z.enum(JOURNEY_LOADS, JOURNEY_LOADS.join(", ")).nullish(),
      /** The coldest start and the hottest day expected on it. */
      coldest: temperatureField.nullish(),
      hottest: temperatureField.nullish(),
      /** Days between the visit before it and departure, so that what the visit turns up can still be mended. */
      daysClear: wholeField.nullish(),
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
