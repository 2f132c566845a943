/**
 * Published backward compatibility between specification codes: a product that claims the code
 * before the colon also covers those behind it. Petrol engine oils chain from the newest back to the first;
 * diesel CK-4 covers CJ-4 and older, FA-4 none of them. European sequences have no chain and are
 * compared exactly, and so is every code not named here (maker approvals among them). Source: the
 * categories as published by the bodies that own them.
 */
const PETROL = [
  ...["SQ", "SP", "SN PLUS", "SN", "SM", "SL", "SJ", "SH"],
  ...["SG", "SF", "SE", "SD", "SC", "SB", "SA"],
];
const DIESEL = ["CK-4", "CJ-4", "CI-4 PLUS", "CI-4", "CH-4"] as const;
const FUEL_SAVING = ["GF-7A", "GF-6A", "GF-5", "GF-4", "GF-3", "GF-2", "GF-1"] as const;
/** Wet-clutch oils: both of the later classes lie within the first. */
const WET_CLUTCH = [
  ["MA2", "MA"],
  ["MA1", "MA"],
] as const;
/** Friction-modified oil, for clutches that run dry: a wet one slips in it. */
const DRY_CLUTCH = "MB";

/** A code as it is compared: capitals, one form of hyphens and spaces, `+` as PLUS, without the name of the body before it. */
function plainCode(code: string): string {
  return code
    .toUpperCase()
    .replace(/[‐‑–—−]/g, "-")
    .replace(/\+/g, " PLUS")
    .replace(/\s+/g, " ")
    .trim()
    .replace(/^(?:API|ILSAC|ACEA|JASO)\b[ :/-]*/, "")
    .replace(/^(S[A-Z]|C[A-Z]-?\d) ?PLUS$/, "$1 PLUS")
    .replace(/^([CF][A-Z]|GF) ?-? ?(\d)/, "$1-$2");
}

/** The form of a category, as against a maker's approval. */
const CATEGORY =
  /^(?:S[A-Z](?: PLUS)?|C[A-Z](?:-\d)?(?: PLUS)?|FA-4|GF-\d[AB]?|[ABCEF]\d{1,2}|MA[12]?|MB)$/;

/** The codes in one word: several categories written with slashes and nothing between, `SN/CF` or `A3/B4`, are each of them. */
function codesIn(word: string): string[] {
  const codes = word.split("/").map(plainCode);
  return codes.length > 1 && codes.every((code) => CATEGORY.test(code)) ? codes : [plainCode(word)];
}

const coveredBy = new Map<string, ReadonlySet<string>>();
for (const chain of [PETROL, DIESEL, FUEL_SAVING, ...WET_CLUTCH]) {
  chain.forEach((code, index) => coveredBy.set(code, new Set(chain.slice(index))));
}

const isCovered = (have: string, want: string): boolean =>
  have === want || coveredBy.get(have)?.has(want) === true;

/** Whether a claim covers a required code, or each of several in it: the same, or published as backward compatible. */
export function coversCode(claimed: string, required: string): boolean {
  return codesIn(required).every((want) => codesIn(claimed).some((have) => isCovered(have, want)));
}

/** Whether claims refuse a required class for wet clutches: of another class they say that it is for dry ones. */
export function slipsWetClutch(claims: readonly string[], required: string): boolean {
  const isWet = (code: string): boolean => WET_CLUTCH.flat().some((wet) => wet === code);
  const claimed = claims.flatMap(codesIn);
  return codesIn(required).some(isWet) && claimed.includes(DRY_CLUTCH) && !claimed.some(isWet);
}

/** The claims that together cover a required word, null where they do not. */
function coveringClaims(claims: readonly string[], required: string): readonly string[] | null {
  const found = codesIn(required).map((want) => claims.find((claim) => coversCode(claim, want)));
  const known = found.filter((claim) => claim !== undefined);
  return known.length < found.length ? null : [...new Set(known)];
}

/** How a required code is met: by which claim, or not shown to be met. */
export interface CodeAnswer {
  readonly required: string;
  /** The claim that covers it, or the claims where it takes several; null where none does. */
  readonly by: string | null;
}

/**
 * Which required codes a product's claims cover. A requirement of alternatives is written with a
 * slash between spaces, `A5 / B5`: one of them is enough; without spaces, `A3/B4`, all are required.
 */
export function coverage(
  claims: readonly string[],
  required: readonly string[],
): readonly CodeAnswer[] {
  return required.map((wanted) => {
    const alternatives = wanted.split(/\s+\/\s+|\s+or\s+/i);
    const found = alternatives.flatMap((one) => {
      const by = coveringClaims(claims, one);
      return by === null ? [] : [by.join(" and ")];
    });
    return { required: wanted, by: found[0] ?? null };
  });
}
