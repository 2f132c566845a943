import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import { amountField, figureOf } from "./amounts.js";
import { nameField, notNegativeField, textField } from "./fields.js";
import { entryIdField, stockMoveIdField } from "./ids.js";
import { itemFields, onePartOrProduct } from "./item.js";

/** Why what is on the shelves changed, or was counted. */
const STOCK_REASONS = ["bought", "counted", "returned", "sent-back", "scrapped"] as const;

/** A move of stock, or a count of all there is of an item (records §2). */
export const stockMoveSchema = z
  .looseObject(
    {
      id: stockMoveIdField,
      ...datedFields,
      replaces: stockMoveIdField.nullish(),
      ...itemFields,
      /** Pieces of a part; a volume or a mass of a product. Above 0, a count at least 0. */
      amount: amountField,
      /** `returned` is to the shelf, `sent-back` to whom it came from. */
      why: z.enum(STOCK_REASONS, STOCK_REASONS.join(", ")),
      /** Of all of it. */
      price: notNegativeField.nullish(),
      /** Whom it was bought from. */
      source: nameField.nullish(),
      /** The work it is left over from, or that a count stood before; it stays where that is corrected. */
      entry: entryIdField.nullish(),
      /** Where it lies: told, not reckoned with. */
      shelf: textField.nullish(),
      note: noteField,
    },
    "a move of stock",
  )
  .superRefine((move, context) => {
    onePartOrProduct(move, context);
    const refuse = (message: string): void => {
      context.addIssue({ code: "custom", path: ["amount"], message });
    };
    const figure = figureOf(move.amount);
    if (figure < 0) refuse("an amount of at least 0");
    else if (figure === 0 && move.why !== "counted") refuse("an amount above 0");
  });
export type StockMove = z.infer<typeof stockMoveSchema>;
