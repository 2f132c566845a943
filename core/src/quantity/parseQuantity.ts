import { failure, success, type Result } from "../book/change/result.js";
import { readNumeral, type DecimalSign } from "./numeral.js";
import type { Quantity } from "./quantity.js";
import { dimensionOf, type Dimension, type Gallons, type Unit } from "./unit.js";
import { findUnit, fits, isBareOunce } from "./unitWords.js";

/** How a typed quantity is to be understood. */
export interface QuantityReading {
  /** The unit meant where none is typed; its dimension is the one wanted. */
  readonly unit: Unit;
  /** Further dimensions that may be typed, such as mass for a fluid sold by weight. */
  readonly also?: readonly Dimension[];
  /** The sign before decimals, by the locale. */
  readonly decimal: DecimalSign;
  /** Whose quarts and gallons a bare one is; null where the machine does not say. */
  readonly gallons: Gallons | null;
}

/** A quantity as understood, with what the person should look at. */
export interface ReadQuantity {
  readonly quantity: Quantity;
  /** Whether the unit was typed, or is the one the field stands for. */
  readonly hasUnit: boolean;
  /** What a figure such as `1,234` would be in the other way of writing; null where it can only be one. */
  readonly otherReading: number | null;
  /** Whether a bare fraction was taken as inches, which only they are written in. */
  readonly isInches: boolean;
  /** Whether bare ounces were taken as fluid ones, as the field is for a volume. */
  readonly isFluidOunces: boolean;
}

/** What kept a quantity from being understood. */
export type QuantityIssue =
  | { readonly code: "empty" }
  | { readonly code: "not-a-figure"; readonly text: string }
  | { readonly code: "unit-unknown"; readonly unit: string }
  /** A unit that measures something else. */
  | { readonly code: "wrong-unit"; readonly unit: Unit; readonly wanted: Unit }
  /** A bare quart or gallon where nothing says whether US or imperial is meant. */
  | { readonly code: "which-gallon"; readonly us: Unit; readonly imperial: Unit };

interface Figure {
  readonly value: number;
  readonly otherReading: number | null;
  readonly isFraction: boolean;
}

const VULGAR: Readonly<Record<string, string>> = {
  ...{ "½": "1/2", "⅓": "1/3", "⅔": "2/3", "¼": "1/4", "¾": "3/4", "⅕": "1/5", "⅖": "2/5" },
  ...{ "⅗": "3/5", "⅘": "4/5", "⅙": "1/6", "⅚": "5/6", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8" },
  "⅞": "7/8",
};
const VULGAR_SIGN = /[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g;
/** Digits and signs; a space or apostrophe among them only before three digits. */
const NUMERAL = "\\d[\\d.,]*(?:[\\s'’]\\d{3}(?!\\d)[.,\\d]*)*|[.,]\\d+";
const FRACTION = "(?:\\d+[\\s-]+)?\\d+\\s*\\/\\s*\\d+";
const QUANTITY = new RegExp(`^([+-]?)\\s*(${FRACTION}|${NUMERAL})(?:\\s*(k)(?![a-z]))?(.*)$`, "i");
const FEET_AND_INCHES = new RegExp(
  `^(\\d+)\\s*(?:'|′|’|ft\\.?|foot|feet)\\s*(${FRACTION}|\\d+(?:[.,]\\d+)?)\\s*(?:"|″|”|''|in\\.?|inch(?:es)?)$`,
  "i",
);
const INCHES_A_FOOT = 12;
const THOUSAND = 1000;

function plainText(text: string): string {
  const spelled = text.replace(VULGAR_SIGN, (sign) => ` ${VULGAR[sign] ?? sign}`);
  return spelled
    .replace(/[\u00a0\u2009\u202f]/g, " ")
    .replace(/[−–]/g, "-")
    .replace(/⁄/g, "/")
    .trim();
}

function fractionOf(text: string): Figure | null {
  const match = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (match === null) return null;
  const below = Number(match[3]);
  if (below === 0) return null;
  const value = Number(match[1] ?? 0) + Number(match[2]) / below;
  return { value, otherReading: null, isFraction: true };
}

/** A length in feet and inches, such as `5' 6"`, as inches; null where it is none. */
function feetAndInches(text: string, reading: QuantityReading): number | null {
  const match = FEET_AND_INCHES.exec(text);
  if (match === null || dimensionOf(reading.unit) !== "length") return null;
  const [, feet = "", inches = ""] = match;
  const rest = fractionOf(inches.trim()) ?? readNumeral(inches, reading.decimal);
  return rest === null ? null : Number(feet) * INCHES_A_FOOT + rest.value;
}

function figureOf(text: string, decimal: DecimalSign): Figure | null {
  const fraction = fractionOf(text);
  if (fraction !== null) return fraction;
  const numeral = readNumeral(text, decimal);
  return numeral === null ? null : { ...numeral, isFraction: false };
}

function unitFor(
  text: string,
  figure: Figure,
  reading: QuantityReading,
): Result<{ readonly unit: Unit; readonly isInches: boolean }, QuantityIssue> {
  const wanted = dimensionOf(reading.unit);
  const dimensions = [wanted, ...(reading.also ?? [])];
  if (text === "") {
    const isInches = figure.isFraction && wanted === "length" && reading.unit !== "in";
    return success({ unit: isInches ? "in" : reading.unit, isInches });
  }
  const found = findUnit(text, dimensions, reading.gallons);
  switch (found.code) {
    case "unknown":
      return failure([{ code: "unit-unknown", unit: text }]);
    case "which-gallon":
      return fits(found.us, dimensions)
        ? failure([found])
        : failure([{ code: "wrong-unit", unit: found.us, wanted: reading.unit }]);
    case "unit":
      return fits(found.unit, dimensions)
        ? success({ unit: found.unit, isInches: false })
        : failure([{ code: "wrong-unit", unit: found.unit, wanted: reading.unit }]);
  }
}

/**
 * A quantity as people type it: `5.3 qt`, `1 1/2 in`, `5/32`, `5' 6"`, `4,5 L`, `84 inlb`, `250h`, `-32F`,
 * `12 k`. Value and unit are kept as typed; a figure without a unit is in the field's own. `1,234`
 * goes by the locale, and the other reading is told. Refused, each with its reason: nothing, what
 * is no figure, an unknown unit, a unit that measures something else, and a bare quart or gallon
 * where the machine does not say which.
 */
export function parseQuantity(
  text: string,
  reading: QuantityReading,
): Result<ReadQuantity, QuantityIssue> {
  const typed = text.trim();
  if (typed === "") return failure([{ code: "empty" }]);
  const plain = plainText(typed);
  const inches = feetAndInches(plain, reading);
  if (inches !== null) {
    const quantity = { value: inches, unit: "in" as const, typed };
    const none = { otherReading: null, isInches: false, isFluidOunces: false };
    return success({ quantity, hasUnit: true, ...none });
  }
  const match = QUANTITY.exec(plain);
  const [, sign = "", written = "", thousand, rest = ""] = match ?? [];
  const figure = figureOf(written.trim(), reading.decimal);
  const goesOn = /^[\s.,'’]*\d/.test(rest);
  if (figure === null || goesOn || !Number.isFinite(figure.value)) {
    return failure([{ code: "not-a-figure", text: typed }]);
  }
  const unitText = rest.trim();
  const found = unitFor(unitText, figure, reading);
  if (!found.ok) return found;
  const factor = (sign === "-" ? -1 : 1) * (thousand === undefined ? 1 : THOUSAND);
  // No negative zero: it is not another quantity.
  const scaled = (value: number): number => value * factor + 0;
  const quantity = { value: scaled(figure.value), unit: found.value.unit };
  const saysMore = figure.isFraction || thousand !== undefined;
  return success({
    quantity: saysMore ? { ...quantity, typed } : quantity,
    hasUnit: unitText !== "",
    otherReading: figure.otherReading === null ? null : scaled(figure.otherReading),
    isInches: found.value.isInches,
    isFluidOunces: isBareOunce(unitText) && dimensionOf(found.value.unit) === "volume",
  });
}
