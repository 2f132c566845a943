import { z } from "zod";
import { datedFields, noteField } from "../slice/dated.js";
import { amountField, figureOf, fluidAmountField } from "./amounts.js";
import { dateField, flagField, nameField, notNegativeField, textField } from "./fields.js";
import { containerIdField, wasteMoveIdField } from "./ids.js";
import { revisionField } from "./revisionField.js";

/** Kinds of waste, which are never mixed. */
export const WASTE_KINDS = [
  ...["oil", "coolant", "brake fluid", "fuel"],
  ...["filters", "batteries", "tyres", "other"],
] as const;
export type WasteKind = (typeof WASTE_KINDS)[number];
const wasteKindField = z.enum(WASTE_KINDS, WASTE_KINDS.join(", "));

/** What one kind of waste is kept in until it is handed in. */
export const containerSchema = z.looseObject(
  {
    id: containerIdField,
    name: nameField,
    kind: wasteKindField,
    /** How much it takes. */
    holds: fluidAmountField.nullish(),
    /** Whether what is drained now goes into it. */
    inUse: flagField.optional(),
    /** From when on what is drained goes into it; what was drained before went into the one in use before. */
    since: dateField.nullish(),
    /** The day another took its place. */
    until: dateField.nullish(),
    /** What it costs to hand a litre (a kilogram, a piece) of it in. */
    fee: notNegativeField.nullish(),
    note: textField.nullish(),
    revision: revisionField,
  },
  "a waste container",
);
export type Container = z.infer<typeof containerSchema>;

/** Waste that was put into a container, or handed in. */
export const wasteMoveSchema = z
  .looseObject(
    {
      id: wasteMoveIdField,
      ...datedFields,
      replaces: wasteMoveIdField.nullish(),
      kind: wasteKindField,
      container: containerIdField.nullish(),
      /** Above 0. */
      amount: amountField,
      why: z.enum(["filled", "handed-in"], "filled or handed-in"),
      /** Who took it. */
      where: textField.nullish(),
      /** The number of the receipt. */
      paper: textField.nullish(),
      note: noteField,
    },
    "a move of waste",
  )
  .refine(({ amount }) => figureOf(amount) > 0, { path: ["amount"], message: "an amount above 0" });
export type WasteMove = z.infer<typeof wasteMoveSchema>;
