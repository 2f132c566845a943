import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { dateField, flagField, nameField, textField, wholeField } from "./fields.js";

/** Days on which something holds: between two dates (either end may be open), or every year in some months. */
export const laidUpSchema = z
  .looseObject(
    {
      from: dateField.nullish(),
      /** The last such day; open where null. */
      to: dateField.nullish(),
      /** Months of every year, 1 to 12. */
      months: z
        .array(wholeField.min(1, "a month, 1 to 12").max(12, "a month, 1 to 12"), "months")
        .optional(),
      reason: textField.nullish(),
    },
    "days it is laid up",
  )
  .superRefine((span, context) => {
    const refuse = (path: string[], message: string): void => {
      context.addIssue({ code: "custom", path, message });
    };
    const hasMonths = (span.months ?? []).length > 0;
    const hasFrom = (span.from ?? null) !== null;
    const to = span.to ?? null;
    if (hasMonths === hasFrom) refuse([], "either from a day on, or months of the year");
    if (!hasFrom && to !== null) refuse(["to"], "nothing, as it has no from");
    if (hasFrom && to !== null && to < (span.from ?? "")) {
      refuse(["to"], "a day that is not before from");
    }
  });
export type LaidUp = z.infer<typeof laidUpSchema>;

/** Days a machine cannot be spared: days of the week (1 Monday to 7 Sunday), or between two dates. */
export const neededSchema = z.looseObject(
  {
    weekdays: z
      .array(wholeField.min(1, "a weekday, 1 to 7").max(7, "a weekday, 1 to 7"), "weekdays")
      .optional(),
    from: dateField.nullish(),
    to: dateField.nullish(),
    reason: textField.nullish(),
  },
  "days it cannot be spared",
);
export type Needed = z.infer<typeof neededSchema>;

/** A machine taken out of service, until a named person releases it with what was done. */
export const stopSchema = z.looseObject(
  {
    id: nameField,
    since: dateField,
    reason: nameField,
    by: textField.nullish(),
    released: z
      .looseObject(
        { on: dateField, by: nameField, done: nameField },
        "who released it, when, and what was done",
      )
      .nullish(),
  },
  "a time out of service",
);
export type Stop = z.infer<typeof stopSchema>;

/** How a machine is used, as far as intervals and fluids depend on it. */
export const dutySchema = z.looseObject(
  {
    coldestStart: quantitySchema.nullish(),
    hottestDay: quantitySchema.nullish(),
    dust: flagField.optional(),
    towing: flagField.optional(),
    shortTrips: flagField.optional(),
    idling: flagField.optional(),
    water: flagField.optional(),
    note: textField.nullish(),
  },
  "how it is used",
);
