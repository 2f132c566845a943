/** Which of the two signs stands before the decimals. */
export type DecimalSign = "." | ",";

const SPACES = /[\s\u00a0\u2009\u202f']/g;
const DIGITS = /^\d+(?:\.\d+)?$/;

/**
 * A figure as people type it, `41 350`, `41350.5` or `4,5`, by the decimal sign of the locale; null
 * where it is not a figure of at least zero. The other sign is taken as a thousands sign where it
 * stands before groups of three digits, and as the decimal sign where it cannot be one.
 */
export function parseFigure(text: string, decimal: DecimalSign): number | null {
  const closed = text.replace(SPACES, "");
  const grouping = decimal === "." ? "," : ".";
  const grouped = new RegExp(`^\\d{1,3}(?:\\${grouping}\\d{3})+(?:\\${decimal}\\d+)?$`);
  const plain = grouped.test(closed)
    ? closed.replaceAll(grouping, "").replace(decimal, ".")
    : closed.replace(/[.,]/, ".");
  return DIGITS.test(plain) ? Number(plain) : null;
}
