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
import { checklistIdField, meterIdField } from "./ids.js";

const graceFields = {
  /** Allowed past the due point, in the limit's own unit (days for a calendar limit); 0 where absent. */
  grace: notNegativeField.optional(),
  /** Required by law or warranty: grace does not apply. */
  hard: flagField.optional(),
};

const isGiven = (value: unknown): boolean => value !== undefined && value !== null;

/** What a measured limit needs, and what does not go with it (due rules §16). */
function refuseMeasured(
  limit: Readonly<Record<string, unknown>>,
  refuse: (path: string[], message: string) => void,
): void {
  if (!isGiven(limit["check"])) refuse(["check"], "the id of a check of the checklist");
  if (!isGiven(limit["meter"])) refuse(["meter"], "the meter that the wear is set against");
  if (!isGiven(limit["limit"])) refuse(["limit"], "the figure at which it is due");
  const other = ["every", "at", "months", "days", "from"].find((field) => isGiven(limit[field]));
  if (other !== undefined) refuse([other], "nothing, as the limit is by what is measured");
}

/** One limit: a meter limit (`every`, `at`), a calendar limit (`months` or `days`), or a measured one (`checklist`). */
export const limitSchema = z
  .looseObject(
    {
      meter: meterIdField.nullish(),
      every: positiveField.nullish(),
      at: z.array(numberField, "a list of numbers").optional(),
      months: positiveWholeField.nullish(),
      days: positiveWholeField.nullish(),
      from: dateField.nullish(),
      checklist: checklistIdField.nullish(),
      check: nameField.nullish(),
      point: nameField.nullish(),
      limit: numberField.nullish(),
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
    if (isGiven(limit.checklist)) return refuseMeasured(limit, refuse);
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
