import { groupBy } from "es-toolkit";
import type { Fluid } from "../book/records/fluid.js";
import type { MachineId } from "../book/records/ids.js";
import type { Task } from "../book/records/task.js";
import type { WasteKind } from "../book/records/waste.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { isAbove } from "../sums/nearly.js";
import { shareOfContainer, type ContainerStanding } from "./containersOn.js";
import type { VisitsAhead } from "./needsAhead.js";
import { plannedDrains } from "./plannedDrains.js";

/** Something that will be drained: on which day, of which machine, about how many litres. */
export interface DrainAhead {
  readonly day: DayNumber;
  readonly machine: MachineId;
  readonly litres: number;
}

/** What visits ahead drain ({@link plannedDrains}), by kind of waste, the next first. */
export function drainsAhead(
  { tasks, fluids }: { readonly tasks: readonly Task[]; readonly fluids: readonly Fluid[] },
  visits: VisitsAhead,
): ReadonlyMap<WasteKind, readonly DrainAhead[]> {
  const tasksOf = groupBy(tasks, ({ machine }) => machine);
  const fluidsOf = groupBy(fluids, ({ machine }) => machine);
  const drains = new Map<WasteKind, DrainAhead[]>();
  for (const [machine, ahead] of visits) {
    for (const { day, tasks: ids } of ahead) {
      const own = (tasksOf[machine] ?? []).filter(({ id }) => ids.includes(id));
      for (const [kind, litres] of plannedDrains(own, fluidsOf[machine] ?? [])) {
        const list = drains.get(kind) ?? [];
        list.push({ day, machine, litres });
        drains.set(kind, list);
      }
    }
  }
  for (const list of drains.values()) list.sort((one, other) => one.day - other.day);
  return drains;
}

/** How a container stands to what is drained next. */
export interface ContainerAhead {
  /** How full it is after the next drain, from 0; null where that is not known. */
  readonly afterNext: number | null;
  /** The first drain that does not fit any more; null where all do, or it is not said how much it holds. */
  readonly tooMuch: DrainAhead | null;
}

/** Whether what is drained next still fits into a container, the next first. */
export function containerAhead(
  { container, standing }: ContainerStanding,
  next: readonly DrainAhead[],
): ContainerAhead {
  let there = standing;
  let afterNext: number | null = null;
  for (const [at, drain] of next.entries()) {
    there = { ...there, litres: there.litres + drain.litres };
    const share = shareOfContainer(container, there);
    if (at === 0) afterNext = share;
    if (share !== null && isAbove(share, 1)) return { afterNext, tooMuch: drain };
  }
  return { afterNext, tooMuch: null };
}
