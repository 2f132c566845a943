import { z } from "zod";
import { dateField, nameField, notNegativeField, positiveField, textField } from "./fields.js";
import { orderIdField } from "./ids.js";
import { itemFields, onePartOrProduct } from "./item.js";
import { revisionField } from "./revisionField.js";

const lineSchema = z
  .looseObject(
    {
      ...itemFields,
      /** Pieces, or packs of a product. */
      count: positiveField,
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
