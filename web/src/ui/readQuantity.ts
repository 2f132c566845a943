import {
  parseQuantity,
  type Dimension,
  type Gallons,
  type QuantityIssue,
  type ReadQuantity,
  type Result,
  type Unit,
} from "@yonderfell/core";
import { decimalSign } from "../words/writing.js";

/** What a quantity field is for. */
export interface QuantityWanted {
  /** The unit meant where none is typed. */
  readonly unit: Unit;
  readonly also?: readonly Dimension[];
  readonly gallons?: Gallons | null;
}

/** What is meant by a temperature typed without a unit. */
export const TEMPERATURE: QuantityWanted = { unit: "degC" };

/** What a text in a quantity field says. */
export function readQuantity(
  text: string,
  { unit, also, gallons }: QuantityWanted,
): Result<ReadQuantity, QuantityIssue> {
  const more = also === undefined ? {} : { also };
  return parseQuantity(text, { unit, ...more, decimal: decimalSign(), gallons: gallons ?? null });
}
