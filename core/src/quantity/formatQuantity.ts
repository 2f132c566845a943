import type { DecimalSign } from "./numeral.js";
import type { Quantity } from "./quantity.js";
import { symbolOf } from "./unit.js";

/** How figures are written: the sign before decimals, and what stands between thousands. */
export interface FigureStyle {
  readonly decimal: DecimalSign;
  readonly thousands: string;
}

/** Between a figure and its unit: a no-break space. */
const BETWEEN = "\u00a0";

/** A number in plain decimals, however large or small: `1e-7` is `0.0000001`. */
function plainDecimals(value: number): string {
  const [mantissa = "", exponent] = String(Math.abs(value)).split("e");
  if (exponent === undefined) return mantissa;
  const [whole = "", fraction = ""] = mantissa.split(".");
  const shift = Number(exponent);
  if (shift < 0) return `0.${"0".repeat(-shift - 1)}${whole}${fraction}`;
  return whole + fraction.padEnd(shift, "0");
}

/**
 * A number with nothing rounded away, or with at most so many significant digits (trailing zeros
 * left out); thousands apart by the style, a minus sign before what is below zero.
 */
export function formatNumber(value: number, style: FigureStyle, digits?: number): string {
  const rounded = digits === undefined ? value : Number(value.toPrecision(digits));
  const [whole = "", fraction] = plainDecimals(rounded).split(".");
  const grouped = whole.replace(/\B(?=(\d{3})+$)/g, style.thousands);
  const text = fraction === undefined ? grouped : `${grouped}${style.decimal}${fraction}`;
  return rounded < 0 ? `−${text}` : text;
}

/** A quantity for a table or another program: the figure as it was written, a plain space and its unit. */
export const plainQuantity = ({ value, unit }: Quantity): string => `${value} ${symbolOf(unit)}`;

/** A quantity as people write it, `84 in·lbf`, `4.5 L`; with `digits` rounded to so many significant ones. */
export function formatQuantity(quantity: Quantity, style: FigureStyle, digits?: number): string {
  return `${formatNumber(quantity.value, style, digits)}${BETWEEN}${symbolOf(quantity.unit)}`;
}
