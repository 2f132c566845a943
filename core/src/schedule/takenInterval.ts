import type { MeterId } from "../book/records/ids.js";
import type { LimitRecord } from "../book/records/limitRecord.js";
import type { Machine } from "../book/records/machine.js";
import { ownValue } from "../book/records/ownValue.js";
import type { Task } from "../book/records/task.js";
import { limitOf, limitsOfKind } from "../limit/limit.js";
import { DEFAULT_REGIME, limitsInForce } from "./taskDue.js";

/** The school in which a task goes by what was measured of it. */
const MEASURED = "measured";

/** The interval of a limit on a meter; null where it is by another, or by something else. */
function intervalOn(record: LimitRecord, meter: MeterId): number | null {
  const [limit] = limitsOfKind([limitOf(record)], "meter");
  return limit?.meter === meter ? limit.every : null;
}

/** The first interval on a meter among some limits; null where there is none. */
function everyOn(limits: readonly LimitRecord[], meter: MeterId): number | null {
  return limits.map((record) => intervalOn(record, meter)).find((every) => every !== null) ?? null;
}

/** The interval of a task on a meter in the school that holds, and what the handbook gives, both in the meter's unit; null where they give none. */
export function intervalsOn(
  task: Task,
  machine: Machine,
  meter: MeterId,
): { readonly every: number | null; readonly maker: number | null } {
  const { regime } = limitsInForce(task, machine);
  return {
    every: regime === null ? null : everyOn(ownValue(task.regimes, regime) ?? [], meter),
    maker: everyOn(ownValue(task.regimes, DEFAULT_REGIME) ?? [], meter),
  };
}

/**
 * The task with its interval on a meter changed and the reason why: in a school of its own, *measured*, or `otherwise` where
 * it has limits of that name which are not in force, so that what every other school says stays as it was.
 */
export function withInterval(
  { task, meter, to }: { readonly task: Task; readonly meter: MeterId; readonly to: number },
  machine: Machine,
  reason: string,
  otherwise: string,
): Task {
  const { regime } = limitsInForce(task, machine);
  const limits = (regime === null ? undefined : ownValue(task.regimes, regime)) ?? [];
  const changed = limits.map((record) =>
    intervalOn(record, meter) === null ? record : { ...record, every: to },
  );
  const isTaken = ownValue(task.regimes, MEASURED) !== undefined && regime !== MEASURED;
  const school = isTaken ? otherwise : MEASURED;
  return {
    ...task,
    regimes: { ...task.regimes, [school]: changed },
    ...{ regime: school, regimeReason: reason },
  };
}
