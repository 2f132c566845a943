import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import type { FindingLimit } from "./findingsDue.js";
import type { LimitReckoning } from "./limitReckoning.js";
import type { MachineReckoning } from "./reckonMachine.js";

/** A limit as the due list prints it (due rules §8). */
interface DueListLimit {
  readonly kind: LimitReckoning["kind"];
  readonly meter?: string;
  readonly from: number | string | null;
  readonly dueAt?: number | null;
  readonly dialAt?: number | null;
  readonly dueOn?: string | null;
  readonly remaining: number | null;
  readonly status: string;
  readonly early: string | null;
  readonly likely: string | null;
  readonly late: string | null;
}

/** The due list of a book on a day: the open form of what the rules reckon (due rules §8). */
export interface DueList {
  readonly today: string;
  readonly machines: readonly {
    readonly id: string;
    readonly meters: readonly {
      readonly id: string;
      readonly life: number | null;
      readonly perDay: number | null;
      readonly lastOn: string | null;
      readonly stale: boolean;
      readonly faults: number;
    }[];
    readonly tasks: readonly {
      readonly id: string;
      readonly status: string;
      readonly governs: number | null;
      readonly regime: string | null;
      readonly doubtful: boolean;
      readonly limits: readonly DueListLimit[];
    }[];
    /** Those that are open. */
    readonly findings: readonly {
      readonly id: string;
      readonly verdict: string | null;
      readonly decision: string;
      readonly status: string;
      readonly governs: number | null;
      readonly doubtful: boolean;
      readonly limits: readonly DueListLimit[];
    }[];
  }[];
}

const dateOrNull = (day: DayNumber | null | undefined): string | null =>
  day === null || day === undefined ? null : formatDay(day);

function limitLine(limit: LimitReckoning | FindingLimit): DueListLimit {
  const dates = {
    early: dateOrNull(limit.forecast?.early),
    likely: dateOrNull(limit.forecast?.likely),
    late: dateOrNull(limit.forecast?.late),
  };
  const { remaining, status } = limit;
  switch (limit.kind) {
    case "meter":
    case "measured": {
      const { kind, meter, from, dueAt, dialAt } = limit;
      return { kind, meter, from, dueAt, dialAt, remaining, status, ...dates };
    }
    case "calendar": {
      const [from, dueOn] = [dateOrNull(limit.from), dateOrNull(limit.dueOn)];
      return { kind: limit.kind, from, dueOn, remaining, status, ...dates };
    }
  }
}

/** The due list of reckoned machines; numbers unrounded, what cannot be computed null. */
export function dueList(machines: readonly MachineReckoning[], today: DayNumber): DueList {
  return {
    today: formatDay(today),
    machines: machines.map(({ machine, meters, tasks, findings }) => ({
      id: machine.id,
      meters: meters.map(({ meter, life, rate, lastOn, stale, faults }) => ({
        id: meter.id,
        life,
        perDay: rate.perDay,
        lastOn: dateOrNull(lastOn),
        stale,
        faults: faults.length,
      })),
      tasks: tasks.map(({ task, status, governs, regime, doubtful, limits }) => ({
        id: task.id,
        status,
        governs,
        regime,
        doubtful,
        limits: limits.map(limitLine),
      })),
      findings: findings.map(({ finding, status, governs, doubtful, limits }) => ({
        id: finding.id,
        verdict: finding.verdict ?? null,
        decision: finding.decision,
        status,
        governs,
        doubtful,
        limits: limits.map(limitLine),
      })),
    })),
  };
}
