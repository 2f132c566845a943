import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { nameField, textField } from "./fields.js";
import { machineIdField, specificationIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

/** What a specification is about. */
export const SPECIFICATION_GROUPS = [
  "battery",
  "tyre",
  "pressure",
  "wiper",
  "filter",
  "bulb",
  "gap",
  "free play",
  "torque",
  "other",
] as const;
export type SpecificationGroup = (typeof SPECIFICATION_GROUPS)[number];

/** What is specified or fitted: words, a quantity from and to, or either alone. */
const valueFields = {
  /** Words that must agree: a size, a type, a part number. Alternatives stand apart by ` / `. */
  text: textField.nullish(),
  /** At least this much. */
  least: quantitySchema.nullish(),
  /** At most this much; equal to `least` where it must be just that. */
  most: quantitySchema.nullish(),
};

/** What a machine should have, by whom, against what it has. */
export const specificationSchema = z
  .looseObject(
    {
      id: specificationIdField,
      machine: machineIdField,
      group: z.enum(SPECIFICATION_GROUPS, SPECIFICATION_GROUPS.join(", ")),
      name: nameField,
      ...valueFields,
      source: textField.nullish(),
      /** Another part's maker sets something else: it overrides, and says why. */
      override: z
        .looseObject({ ...valueFields, source: textField.nullish(), reason: nameField })
        .nullish(),
      /** What is on the machine now. */
      fitted: z
        .looseObject({ text: textField.nullish(), quantity: quantitySchema.nullish() })
        .nullish(),
      note: textField.nullish(),
      revision: revisionField,
    },
    "a specification",
  )
  .refine((one) => [one.text, one.least, one.most].some((value) => (value ?? null) !== null), {
    message: "what is specified: text, least or most",
  });
export type Specification = z.infer<typeof specificationSchema>;
