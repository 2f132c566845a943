import { limitOf } from "../limit/limit.js";
import type { MachineId } from "../book/records/ids.js";
import type { LimitRecord, MeasuredLimitRecord } from "../book/records/limitRecord.js";
import type { Machine, Meter } from "../book/records/machine.js";
import type { Task } from "../book/records/task.js";

/** A limit of a plan: by a measure, whichever meter of a machine counts it, in its unit; or by the calendar. */
export type PlanLimit =
  | {
      readonly measure: "distance" | "hours";
      readonly unit: "km" | "mi" | "h";
      readonly every?: number;
      readonly at?: readonly number[];
      readonly grace?: number;
      readonly hard?: boolean;
      readonly for?: readonly string[];
    }
  | {
      /** By wear that rounds measure, set against the life of such a meter (due rules §16). */
      readonly measure: "distance" | "hours";
      readonly unit: "km" | "mi" | "h";
      readonly measured: Pick<MeasuredLimitRecord, "checklist" | "check" | "point" | "limit">;
      readonly grace?: number;
      readonly hard?: boolean;
      readonly for?: readonly string[];
    }
  | {
      readonly measure: "calendar";
      readonly months?: number;
      readonly days?: number;
      readonly grace?: number;
      readonly hard?: boolean;
      readonly for?: readonly string[];
    };

/** A task of a plan: as a task, but of no machine; others of the plan are named by their keys. */
export interface PlanTask {
  readonly key: string;
  readonly name: string;
  readonly regimes?: Readonly<Record<string, readonly PlanLimit[]>>;
  readonly anchor?: "grid";
  readonly combine?: "last";
  readonly nth?: { readonly of: string; readonly every: number };
  readonly follows?: {
    readonly task: string;
    readonly days?: number;
    readonly measure?: "distance" | "hours";
    readonly unit?: "km" | "mi" | "h";
    readonly amount?: number;
  };
  readonly eachUse?: "before" | "after";
  readonly minutes?: number;
  readonly access?: string;
  readonly ladder?: string;
  readonly note?: string;
  readonly outside?: {
    readonly because: NonNullable<Task["outside"]>["because"];
    readonly tell?: string;
  };
}

/** A set of tasks that can be put on a machine. */
export interface Plan {
  /** Its name in the library, or null for the plan of a machine. */
  readonly name: string | null;
  /** The machine whose plan it is, null for one of the library. */
  readonly machine: MachineId | null;
  readonly tasks: readonly PlanTask[];
}

/** What of a record is said; nulls and empty lists say nothing. */
function said<T extends object>(record: T): Partial<T> {
  const kept = Object.entries(record).filter(
    ([, value]: [string, unknown]) =>
      value !== null && value !== undefined && !(Array.isArray(value) && value.length === 0),
  );
  return Object.fromEntries(kept) as Partial<T>;
}

function planLimit(record: LimitRecord, meters: ReadonlyMap<string, Meter>): PlanLimit | null {
  const { grace, hard } = record;
  const limit = limitOf(record);
  const more = said({ grace, hard, for: limit.products }) as Partial<PlanLimit>;
  switch (limit.kind) {
    case "calendar":
      return { measure: "calendar", ...limit.interval, ...more } as PlanLimit;
    case "meter": {
      const meter = meters.get(limit.meter);
      if (meter === undefined) return null;
      const { every, at } = limit;
      const { measure, unit } = meter;
      return { measure, unit, ...said({ every, at }), ...more } as PlanLimit;
    }
    case "measured": {
      const meter = meters.get(limit.meter);
      if (meter === undefined) return null;
      const { checklist, check, point, limit: figure } = limit;
      const measured = { checklist, check, point, limit: figure };
      return { measure: meter.measure, unit: meter.unit, measured, ...more };
    }
  }
}

/** The plan of a machine, to be put on a sister of it: its tasks by their ids; days of its own life, such as fixed dates and regimes overridden for this one, are left out. */
export function planOfMachine(machine: Machine, tasks: readonly Task[]): Plan {
  const meters = new Map((machine.meters ?? []).map((meter) => [meter.id as string, meter]));
  return {
    name: null,
    machine: machine.id,
    tasks: tasks.map((task) => planTask(task, meters)),
  };
}

function planTask(task: Task, meters: ReadonlyMap<string, Meter>): PlanTask {
  const { anchor, combine, nth, follows, eachUse, minutes, access, ladder, note, outside } = task;
  const regimes = Object.entries(task.regimes ?? {}).map(([name, limits]) => [
    name,
    limits.flatMap((limit) => planLimit(limit, meters) ?? []),
  ]);
  const meter = meters.get(follows?.meter ?? "");
  const after = follows
    ? said({ ...follows, meter: null, measure: meter?.measure, unit: meter?.unit })
    : undefined;
  return {
    key: task.id,
    name: task.name,
    ...(task.regimes ? { regimes: Object.fromEntries(regimes) as PlanTask["regimes"] } : {}),
    ...(anchor === "grid" ? { anchor } : {}),
    ...(combine === "last" ? { combine } : {}),
    ...said({ nth: nth ? { of: nth.of, every: nth.every } : null, follows: after }),
    ...said({ eachUse, minutes, access, ladder, note }),
    ...(outside ? { outside: said(outside) } : {}),
  } as PlanTask;
}
