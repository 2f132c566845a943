import type { Entry } from "../book/records/entry.js";
import type { FluidUsed } from "../book/records/entryWork.js";
import type { Quantity } from "../quantity/quantity.js";
import { plainAmount } from "../stores/price.js";

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

/** How long people worked for an entry together, in minutes. */
export const minutesWorked = ({ work }: Pick<Entry, "work">): number =>
  (work ?? []).reduce((sum, { minutes }) => sum + minutes, 0);

/** What a line of fluid cost; 0 where none went in. */
function fluidCost({ in: filled, price }: FluidUsed): number | null {
  if ((filled ?? null) === null) return 0;
  return (price ?? null) === null ? null : plainAmount(filled as Quantity) * (price as number);
}

/** A line of an entry that costs, or may cost, something. */
export interface CostLine {
  readonly kind: Exclude<keyof EntryCost, "missing">;
  /** What was used, who worked, or what was paid for: an id where the book knows it, else words. */
  readonly what: string;
  /** Its place in its list of the entry, from 0. */
  readonly at: number;
  /** Money; null where the price, rate or amount is not known. */
  readonly amount: number | null;
}

const times = (count: number, price: number | null | undefined): number | null =>
  price === null || price === undefined ? null : count * price;

/** What is supplied by others costs nothing, whatever its price. */
const isPaid = ({ from }: { readonly from?: string | null | undefined }): boolean =>
  from !== "supplied";

type Lines = Pick<Entry, "parts" | "fluids" | "work" | "costs">;

/** The lines of an entry that cost something, parts first, then fluids, work and the rest, each as it is written. */
export function costLines({ parts, fluids, work, costs }: Lines): CostLine[] {
  return [
    ...(parts ?? []).flatMap((used, at): CostLine[] =>
      isPaid(used)
        ? [{ kind: "parts", what: used.part, at, amount: times(used.count, used.price) }]
        : [],
    ),
    ...(fluids ?? []).flatMap((used, at): CostLine[] =>
      isPaid(used)
        ? [{ kind: "fluids", what: used.product ?? used.fluid, at, amount: fluidCost(used) }]
        : [],
    ),
    ...(work ?? []).map(({ person, minutes, rate }, at): CostLine => ({
      ...{ kind: "work", what: person, at, amount: times(minutes / MINUTES_IN_HOUR, rate) },
    })),
    ...(costs ?? []).map(({ what, amount }, at): CostLine => ({
      ...{ kind: "other", what, at, amount: amount ?? null },
    })),
  ];
}

/** What an entry cost (records: *costs of an entry*). What was supplied costs nothing; a quote is no cost. */
export function entryCost(entry: Lines): EntryCost {
  const cost = { parts: 0, fluids: 0, work: 0, other: 0, missing: 0 };
  for (const { kind, amount } of costLines(entry)) {
    if (amount === null) cost.missing += 1;
    else cost[kind] += amount;
  }
  return cost;
}

/** All of what an entry cost. */
export const wholeCost = ({ parts, fluids, work, other }: EntryCost): number =>
  parts + fluids + work + other;

/** What costs nothing. */
export const NO_COST: EntryCost = { parts: 0, fluids: 0, work: 0, other: 0, missing: 0 };

/** Two costs as one. */
export const addedCost = (one: EntryCost, other: EntryCost): EntryCost => ({
  parts: one.parts + other.parts,
  fluids: one.fluids + other.fluids,
  work: one.work + other.work,
  other: one.other + other.other,
  missing: one.missing + other.missing,
});
