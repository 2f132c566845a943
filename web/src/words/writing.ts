import { parseFigure, type DecimalSign, type MeasureSystem } from "@yonderfell/core";

/** How figures are written: what stands between thousands, and before decimals. */
export const FIGURE_STYLES = {
  "space-point": { thousands: "\u00a0", decimal: "." },
  "space-comma": { thousands: "\u00a0", decimal: "," },
  "comma-point": { thousands: ",", decimal: "." },
  "point-comma": { thousands: ".", decimal: "," },
} as const satisfies Record<string, { thousands: string; decimal: DecimalSign }>;
export type FigureStyle = keyof typeof FIGURE_STYLES;

/** In which unit distances left to run are shown; dials always show their own. */
export type DistanceShown = "dial" | "km" | "mi";

/** How the program writes figures for this person. */
export interface Writing {
  readonly figures: FigureStyle;
  readonly distance: DistanceShown;
  /** In which units quantities are shown beside the one they were typed in. */
  readonly measures: MeasureSystem;
}

/** How figures are written until the person says otherwise. */
export const DEFAULT_WRITING: Writing = {
  figures: "space-point",
  distance: "dial",
  measures: "typed",
};

let current: Writing = DEFAULT_WRITING;

/** Has all figures written in this way from now on; like the locale of a page, there is one at a time. */
export function writeAs(writing: Writing): void {
  current = writing;
}

/** The sign before decimals, in what is shown and in what is typed. */
export function decimalSign(): DecimalSign {
  return FIGURE_STYLES[current.figures].decimal;
}

/** In which units quantities are shown. */
export function measuresShown(): MeasureSystem {
  return current.measures;
}

/** How figures are written, for what the core writes. */
export function figureStyle(): { readonly decimal: DecimalSign; readonly thousands: string } {
  return FIGURE_STYLES[current.figures];
}

/** The sign between thousands. */
export function thousandsSign(): string {
  return FIGURE_STYLES[current.figures].thousands;
}

/** A figure as it stands in a field to be typed over: no thousands sign, the decimal sign of the locale. */
export function typedFigure(value: number, decimals?: number): string {
  const text = decimals === undefined ? String(value) : value.toFixed(decimals);
  return text.replace(".", decimalSign());
}

/** A number typed by the locale, below zero too; null where it is none. */
export function typedNumber(text: string): number | null {
  const closed = text.replaceAll(/[\s−]/g, (sign) => (sign === "−" ? "-" : ""));
  const isNegative = closed.startsWith("-");
  const figure = parseFigure(isNegative ? closed.slice(1) : closed, decimalSign());
  return figure === null ? null : isNegative ? -figure : figure;
}

/** Kilometres in a mile, exactly, by the international yard and pound agreement of 1959. */
const KM_A_MILE = 1.609344;

type MeterUnit = "km" | "mi" | "h";

/** A distance left to run in the unit the person prefers; hours as they are. */
export function distanceShown(
  value: number,
  unit: MeterUnit,
): { readonly value: number; readonly unit: MeterUnit } {
  const { distance } = current;
  if (unit === "h" || distance === "dial" || distance === unit) return { value, unit };
  return distance === "km"
    ? { value: value * KM_A_MILE, unit: "km" }
    : { value: value / KM_A_MILE, unit: "mi" };
}
