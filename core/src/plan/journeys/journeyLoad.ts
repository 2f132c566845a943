import type { Fluid } from "../../book/records/fluid.js";
import type { PartId, TaskId } from "../../book/records/ids.js";
import type { Part } from "../../book/records/part.js";
import type { Product } from "../../book/records/product.js";
import type { Task } from "../../book/records/task.js";
import { amountOfUse, type NeedsSource } from "../../stores/taskNeeds.js";

/** Parts to take along. */
export interface PartAlong {
  readonly id: PartId;
  /** Null where the book does not have the part. */
  readonly part: Part | null;
  /** Whole pieces. */
  readonly count: number;
  readonly tasks: readonly TaskId[];
}

/** A fluid to take along. */
export interface FluidAlong {
  readonly fluid: Fluid;
  /** The product that is in the system; null where none is recorded. */
  readonly product: Product | null;
  /** Litres, or kilograms of what is weighed; null where no capacity is recorded. */
  readonly litres: number | null;
  readonly tasks: readonly TaskId[];
}

/** What work on the way takes along. */
export interface JourneyLoadList {
  readonly parts: readonly PartAlong[];
  readonly fluids: readonly FluidAlong[];
}

/** A task and how many times it is done on the way. */
export interface TimesDone {
  readonly task: Task;
  readonly times: number;
}

/** The parts and fluids that so many turns of some tasks take: parts by the fitments that name a task, fluids by what it uses. */
export function journeyLoad(work: readonly TimesDone[], source: NeedsSource): JourneyLoadList {
  return { parts: partsAlong(work, source), fluids: fluidsAlong(work, source) };
}

function partsAlong(work: readonly TimesDone[], { plate, parts }: NeedsSource): PartAlong[] {
  const counts = new Map<PartId, { pieces: number; tasks: TaskId[] }>();
  for (const { task, times } of work) {
    for (const { part, perService, tasks } of plate.fitments) {
      if (!(tasks ?? []).includes(task.id)) continue;
      const held = counts.get(part) ?? { pieces: 0, tasks: [] };
      held.pieces += (perService ?? 1) * times;
      if (!held.tasks.includes(task.id)) held.tasks.push(task.id);
      counts.set(part, held);
    }
  }
  return [...counts].map(([id, { pieces, tasks }]) => {
    const part = parts.find((one) => one.id === id) ?? null;
    return { id, part, count: Math.ceil(pieces), tasks };
  });
}

function fluidsAlong(work: readonly TimesDone[], { plate, products }: NeedsSource): FluidAlong[] {
  const along = new Map<string, FluidAlong>();
  for (const { task, times } of work) {
    for (const use of task.uses ?? []) {
      const fluid = plate.fluids.find((one) => one.id === use.fluid);
      if (fluid === undefined) continue;
      const amount = amountOfUse(use, fluid);
      const held = along.get(fluid.id);
      const before = held === undefined ? 0 : held.litres;
      const litres = amount === null || before === null ? null : before + amount * times;
      const product = products.find(({ id }) => id === fluid.product) ?? null;
      along.set(fluid.id, { fluid, product, litres, tasks: [...(held?.tasks ?? []), task.id] });
    }
  }
  return [...along.values()];
}
