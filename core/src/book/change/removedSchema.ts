import { z } from "zod";
import { nameField } from "../records/fields.js";
import { revisionField } from "../records/revisionField.js";
import { SECTIONS } from "../records/sections.js";

/** A record that was deleted, so that a hand-over does not bring it back. */
export const removedSchema = z.looseObject(
  {
    section: z.enum(SECTIONS, "the name of a section"),
    id: nameField,
    revision: revisionField,
  },
  "a record that was deleted",
);
export type Removed = z.infer<typeof removedSchema>;
