import type { JobStep } from "../../book/records/step.js";
import type { PlannedWork } from "../../ledger/plannedWork.js";
import { valueIn } from "../../quantity/quantity.js";
import { dimensionOf } from "../../quantity/unit.js";
import type { StockItem } from "../../stores/stockOn.js";
import { isBelow } from "../../sums/nearly.js";
import type { CardFrom } from "./cardFrom.js";
import type { Used } from "./chooseWay.js";
import { toolsOf } from "./library/way.js";
import { stepFigure } from "./places.js";

/** Something that is taken from a shelf on which there is not enough of it, in the unit it is kept in. */
export interface CardShortage {
  readonly part: string | null;
  readonly product: string | null;
  readonly name: string;
  readonly needed: number;
  /** Below 0 where the counts do not agree. */
  readonly onHand: number;
  readonly unit: StockItem["unit"];
}

/** Tools with their sizes, each once: those of the ways, of the steps, and what tightens to a torque. */
export function toolsFor(used: readonly Used[], steps: readonly JobStep[]): string[] {
  const torques = steps.flatMap(({ torque }) => torque ?? []);
  const [first] = torques;
  const most = torques.reduce(
    (high, one) => (high !== undefined && valueIn(one, "Nm") <= valueIn(high, "Nm") ? high : one),
    first,
  );
  const wrench = most === undefined ? [] : [`torque wrench, up to ${stepFigure(most)}`];
  const named = [
    ...used.flatMap(({ way }) => toolsOf(way)),
    ...steps.flatMap(({ tool }) => tool ?? []).filter((tool) => tool !== "by hand"),
  ];
  const others = named.filter((tool) => wrench.length === 0 || tool !== "torque wrench");
  return [...new Set([...others, ...wrench])];
}

/** Litres that the drain pan must hold: the most that comes out of one system at once; null where nothing is drained, or how much is not known. */
export function panFor(steps: readonly JobStep[]): number | null {
  const amounts = steps.flatMap(({ kind, expected, pass }) => {
    if (kind === "drain") return expected ?? [];
    return kind === "passes" ? (pass ?? []) : [];
  });
  return amounts.length === 0 ? null : Math.max(...amounts);
}

/** What is taken from a shelf on which there is not enough of it (records §2: on hand). */
export function shortagesOf(takes: PlannedWork, { onHand }: CardFrom): CardShortage[] {
  if (onHand === null) return [];
  const itemFor = (id: string): StockItem | undefined =>
    onHand.items.find((item) => ("part" in item ? item.part : item.product) === id);
  const parts = takes.parts.flatMap(({ part, count, from }): CardShortage[] => {
    const item = from === "stock" ? itemFor(part.id) : undefined;
    if (item === undefined || !isBelow(item.onHand, count)) return [];
    const name = `${part.number} ${part.name}`;
    const { onHand: there, unit } = item;
    return [{ part: part.id, product: null, name, needed: count, onHand: there, unit }];
  });
  const fluids = takes.fluids.flatMap(({ product, amount, from }): CardShortage[] => {
    const item = from === "stock" && product !== null ? itemFor(product.id) : undefined;
    if (item === undefined || product === null || amount === null) return [];
    const isKept = dimensionOf(amount.unit) === (item.unit === "kg" ? "mass" : "volume");
    const needed = isKept ? valueIn(amount, item.unit === "kg" ? "kg" : "L") : 0;
    if (!isBelow(item.onHand, needed)) return [];
    const { onHand: there, unit } = item;
    return [{ part: null, product: product.id, name: product.name, needed, onHand: there, unit }];
  });
  return [...parts, ...fluids];
}
