import { z } from "zod";
import { BRAKE_TYPES, COOLANT_FAMILIES, FLUID_KINDS, OIL_BASES } from "../../fluid/kinds.js";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { fluidAmountField } from "./amounts.js";
import { dateField, nameField, textField } from "./fields.js";
import { productIdField } from "./ids.js";
import { priceSchema } from "./part.js";
import { revisionField } from "./revisionField.js";

/** A fluid as it is bought: what it claims, and in which packs. */
export const productSchema = z.looseObject(
  {
    id: productIdField,
    name: nameField,
    kind: z.enum(FLUID_KINDS, "a kind of fluid"),
    grade: textField.nullish(),
    base: z.enum(OIL_BASES, OIL_BASES.join(", ")).nullish(),
    coolantFamily: z.enum(COOLANT_FAMILIES, COOLANT_FAMILIES.join(", ")).nullish(),
    brakeType: z.enum(BRAKE_TYPES, BRAKE_TYPES.join(", ")).nullish(),
    /** Specification codes and approvals its label claims. */
    claims: z.array(nameField, "a list of codes").optional(),
    packs: z
      .array(
        z.looseObject({
          quantity: quantitySchema,
          prices: z.array(priceSchema, "a list of prices").optional(),
        }),
        "a list of packs",
      )
      .optional(),
    /** What it is kept and counted in: litres, where absent. */
    unit: z.enum(["L", "kg"], "L or kg").nullish(),
    /** Less than so much on the shelf is too little. */
    least: fluidAmountField.nullish(),
    /** Containers that stand open, and until when each is good. */
    opened: z
      .array(
        z.looseObject(
          {
            on: dateField,
            quantity: fluidAmountField.nullish(),
            bestBefore: dateField.nullish(),
            shelf: textField.nullish(),
          },
          "an open container",
        ),
        "a list of open containers",
      )
      .optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a product",
);
export type Product = z.infer<typeof productSchema>;
