import { byDate, currentRecords, type CurrentRecord } from "../book/slice/currentRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { Fluid } from "../book/records/fluid.js";
import type { FluidId, ProductId } from "../book/records/ids.js";
import type { Task } from "../book/records/task.js";
import type { MachinePlate } from "../book/slice/machinePlate.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { DayNumber } from "../calendar/dayNumber.js";

/** The product that is in a fluid system, and by which entry that is known; null where the plate says it. */
export interface ProductInside {
  readonly product: ProductId;
  readonly by: Entry | null;
}

/** What the products in fluid systems are known from: the plate, the tasks, and the entries that count. */
interface KnownBy {
  readonly fluids: readonly Fluid[];
  readonly tasks: readonly Task[];
  readonly entries: readonly CurrentRecord<Entry>[];
}

/**
 * What is in each fluid system on `today` (records §1): the product of the latest entry, no top-up, that put one in and did
 * a task that uses the fluid; where there is none, the one the plate says was in it before. Systems of which neither is
 * known are left out.
 */
export function productsInside(
  { fluids, tasks, entries }: KnownBy,
  today: DayNumber,
): ReadonlyMap<FluidId, ProductInside> {
  const inside = new Map<FluidId, ProductInside>();
  for (const { id, product } of fluids) {
    if (product) inside.set(id, { product, by: null });
  }
  const usedBy = new Map(
    tasks.map((task) => [task.id, new Set((task.uses ?? []).map(({ fluid }) => fluid))]),
  );
  const filled = entries.filter(
    ({ record, day }) => day <= today && record.fluids !== undefined && record.isTopUp !== true,
  );
  for (const { record } of filled.sort(byDate)) {
    for (const { fluid, product, in: amount } of record.fluids ?? []) {
      const isRenewed = (record.tasks ?? []).some((task) => usedBy.get(task)?.has(fluid));
      if (amount && product && isRenewed) inside.set(fluid, { product, by: record });
    }
  }
  return inside;
}

/** What is in each fluid system of a machine on `today`, by its plate and its part of the book; see {@link productsInside}. */
export function insideOf(
  { fluids }: Pick<MachinePlate, "fluids">,
  { tasks, entries }: Pick<MachineBook, "tasks" | "entries">,
  today: DayNumber,
): ReadonlyMap<FluidId, ProductInside> {
  return productsInside({ fluids, tasks, entries: currentRecords(entries) }, today);
}

/** A plate with the product that is in each fluid now in place of the one that was in before: to reckon with, not to be kept. */
export function plateNow(
  plate: MachinePlate,
  book: Pick<MachineBook, "tasks" | "entries">,
  today: DayNumber,
): MachinePlate {
  return plateWith(plate, insideOf(plate, book, today));
}

/** A plate with what is told to be in each fluid system, in place of what it says itself. */
export function plateWith(
  plate: MachinePlate,
  inside: ReadonlyMap<FluidId, ProductInside>,
): MachinePlate {
  const fluids = plate.fluids.map((fluid) => {
    const product = inside.get(fluid.id)?.product ?? null;
    return product === (fluid.product ?? null) ? fluid : { ...fluid, product };
  });
  return { ...plate, fluids };
}
