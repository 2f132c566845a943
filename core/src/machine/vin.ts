/** What stands against a vehicle identification number; null of them where it is sound. */
export type VinDoubt =
  | { readonly code: "not-17-characters"; readonly length: number }
  /** The letters I, O and Q never occur; what may have been meant instead. */
  | { readonly code: "letter-never-used"; readonly letter: string; readonly position: number }
  | {
      readonly code: "not-a-letter-or-digit";
      readonly character: string;
      readonly position: number;
    }
  /** The ninth character is not the check digit of the others: a slip of the finger, or a market that does not use it. */
  | { readonly code: "check-digit"; readonly found: string; readonly expected: string };

const LENGTH = 17;
/** Weights by position; the check digit itself counts nothing (ISO 3779 as used in North America, 49 CFR 565). */
const WEIGHTS = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2] as const;
const CHECK_POSITION = 8;
const VALUES = new Map<string, number>([
  ...[..."0123456789"].map((digit) => [digit, Number(digit)] as const),
  ...[..."ABCDEFGH"].map((letter, index) => [letter, index + 1] as const),
  ...[..."JKLMN"].map((letter, index) => [letter, index + 1] as const),
  ["P", 7],
  ["R", 9],
  ...[..."STUVWXYZ"].map((letter, index) => [letter, index + 2] as const),
]);

/** A VIN as it is compared: capitals, without the spaces and hyphens people put in. */
function plainVin(text: string): string {
  return text.toUpperCase().replace(/[\s-]/g, "");
}

/** The check digit that belongs to 17 characters of a VIN, `0` to `9` or `X`; whatever stands in its place counts nothing. */
export function checkDigitOf(vin: string): string {
  const sum = WEIGHTS.reduce<number>(
    (total, weight, index) => total + weight * (VALUES.get(vin[index] ?? "") ?? 0),
    0,
  );
  const rest = sum % 11;
  return rest === 10 ? "X" : String(rest);
}

/**
 * What stands against a VIN, or null. Nothing is refused: where a market does not use the check
 * digit the person keeps the number as it is, and a serial number is not a VIN at all.
 */
export function vinDoubt(text: string): VinDoubt | null {
  const vin = plainVin(text);
  const characters = [...vin];
  for (const [index, character] of characters.entries()) {
    if (VALUES.has(character)) continue;
    const position = index + 1;
    return /[IOQ]/.test(character)
      ? { code: "letter-never-used", letter: character, position }
      : { code: "not-a-letter-or-digit", character, position };
  }
  if (characters.length !== LENGTH) return { code: "not-17-characters", length: characters.length };
  const expected = checkDigitOf(vin);
  const found = vin[CHECK_POSITION] ?? "";
  return found === expected ? null : { code: "check-digit", found, expected };
}
