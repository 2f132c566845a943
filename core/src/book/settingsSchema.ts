import { z } from "zod";
import { textField, wholeField } from "./fields.js";
import { revisionField } from "./revisionField.js";

/** The windows of the status rules, in days. */
export const settingsSchema = z.looseObject(
  {
    dueWithinDays: wholeField.optional(),
    leadDays: wholeField.optional(),
    staleAfterDays: wholeField.optional(),
    /** What stands behind an amount of money, such as `cr`. */
    currency: textField.nullish(),
    /** Whose quarts and gallons are meant where a machine does not say. */
    gallons: z.enum(["us", "imperial"], "us or imperial").nullish(),
    revision: revisionField,
  },
  "settings",
);
