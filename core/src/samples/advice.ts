import type { Machine } from "../book/records/machine.js";
import type { FluidId, MeterId } from "../book/records/ids.js";
import type { LimitRecord } from "../book/records/limitRecord.js";
import { ownValue } from "../book/records/ownValue.js";
import type { Task } from "../book/records/task.js";
import { limitOf, limitsOfKind } from "../limit/limit.js";
import { DEFAULT_REGIME, limitsInForce } from "../schedule/taskDue.js";
import { isAbove } from "../sums/nearly.js";
import type { SampleAdvice } from "./judgeSample.js";

/** By how much an interval is changed at a time. Source: sums, interval-advice. */
const STEP = 0.2;
/** The school in which a task goes by what was measured of it, and the one beside it where that says something else already. */
const MEASURED = "measured";
const BY_SAMPLE = "by sample";

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

/** The interval of a limit on a meter; null where it is by another, or by something else. */
function intervalOn(record: LimitRecord, meter: MeterId): number | null {
  const [limit] = limitsOfKind([limitOf(record)], "meter");
  return limit?.meter === meter ? limit.every : null;
}

/** The first interval on a meter among some limits; null where there is none. */
function everyOn(limits: readonly LimitRecord[], meter: MeterId): number | null {
  return limits.map((record) => intervalOn(record, meter)).find((every) => every !== null) ?? null;
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
      const { regime } = limitsInForce(task, machine);
      const from = regime === null ? null : everyOn(ownValue(task.regimes, regime) ?? [], meter);
      if (from === null) return [];
      const maker = everyOn(ownValue(task.regimes, DEFAULT_REGIME) ?? [], meter);
      const wanted = from * (advice === "shorten" ? 1 - STEP : 1 + STEP);
      const hasRoom = maker !== null && isAbove(maker, from) && isAbove(wanted, maker);
      const to = Number((hasRoom ? maker : wanted).toPrecision(12));
      return [{ task, meter, from, to, maker, isPast: maker !== null && isAbove(to, maker) }];
    });
}

/**
 * The task with its interval changed and the reason why: in a school of its own, *measured*, or *by sample* where it has limits of that name which
 * are not in force, so that what every other school says stays as it was.
 */
export function withInterval(
  { task, meter, to }: Pick<IntervalChange, "task" | "meter" | "to">,
  machine: Machine,
  reason: string,
): Task {
  const { regime } = limitsInForce(task, machine);
  const limits = (regime === null ? undefined : ownValue(task.regimes, regime)) ?? [];
  const changed = limits.map((record) =>
    intervalOn(record, meter) === null ? record : { ...record, every: to },
  );
  const isTaken = ownValue(task.regimes, MEASURED) !== undefined && regime !== MEASURED;
  const school = isTaken ? BY_SAMPLE : MEASURED;
  return {
    ...task,
    regimes: { ...task.regimes, [school]: changed },
    ...{ regime: school, regimeReason: reason },
  };
}
