import type { Machine } from "../book/records/machine.js";
import type { FluidId, MeterId } from "../book/records/ids.js";
import type { Task } from "../book/records/task.js";
import { INTERVAL_STEP } from "../ledger/useSums.js";
import { intervalsOn } from "../schedule/takenInterval.js";
import { isAbove } from "../sums/nearly.js";
import type { SampleAdvice } from "./judgeSample.js";

/** A change of an interval that a sample speaks for. */
export interface IntervalChange {
  readonly task: Task;
  readonly meter: MeterId;
  /** In the meter's unit. */
  readonly from: number;
  readonly to: number;
  /** What the handbook gives on that meter; null where it gives none. */
  readonly maker: number | null;
  /** It would go past what the handbook gives. */
  readonly isPast: boolean;
}

/**
 * The changes that the advice of a sample speaks for: of each task that uses the fluid and has an interval on the meter in the school that
 * holds, a fifth more or less. Lengthened it goes up to the handbook's figure first, and past it only where it stands there already, which is said.
 * None where nothing is to be changed.
 */
export function intervalChanges(
  advice: SampleAdvice,
  { fluid, meter }: { readonly fluid: FluidId; readonly meter: MeterId },
  tasks: readonly Task[],
  machine: Machine,
): IntervalChange[] {
  if (advice !== "shorten" && advice !== "extend") return [];
  return tasks
    .filter((task) => (task.uses ?? []).some((use) => use.fluid === fluid))
    .flatMap((task): IntervalChange[] => {
      const { every: from, maker } = intervalsOn(task, machine, meter);
      if (from === null) return [];
      const wanted = from * (advice === "shorten" ? 1 - INTERVAL_STEP : 1 + INTERVAL_STEP);
      const hasRoom = maker !== null && isAbove(maker, from) && isAbove(wanted, maker);
      const to = Number((hasRoom ? maker : wanted).toPrecision(12));
      return [{ task, meter, from, to, maker, isPast: maker !== null && isAbove(to, maker) }];
    });
}
