import type { Entry } from "../book/records/entry.js";
import { CAPACITY_CONDITIONS, type CapacityCondition, type Fluid } from "../book/records/fluid.js";
import type { ContainerId, PartId, ProductId } from "../book/records/ids.js";
import { learnedCapacityOf, type LearnedCapacity } from "../fluid/learnedCapacity.js";
import { isAbove } from "../sums/nearly.js";
import type { StockItem, StockList } from "../stores/stockOn.js";
import { wasteKindOf, type WasteStanding } from "../stores/wasteOn.js";
import type { WasteKind } from "../book/records/waste.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";

/** What an entry took from a shelf, and what is there now. */
interface TakenFromShelf {
  readonly item: { readonly part: PartId } | { readonly product: ProductId };
  /** In the unit of the item. */
  readonly taken: number;
  readonly unit: StockItem["unit"];
  /** Below 0 the counts do not agree. */
  readonly onHand: number;
  readonly short: boolean;
  readonly least: number | null;
}

/** What an entry drained of a kind of waste, litres, and what stands in its container now. */
interface DrainedTo {
  readonly kind: WasteKind;
  readonly litres: number;
  readonly standing: number;
  readonly container: ContainerId | null;
}

/** What the fill of an entry tells of a capacity, with all fills before it. */
interface Taught {
  readonly fluid: Fluid;
  readonly condition: CapacityCondition;
  readonly learned: LearnedCapacity;
}

/** What follows from an entry beside the dates it moves. */
export interface WorkFollows {
  readonly stock: readonly TakenFromShelf[];
  readonly waste: readonly DrainedTo[];
  readonly capacities: readonly Taught[];
}

function takenOf({ parts, fluids }: Entry, { items }: StockList): TakenFromShelf[] {
  const amounts = new Map<string, number>();
  const add = (id: string, amount: number): void => {
    amounts.set(id, (amounts.get(id) ?? 0) + amount);
  };
  for (const { part, count, from } of parts ?? []) if (from === "stock") add(part, count);
  for (const { product, from, in: amount } of fluids ?? []) {
    if (from !== "stock" || !product || !amount) continue;
    add(product, valueIn(amount, dimensionOf(amount.unit) === "mass" ? "kg" : "L"));
  }
  return items.flatMap((item) => {
    const id = "part" in item ? item.part : item.product;
    const taken = amounts.get(id);
    if (taken === undefined) return [];
    const { unit, onHand, short, least } = item;
    const named = "part" in item ? { part: item.part } : { product: item.product };
    return [{ item: named, taken, unit, onHand, short, least }];
  });
}

function drainedOf(
  { fluids: used }: Entry,
  fluids: readonly Fluid[],
  waste: readonly WasteStanding[],
): DrainedTo[] {
  const litres = new Map<WasteKind, number>();
  for (const { fluid: id, out } of used ?? []) {
    const fluid = fluids.find((one) => one.id === id);
    if (fluid === undefined || !out || dimensionOf(out.unit) !== "volume") continue;
    const kind = wasteKindOf(fluid.kind);
    litres.set(kind, (litres.get(kind) ?? 0) + valueIn(out, "L"));
  }
  return waste.flatMap(({ kind, standing, container }) => {
    const drained = litres.get(kind) ?? 0;
    return isAbove(drained, 0)
      ? [{ kind, litres: drained, standing: standing.litres, container }]
      : [];
  });
}

function taughtBy(
  { fluids: used }: Entry,
  fluids: readonly Fluid[],
  entries: readonly Entry[],
): Taught[] {
  return (used ?? []).flatMap(({ fluid: id, condition, onMark, in: amount }) => {
    const fluid = fluids.find((one) => one.id === id);
    const known = CAPACITY_CONDITIONS.find((one) => one === condition);
    if (fluid === undefined || known === undefined || onMark !== true || !amount) return [];
    return [{ fluid, condition: known, learned: learnedCapacityOf(fluid, known, entries) }];
  });
}

/**
 * What follows from an entry beside the dates it moves (records §§1, 2, 4): what it took from shelves and what is there now,
 * what it drained and where that stands, what its fills to the mark teach of capacities beside the printed ones. `stock` and
 * `waste` are those of the day, the entry counted; `entries` are the machine's own, the entry among them.
 */
export function workFollows(
  entry: Entry,
  {
    fluids,
    entries,
    stock,
    waste,
  }: {
    readonly fluids: readonly Fluid[];
    readonly entries: readonly Entry[];
    readonly stock: StockList;
    readonly waste: readonly WasteStanding[];
  },
): WorkFollows {
  return {
    stock: takenOf(entry, stock),
    waste: drainedOf(entry, fluids, waste),
    capacities: taughtBy(entry, fluids, entries),
  };
}
