import type { z } from "zod";
import type { quantitySchema } from "./quantitySchema.js";
import { dimensionOf, UNITS, type Unit } from "./unit.js";

type QuantityShape = z.infer<typeof quantitySchema>;
export type Quantity = Readonly<Pick<QuantityShape, "value" | "unit" | "typed">>;

/** A quantity seen in another unit. It remembers what it was, so that no chain of conversions loses anything. */
export interface ShownQuantity extends Quantity {
  readonly origin: Quantity;
}

const FREEZING_FAHRENHEIT = 32;

function reduced(numerator: bigint, denominator: bigint): readonly [number, number] {
  let [a, b] = [numerator, denominator];
  while (b > 0n) [a, b] = [b, a % b];
  return [Number(numerator / a), Number(denominator / a)];
}

const ratios = new Map<string, readonly [number, number]>();

/** How many of `to` one of `from` is, as a fraction in whole numbers. */
function ratio(from: Unit, to: Unit): readonly [number, number] {
  const key = `${from} ${to}`;
  const known = ratios.get(key);
  if (known !== undefined) return known;
  const [numerator, denominator] = UNITS[from].size;
  const [otherNumerator, otherDenominator] = UNITS[to].size;
  const found = reduced(numerator * otherDenominator, denominator * otherNumerator);
  ratios.set(key, found);
  return found;
}

/**
 * The value of a quantity in another unit of its dimension. Throws a RangeError where the units
 * measure different things, which is a mistake in the program and not in what was typed.
 */
export function valueIn({ value, unit }: Quantity, to: Unit): number {
  if (unit === to) return value;
  if (dimensionOf(unit) !== dimensionOf(to)) throw new RangeError(`${unit} is not ${to}`);
  const [numerator, denominator] = ratio(unit, to);
  if (unit === "degF") return ((value - FREEZING_FAHRENHEIT) * numerator) / denominator;
  const scaled = (value * numerator) / denominator;
  return to === "degF" ? scaled + FREEZING_FAHRENHEIT : scaled;
}

/** A quantity seen in another unit of its dimension; back in its own unit it is exactly what it was. */
export function shownIn(quantity: Quantity | ShownQuantity, unit: Unit): ShownQuantity {
  const origin = "origin" in quantity ? quantity.origin : quantity;
  return { value: valueIn(origin, unit), unit, origin };
}
