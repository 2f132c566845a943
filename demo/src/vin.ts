import { checkDigitOf } from "@yonderfell/core";

/** A made-up VIN of eight characters and the last eight, with its check digit; its maker prefix belongs to nobody. */
export function vinOf(before: string, after: string): string {
  return `${before}${checkDigitOf(`${before}0${after}`)}${after}`;
}
