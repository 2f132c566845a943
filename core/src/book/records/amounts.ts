import { z } from "zod";
import { quantitySchema } from "../../quantity/quantitySchema.js";
import { dimensionOf, type Dimension } from "../../quantity/unit.js";
import { notNegativeField } from "./fields.js";

/** A quantity of one of some dimensions; `expected` says which. */
export function quantityOf(
  dimensions: readonly Dimension[],
  expected: string,
): typeof quantitySchema {
  return quantitySchema.refine(({ unit }) => dimensions.includes(dimensionOf(unit)), expected);
}

/** An amount of a fluid: litres or kilograms of it, in any unit of the two. */
export const fluidAmountField = quantityOf(["volume", "mass"], "a volume or a mass");

/** How many, or how much: a count of pieces, or a quantity of fluid. */
export const amountField = z.union(
  [notNegativeField, quantityOf(["volume", "mass", "count"], "a count, a volume or a mass")],
  "a count of at least 0, or a quantity",
);
export type Amount = z.infer<typeof amountField>;

/** How much an amount says, in whatever it is given. */
export function figureOf(amount: Amount): number {
  return typeof amount === "number" ? amount : amount.value;
}
