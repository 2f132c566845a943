/** Which of the two signs stands before the decimals. */
export type DecimalSign = "." | ",";

/** A figure without a sign, as it was written. */
export interface Numeral {
  readonly value: number;
  /** What a figure such as `1,234` would be in the other way of writing; null where it can only be one. */
  readonly otherReading: number | null;
}

/** Spaces and apostrophes between thousands. */
const APART = /[\s\u00a0\u2009\u202f'’]/g;
/** Written apart: only before groups of three digits, from the first to the decimals. */
const SPACED = /^\d{1,3}(?:[\s\u00a0\u2009\u202f'’]\d{3})+(?:[.,]\d*)?$/;
const SIGNED = /^(?:\d[\d.,]*|[.,]\d+)$/;
const GROUPED = { ".": /^[1-9]\d{0,2}(?:\.\d{3})+$/, ",": /^[1-9]\d{0,2}(?:,\d{3})+$/ } as const;

const sure = (value: number): Numeral => ({ value, otherReading: null });
const other = (sign: DecimalSign): DecimalSign => (sign === "." ? "," : ".");
/** Digits with one sign among them, before the decimals. */
const decimals = (text: string): number => Number(text.replace(",", "."));

/**
 * A figure of at least zero as people write it, by the decimal sign of the locale: `41 350`, `1'286.5`, `4,5`,
 * `0,500`, `1.234,5`; null where it is none. A sign that stands before groups of three digits and is followed by
 * the other, or repeated, stands between thousands. One before three digits can be read either way, unless it
 * comes after a zero or four digits; then it stands before decimals. Refused: spaces elsewhere than before groups of three, and signs
 * out of order (`1,234.5,6`).
 */
export function readNumeral(text: string, decimal: DecimalSign): Numeral | null {
  const trimmed = text.trim();
  if (SPACED.test(trimmed)) return sure(decimals(trimmed.replace(APART, "")));
  if (!SIGNED.test(trimmed)) return null;
  const signs = trimmed.replace(/\d/g, "");
  if (signs.length <= 1) return ofOneSign(trimmed, decimal);
  const last = signs.at(-1) as DecimalSign;
  if ([...signs].every((sign) => sign === last)) return grouped(trimmed, last);
  const at = trimmed.lastIndexOf(last);
  const whole = grouped(trimmed.slice(0, at), other(last));
  return whole === null ? null : sure(decimals(`${whole.value}${trimmed.slice(at)}`));
}

function grouped(text: string, sign: DecimalSign): Numeral | null {
  return GROUPED[sign].test(text) ? sure(Number(text.replaceAll(sign, ""))) : null;
}

function ofOneSign(text: string, decimal: DecimalSign): Numeral {
  const sign = text.includes(decimal) ? decimal : other(decimal);
  const asDecimal = decimals(text);
  const asThousands = grouped(text, sign);
  if (asThousands === null || !text.includes(sign)) return sure(asDecimal);
  return sign === decimal
    ? { value: asDecimal, otherReading: asThousands.value }
    : { value: asThousands.value, otherReading: asDecimal };
}
