import { readNumeral, type DecimalSign } from "./numeral.js";

/** A figure as people type it ({@link readNumeral}), of at least zero; null where it is none. */
export function parseFigure(text: string, decimal: DecimalSign): number | null {
  return readNumeral(text, decimal)?.value ?? null;
}
