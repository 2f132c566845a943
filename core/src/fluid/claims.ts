/**
 * Published backward compatibility between specification codes: a product that claims the code
 * before the colon also covers those behind it. Petrol engine oils chain from the newest back;
 * diesel CK-4 covers CJ-4 and older, FA-4 none of them. European sequences have no chain and are
 * compared exactly, and so is every code not named here (maker approvals among them). Source: the
 * categories as published by the bodies that own them.
 */
const PETROL = ["SQ", "SP", "SN PLUS", "SN", "SM", "SL", "SJ"] as const;
const DIESEL = ["CK-4", "CJ-4", "CI-4 PLUS", "CI-4", "CH-4"] as const;
const FUEL_SAVING = ["GF-7A", "GF-6A", "GF-5"] as const;

/** A code as it is compared: capitals, one form of hyphens and spaces, without the name of the body before it. */
export function plainCode(code: string): string {
  const closed = code
    .toUpperCase()
    .replace(/[‐‑–—−]/g, "-")
    .replace(/\s+/g, " ")
    .trim();
  return closed
    .replace(/^(?:API|ILSAC)[ :/-]*/, "")
    .replace(/^((?:S|C|F)[A-Z]) ?-? ?(\d)/, "$1-$2");
}

/** Wet-clutch oils: both of the later classes lie within the first. */
const WET_CLUTCH = [
  ["JASO MA2", "JASO MA"],
  ["JASO MA1", "JASO MA"],
] as const;

const coveredBy = new Map<string, ReadonlySet<string>>();
for (const chain of [PETROL, DIESEL, FUEL_SAVING, ...WET_CLUTCH]) {
  chain.forEach((code, index) => coveredBy.set(code, new Set(chain.slice(index))));
}

/** Whether a claimed code covers a required one: the same, or published as backward compatible. */
export function coversCode(claimed: string, required: string): boolean {
  const [have, want] = [plainCode(claimed), plainCode(required)];
  return have === want || coveredBy.get(have)?.has(want) === true;
}

/** How a required code is met: by which claim, or not shown to be met. */
export interface CodeAnswer {
  readonly required: string;
  /** The claim that covers it, null where none does. */
  readonly by: string | null;
}

/**
 * Which required codes a product's claims cover. A requirement of alternatives is written with a
 * slash between spaces, `A5 / B5`: one of them is enough.
 */
export function coverage(
  claims: readonly string[],
  required: readonly string[],
): readonly CodeAnswer[] {
  return required.map((wanted) => {
    const alternatives = wanted.split(/\s+\/\s+|\s+or\s+/i);
    const by = claims.find((claim) => alternatives.some((one) => coversCode(claim, one)));
    return { required: wanted, by: by ?? null };
  });
}
