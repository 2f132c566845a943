import { z } from "zod";
import { positiveWholeField } from "./fields.js";

/** How often a record has been changed, by the copy of the book that changed it. */
export const revisionField = z
  .record(z.string(), positiveWholeField, "counts of changes by copy")
  .nullish();
