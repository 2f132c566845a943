import { z } from "zod";
import {
  dateField,
  flagField,
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

/** By distance or hours: milestones in life, then every so much. */
export interface MeterLimit {
  readonly meter: z.infer<typeof meterIdField>;
  readonly every?: number | null | undefined;
  readonly at?: readonly number[] | undefined;
  readonly grace?: number | undefined;
  readonly hard?: boolean | undefined;
}

/** By calendar: every so many months or days, exactly one of the two. */
export interface CalendarLimit {
  readonly months?: number | null | undefined;
  readonly days?: number | null | undefined;
  readonly from?: string | null | undefined;
  readonly grace?: number | undefined;
  readonly hard?: boolean | undefined;
}

/** One limit of a task; which of the two kinds, its `meter` tells. */
export type Limit = MeterLimit | CalendarLimit;

/** Whether a limit counts on a meter (else on the calendar). */
export function isMeterLimit(limit: Limit): limit is MeterLimit {
  return "meter" in limit && limit.meter !== undefined && limit.meter !== null;
}

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
