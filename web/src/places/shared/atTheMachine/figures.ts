import { formatNumber, parseFigure } from "@yonderfell/core";
import { decimalSign, figureStyle } from "../../../words/writing.js";

/** Litres, readings and the like as they are shown, to a thousandth. */
export function formatted(value: number): string {
  return formatNumber(Number(value.toFixed(3)), figureStyle());
}

/** An amount as typed; null where it is none above 0. */
export function typedAmount(text: string): number | null {
  const read = parseFigure(text.trim(), decimalSign());
  return read !== null && read > 0 ? read : null;
}
