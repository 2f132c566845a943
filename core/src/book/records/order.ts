import { z } from "zod";
import { fluidAmountField } from "./amounts.js";
import {
  dateField,
  flagField,
  nameField,
  notNegativeField,
  positiveField,
  textField,
} from "./fields.js";
import { orderIdField } from "./ids.js";
import { itemFields, onePartOrProduct } from "./item.js";
import { revisionField } from "./revisionField.js";

const lineSchema = z
  .looseObject(
    {
      ...itemFields,
      /** Pieces, or packs of a product. */
      count: positiveField,
      /** How much is in a pack of a product. */
      pack: fluidAmountField.nullish(),
      /** The number that was asked for, or that came, where it is another than the book's. */
      number: textField.nullish(),
      /** Of one. */
      price: notNegativeField.nullish(),
      /** Why nothing more is to come of it, where it ended otherwise than by coming. */
      closed: textField.nullish(),
    },
    "a line of an order",
  )
  .superRefine(onePartOrProduct);

/** What was ordered of one source, and what of it has come. */
export const orderSchema = z.looseObject(
  {
    id: orderIdField,
    source: nameField,
    placed: dateField,
    /** The number the source gave it. */
    reference: textField.nullish(),
    /** Whether it was placed through the program. */
    online: flagField.optional(),
    /** When it is to come. */
    promised: dateField.nullish(),
    lines: z.array(lineSchema, "a list of lines"),
    received: z
      .array(
        z.looseObject(
          { on: dateField, lines: z.array(lineSchema, "a list of lines") },
          "what has come",
        ),
        "a list of what has come",
      )
      .optional(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "an order",
);
export type Order = z.infer<typeof orderSchema>;
