import { z } from "zod";
import { dateField, nameField, notNegativeField, textField, wholeField } from "./fields.js";
import { machineIdField, meterIdField, personIdField, placeIdField } from "./ids.js";
import { picturesField } from "./picture.js";
import { baselineSchema, reminderSchema } from "./reminder.js";
import { revisionField } from "./revisionField.js";
import { runningInSchema } from "./runningIn.js";
import { dutySchema, laidUpSchema, neededSchema, stopSchema } from "./service.js";

/** A meter of a machine: what it counts, in which unit, and what is known of its pace. */
const meterSchema = z
  .looseObject(
    {
      id: meterIdField,
      /** What people call it, such as "odometer" or "pump hours". */
      name: textField.nullish(),
      measure: z.enum(["distance", "hours"], "distance or hours"),
      unit: z.enum(["km", "mi", "h"], "km, mi or h"),
      /** Declared running a day, in the meter's unit; 0 counts as declared. */
      perDay: notNegativeField.nullish(),
      /** The day from which its dial is not to be believed. */
      stoppedOn: dateField.nullish(),
      /** Days without a reading after which it is stale; the setting of the book where null. */
      staleAfterDays: wholeField.nullish(),
    },
    "a meter",
  )
  .refine((meter) => (meter.measure === "hours") === (meter.unit === "h"), {
    path: ["unit"],
    message: "h for hours, km or mi for distance",
  });
export type Meter = z.infer<typeof meterSchema>;

/** A machine: what it is, since when, and which school of intervals it follows. */
export const machineSchema = z.looseObject(
  {
    id: machineIdField,
    /** The fleet number people call it by. */
    tag: textField,
    name: textField,
    kind: textField,
    /** What it is, in a line: make, model, variant, year. */
    description: textField.nullish(),
    inService: dateField.nullish(),
    /** "unknown" for a machine bought with no records; "known" where absent. */
    history: z.enum(["known", "unknown"], "known or unknown").nullish(),
    /** The regime it follows; "handbook" where null. */
    regime: nameField.nullish(),
    meters: z.array(meterSchema, "a list of meters").optional(),
    /** Vehicle identification number, or the serial number of what has none. */
    vin: textField.nullish(),
    serial: textField.nullish(),
    /** What its number plate shows. */
    registration: textField.nullish(),
    /** Engine or variant: capacities often differ by it. */
    variant: textField.nullish(),
    acquired: dateField.nullish(),
    /** Where it lives. */
    place: placeIdField.nullish(),
    /** Words that a bay must take for it, such as its length. */
    bayNeeds: z.array(nameField, "a list of needs").optional(),
    /** Who looks after it. */
    person: personIdField.nullish(),
    /** Whose quarts and gallons are meant on this machine where the word stands alone. */
    gallons: z.enum(["us", "imperial"], "us or imperial").nullish(),
    duty: dutySchema.nullish(),
    laidUp: z.array(laidUpSchema, "a list of days it is laid up").optional(),
    needed: z.array(neededSchema, "a list of days it cannot be spared").optional(),
    /** Times out of service, the last without a release where it still is. */
    stops: z.array(stopSchema, "a list of times out of service").optional(),
    /** Codes the machine itself can raise, and what they ask for. */
    reminders: z.array(reminderSchema, "a list of reminders").optional(),
    baseline: baselineSchema.nullish(),
    runningIn: runningInSchema.nullish(),
    /** What a visit of this machine costs before anything is done, where it is not as the settings have it. */
    visitCost: notNegativeField.nullish(),
    pictures: picturesField,
    note: textField.nullish(),
    revision: revisionField,
  },
  "a machine",
);
export type Machine = z.infer<typeof machineSchema>;
