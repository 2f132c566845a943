import type { FluidUsed } from "../book/records/entryWork.js";
import type { Fluid } from "../book/records/fluid.js";
import type { PartId, TaskId } from "../book/records/ids.js";
import type { Part } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import type { StockMove } from "../book/records/stockMove.js";
import type { Task, TaskUse } from "../book/records/task.js";
import type { MachinePlate } from "../book/slice/machinePlate.js";
import { productCovers, type Cold, type CoverIssue } from "../fluid/covers.js";
import type { Quantity } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { isAbove, isBelow } from "../sums/nearly.js";
import { plainAmount, priceOfPart, priceOfProduct, type PriceOfOne } from "../stores/price.js";
import { quantityOfUse, workingQuantity } from "../stores/taskNeeds.js";

/** What work of a machine is known to take from: its plate with what is inside now, and what Stores knows. */
export interface PlannedFrom {
  readonly plate: MachinePlate;
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  /** Where an item has a move, it is kept on a shelf and taken from there; else it is bought. */
  readonly stockMoves: readonly StockMove[];
}

/** A fluid that work is known to take. What is null is not recorded. */
export interface PlannedFluid {
  readonly fluid: Fluid;
  readonly condition: string | null;
  readonly product: Product | null;
  readonly amount: Quantity | null;
  readonly price: PriceOfOne | null;
  readonly from: "stock" | "bought";
}

/** A part that work is known to take, by the fitments that name its tasks. */
export interface PlannedPart {
  readonly part: Part;
  readonly count: number;
  readonly price: PriceOfOne | null;
  readonly from: "stock" | "bought";
}

/** What tasks are known to take, before anything is done. */
export interface PlannedWork {
  readonly fluids: readonly PlannedFluid[];
  readonly parts: readonly PlannedPart[];
  /** Their minutes together; null where none has any. */
  readonly minutes: number | null;
}

/**
 * What some tasks of a machine are known to take, done together: of a fluid that several use the most that one of
 * them does, of parts what the fitments say that name any of them. Prices are of one piece, litre or kilogram, at the cheapest
 * source that is current (records §1).
 */
export function plannedWork(tasks: readonly Task[], from: PlannedFrom): PlannedWork {
  const minutes = tasks.flatMap((task) => task.minutes ?? []);
  return {
    fluids: plannedFluids(tasks, from),
    parts: plannedParts(tasks, from),
    minutes: minutes.length === 0 ? null : minutes.reduce((sum, one) => sum + one, 0),
  };
}

function plannedFluids(tasks: readonly Task[], from: PlannedFrom): PlannedFluid[] {
  const planned = new Map<string, PlannedFluid>();
  for (const use of tasks.flatMap((task) => task.uses ?? [])) {
    const fluid = from.plate.fluids.find(({ id }) => id === use.fluid);
    if (fluid === undefined) continue;
    const one = plannedFluid(fluid, use, from);
    const known = planned.get(fluid.id);
    if (known === undefined || amountOf(one) > amountOf(known)) planned.set(fluid.id, one);
  }
  return [...planned.values()];
}

const amountOf = ({ amount }: PlannedFluid): number => (amount === null ? 0 : plainAmount(amount));

function plannedFluid(fluid: Fluid, use: TaskUse, from: PlannedFrom): PlannedFluid {
  const condition = use.condition ?? null;
  return { ...plannedFilling(fluid, from), condition, amount: quantityOfUse(use, fluid) };
}

/** What goes into a fluid system where nothing else is said: the product that is in it, at its price, from the shelf where it is kept on one; how much is not known. */
export function plannedFilling(
  fluid: Fluid,
  { products, stockMoves }: Pick<PlannedFrom, "products" | "stockMoves">,
): PlannedFluid {
  const product = products.find(({ id }) => id === fluid.product) ?? null;
  return { ...{ fluid, condition: null, amount: null }, ...suppliedBy(product, stockMoves) };
}

/** A product as it goes in: at its price, from the shelf where it is kept on one. */
export function suppliedBy(
  product: Product | null,
  stockMoves: readonly StockMove[],
): Pick<PlannedFluid, "product" | "price" | "from"> {
  const isKept = product !== null && stockMoves.some((move) => move.product === product.id);
  const price = product === null ? null : priceOfProduct(product);
  return { product, price, from: isKept ? "stock" : "bought" };
}

/** A part as it is fitted: at its price, from the shelf where it is kept on one. */
export function suppliedPart(
  part: Part,
  stockMoves: readonly StockMove[],
): Pick<PlannedPart, "price" | "from"> {
  const isKept = stockMoves.some((move) => move.part === part.id);
  return { price: priceOfPart(part), from: isKept ? "stock" : "bought" };
}

function plannedParts(
  tasks: readonly Task[],
  { plate, parts, stockMoves }: PlannedFrom,
): PlannedPart[] {
  const wanted = new Set<TaskId>(tasks.map(({ id }) => id));
  const counts = new Map<PartId, number>();
  for (const { part, perService, tasks: named } of plate.fitments) {
    if (!(named ?? []).some((task) => wanted.has(task))) continue;
    counts.set(part, (counts.get(part) ?? 0) + (perService ?? 1));
  }
  return [...counts].flatMap(([id, count]) => {
    const part = parts.find((one) => one.id === id);
    return part === undefined ? [] : [{ part, count, ...suppliedPart(part, stockMoves) }];
  });
}

/** An amount this much off the working capacity, as a share of it, needs a word. */
const NEEDS_A_WORD = 0.05;

/** Something about a fluid that work put in, for a person to look at before it is saved. */
export type FluidDoubt =
  | { readonly code: "does-not-cover"; readonly issues: readonly CoverIssue[] }
  /** More than 5 % off the capacity to work by: it needs a word. */
  | { readonly code: "off-capacity"; readonly capacity: Quantity; readonly off: number };

/** What a fluid that goes in is to be looked at beside. */
interface FilledBeside {
  readonly fluid: Fluid;
  readonly product: Product | null;
  /** How the tasks that were done use it: only what is renewed is measured by the capacity. */
  readonly uses: readonly TaskUse[];
  readonly cold: Cold;
}

/**
 * What is odd about a fluid that went in: a product that does not cover what is required, and of a fluid that was
 * renewed an amount over 5 % off what the tasks say it takes, the most of them where they differ, else off its working capacity.
 */
export function fluidDoubts(
  { in: filled, condition }: Pick<FluidUsed, "in" | "condition">,
  { fluid, product, uses, cold }: FilledBeside,
): FluidDoubt[] {
  const { issues } = product === null ? { issues: [] } : productCovers(product, fluid, cold);
  const doubts: FluidDoubt[] = issues.length === 0 ? [] : [{ code: "does-not-cover", issues }];
  const own = uses.filter((use) => use.fluid === fluid.id);
  if (!filled || own.length === 0) return doubts;
  const said = own.flatMap((use) => use.quantity ?? []);
  const capacity =
    said.length > 0
      ? said.reduce((most, one) => (plainAmount(one) > plainAmount(most) ? one : most))
      : workingQuantity(fluid, condition ?? own[0]?.condition);
  if (capacity === null || dimensionOf(capacity.unit) !== dimensionOf(filled.unit)) return doubts;
  const off = plainAmount(filled) / plainAmount(capacity) - 1;
  const isOff = isAbove(off, NEEDS_A_WORD) || isBelow(off, -NEEDS_A_WORD);
  return isOff ? [...doubts, { code: "off-capacity", capacity, off }] : doubts;
}
