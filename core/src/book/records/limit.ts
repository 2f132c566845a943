import { z } from "zod";
import {
  dateField,
  flagField,
  nameField,
  notNegativeField,
  numberField,
  positiveField,
  positiveWholeField,
} from "./fields.js";
import { meterIdField } from "./ids.js";

const graceFields = {
  /** Allowed past the due point, in the limit's own unit (days for a calendar limit); 0 where absent. */
  grace: notNegativeField.optional(),
  /** Required by law or warranty: grace does not apply. */
  hard: flagField.optional(),
};

const isGiven = (value: unknown): boolean => value !== undefined && value !== null;

/** One limit: either a meter limit (`every`, `at`) or a calendar limit (`months` or `days`). */
export const limitSchema = z
  .looseObject(
    {
      meter: meterIdField.nullish(),
      every: positiveField.nullish(),
      at: z.array(numberField, "a list of numbers").optional(),
      months: positiveWholeField.nullish(),
      days: positiveWholeField.nullish(),
      from: dateField.nullish(),
      /** Kinds of product (oil bases, coolant families) it holds for; any where absent (due rules §13). */
      for: z.array(nameField, "a list of kinds of product").optional(),
      ...graceFields,
    },
    "a limit",
  )
  .superRefine((limit, context) => {
    const refuse = (path: string[], message: string): void => {
      context.addIssue({ code: "custom", path, message });
    };
    const at = limit.at ?? [];
    const risesFromZero = at.every((value, index) => value > (at[index - 1] ?? 0));
    if (!risesFromZero) refuse(["at"], "milestones above 0, each above the one before");
    if (isGiven(limit.meter)) {
      if (!isGiven(limit.every) && at.length === 0) refuse([], "a meter limit with every or at");
      if (isGiven(limit.months) || isGiven(limit.days)) {
        refuse([], "a limit by meter or by calendar, not both in one");
      }
      return;
    }
    if (isGiven(limit.every) || at.length > 0)
      refuse(["meter"], "the meter that every or at counts on");
    else if (isGiven(limit.months) === isGiven(limit.days)) {
      refuse([], "a limit with a meter, with months, or with days");
    }
  });
