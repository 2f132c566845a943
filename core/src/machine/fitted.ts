import type { Part } from "../book/records/part.js";
import type { Specification } from "../book/records/specification.js";
import { valueIn, type Quantity } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";

/** What counts for a specification: the maker's, or what overrides it. */
export interface Governing {
  readonly text: string | null;
  readonly least: Quantity | null;
  readonly most: Quantity | null;
  readonly source: string | null;
  /** Why it overrides the handbook; null where it does not. */
  readonly reason: string | null;
}

/** What is fitted against what is specified. */
export type FittedAnswer =
  | { readonly code: "as-specified" }
  /** The same by an equivalent or superseding number. */
  | { readonly code: "equivalent"; readonly number: string }
  | { readonly code: "below"; readonly least: Quantity; readonly fitted: Quantity }
  | { readonly code: "above"; readonly most: Quantity; readonly fitted: Quantity }
  | { readonly code: "other"; readonly specified: string; readonly fitted: string }
  /** Fitted in words where a quantity is specified, or the other way round. */
  | { readonly code: "cannot-compare" }
  | { readonly code: "not-recorded" };

/** What governs a specification: the override of another part's maker with its reason, else the maker's own. */
export function governing(specification: Specification): Governing {
  const { override } = specification;
  const from = override ?? specification;
  return {
    text: from.text ?? null,
    least: from.least ?? null,
    most: from.most ?? null,
    source: from.source ?? null,
    reason: override?.reason ?? null,
  };
}

const plainText = (text: string): string => text.toUpperCase().replace(/[\s.\-/]/g, "");

/** Whether two part numbers stand for the same: equal but for writing, equivalent, or superseded one by the other. */
export function numbersAgree(one: string, other: string, parts: readonly Part[]): boolean {
  const [a, b] = [plainText(one), plainText(other)];
  if (a === b) return true;
  return parts.some((part) => {
    const all = [part.number, ...(part.equivalents ?? []), part.supersededBy ?? part.number];
    const known = new Set(all.map(plainText));
    return known.has(a) && known.has(b);
  });
}

/**
 * Whether what is on the machine is what should be. Words agree but for writing, with one of the
 * alternatives that ` / ` parts, or by an equivalent part number; quantities lie between least and most.
 */
export function fittedAnswer(specification: Specification, parts: readonly Part[]): FittedAnswer {
  const { text, least, most } = governing(specification);
  const fitted = specification.fitted ?? null;
  const fittedText = fitted?.text?.trim() ?? "";
  const quantity = fitted?.quantity ?? null;
  if (fittedText === "" && quantity === null) return { code: "not-recorded" };
  if (text !== null && text !== "" && fittedText !== "") {
    const alternatives = text.split(/\s+\/\s+/);
    if (alternatives.some((one) => plainText(one) === plainText(fittedText))) {
      return quantityAnswer(quantity, least, most) ?? { code: "as-specified" };
    }
    const same = alternatives.find((one) => numbersAgree(one, fittedText, parts));
    if (same === undefined) return { code: "other", specified: text, fitted: fittedText };
    return { code: "equivalent", number: same };
  }
  return quantityAnswer(quantity, least, most) ?? { code: "cannot-compare" };
}

function quantityAnswer(
  fitted: Quantity | null,
  least: Quantity | null,
  most: Quantity | null,
): FittedAnswer | null {
  const limit = least ?? most;
  if (fitted === null || limit === null) return null;
  if (dimensionOf(fitted.unit) !== dimensionOf(limit.unit)) return { code: "cannot-compare" };
  const tolerance = 1e-9 * Math.max(1, Math.abs(limit.value));
  if (least !== null && valueIn(fitted, least.unit) < least.value - tolerance) {
    return { code: "below", least, fitted };
  }
  if (most !== null && valueIn(fitted, most.unit) > most.value + tolerance) {
    return { code: "above", most, fitted };
  }
  return { code: "as-specified" };
}

/** Whether an answer is a mismatch that a mechanic should see at once. */
export function isMismatch(answer: FittedAnswer): boolean {
  return answer.code === "below" || answer.code === "above" || answer.code === "other";
}
