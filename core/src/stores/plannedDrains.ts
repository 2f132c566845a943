import type { Fluid } from "../book/records/fluid.js";
import type { Task } from "../book/records/task.js";
import type { WasteKind } from "../book/records/waste.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { quantityOfUse } from "./taskNeeds.js";
import { wasteKindOf } from "./wasteOn.js";

/** About how many litres of each kind of waste some tasks drain, done together: as much as goes in, of a fluid that several renew once. What is weighed, or of which nobody knows how much there is, is left out. */
export function plannedDrains(
  tasks: readonly Task[],
  fluids: readonly Fluid[],
): ReadonlyMap<WasteKind, number> {
  const bySystem = new Map<string, { readonly kind: WasteKind; readonly litres: number }>();
  for (const use of tasks.flatMap(({ uses }) => uses ?? [])) {
    const fluid = fluids.find(({ id }) => id === use.fluid);
    const quantity = fluid === undefined ? null : quantityOfUse(use, fluid);
    if (fluid === undefined || quantity === null || dimensionOf(quantity.unit) !== "volume")
      continue;
    const litres = Math.max(valueIn(quantity, "L"), bySystem.get(fluid.id)?.litres ?? 0);
    bySystem.set(fluid.id, { kind: wasteKindOf(fluid.kind), litres });
  }
  const drained = new Map<WasteKind, number>();
  for (const { kind, litres } of bySystem.values()) {
    if (litres > 0) drained.set(kind, (drained.get(kind) ?? 0) + litres);
  }
  return drained;
}
