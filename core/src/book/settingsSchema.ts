import { z } from "zod";
import { wholeField } from "./fields.js";
import { revisionField } from "./revisionField.js";

/** The windows of the status rules, in days. */
export const settingsSchema = z.looseObject(
  {
    dueWithinDays: wholeField.optional(),
    leadDays: wholeField.optional(),
    staleAfterDays: wholeField.optional(),
    revision: revisionField,
  },
  "settings",
);
