import type { Quantity, Unit } from "@yonderfell/core";
import { figure, NBSP } from "../../../../words/format.js";
import { quantityWords } from "../../../../words/quantityWords.js";

/** So exact an amount is told: two places under ten, else one. */
const SMALL = 10;

/** A figure of an answer, rounded as one measures it. */
function rounded(value: number): number {
  const places = Math.abs(value) < SMALL ? 100 : 10;
  return Math.round(value * places) / places;
}

/** A figure of an answer as a quantity. */
export const quantity = (value: number, unit: Unit): Quantity => ({ value: rounded(value), unit });

/** Litres in words, with what else the person likes to see. */
export const litres = (value: number): string => quantityWords(quantity(value, "L"));

/** A temperature in words, to a tenth. */
export const celsius = (value: number): string =>
  quantityWords({ value: Math.round(value * 10) / 10, unit: "degC" });

/** A share under this is told to a tenth of a per cent. */
const ONE_PLACE_UNDER = 0.0995;

/** A share in words: `38 %`. */
export const perCent = (share: number): string =>
  `${figure(share * 100, share < ONE_PLACE_UNDER ? 1 : 0)}${NBSP}%`;

/** So many places a figure has that is rounded to some. */
const placesOf = (value: number, most: number): number =>
  String(Math.round(value * 10 ** most) / 10 ** most).split(".")[1]?.length ?? 0;

/** A figure in words, with as many places as it needs to be told apart. */
export function plainFigure(value: number): string {
  const size = Math.abs(value);
  return figure(value, placesOf(value, size < 1 ? 3 : size < 100 ? 2 : 1));
}

/** What a verdict asks for. */
export const VERDICT_WORDS = {
  sound: "Sound",
  watch: "Watch it",
  attend: "Attend to it",
  stop: "Stop: do not use it so",
  "too close to call": "Too close to call",
} as const;

export type Verdict = "sound" | "watch" | "attend" | "stop";

/** Where what was measured stands for itself. */
export const READINGS =
  "By your own readings. Look also: a figure does not see a crack, a stain or a noise.";
