import type { Entry } from "../book/records/entry.js";
import type { FluidUsed } from "../book/records/entryWork.js";
import { valueIn, type Quantity } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";

/** What an entry cost, in the book's money as it was on the day; nothing is rounded. */
export interface EntryCost {
  readonly parts: number;
  readonly fluids: number;
  readonly work: number;
  readonly other: number;
  /** Lines whose price, rate or amount is not known; each counts 0. A price of 0 is known. */
  readonly missing: number;
}

const MINUTES_IN_HOUR = 60;

/** Litres of an amount, or kilograms where it is a mass. */
const litresOrKilograms = (amount: Quantity): number =>
  valueIn(amount, dimensionOf(amount.unit) === "mass" ? "kg" : "L");

/** The cost of lines; null for one whose price is not known. */
function summed(lines: readonly (number | null)[]): {
  readonly sum: number;
  readonly missing: number;
} {
  const known = lines.filter((line) => line !== null);
  return {
    sum: known.reduce((sum, line) => sum + line, 0),
    missing: lines.length - known.length,
  };
}

/** What a line of fluid cost; 0 where none went in. */
function fluidCost({ in: filled, price }: FluidUsed): number | null {
  if ((filled ?? null) === null) return 0;
  return (price ?? null) === null
    ? null
    : litresOrKilograms(filled as Quantity) * (price as number);
}

/** What an entry cost (records: *costs of an entry*). What was supplied costs nothing; a quote is no cost. */
export function entryCost({
  parts,
  fluids,
  work,
  costs,
}: Pick<Entry, "parts" | "fluids" | "work" | "costs">): EntryCost {
  const isPaid = ({ from }: { readonly from?: string | null | undefined }): boolean =>
    from !== "supplied";
  const times = (count: number, price: number | null | undefined): number | null =>
    price === null || price === undefined ? null : count * price;
  const ofParts = summed(
    (parts ?? []).filter(isPaid).map(({ count, price }) => times(count, price)),
  );
  const ofFluids = summed((fluids ?? []).filter(isPaid).map(fluidCost));
  const ofWork = summed(
    (work ?? []).map(({ minutes, rate }) => times(minutes / MINUTES_IN_HOUR, rate)),
  );
  const ofOther = summed((costs ?? []).map(({ amount }) => amount ?? null));
  const missing = ofParts.missing + ofFluids.missing + ofWork.missing + ofOther.missing;
  return {
    ...{ parts: ofParts.sum, fluids: ofFluids.sum, work: ofWork.sum, other: ofOther.sum },
    missing,
  };
}

/** All of what an entry cost. */
export const wholeCost = ({ parts, fluids, work, other }: EntryCost): number =>
  parts + fluids + work + other;
