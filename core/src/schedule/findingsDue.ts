import type { Finding } from "../book/records/finding.js";
import type { Settings } from "../book/records/settings.js";
import type { MachineRecords } from "../book/slice/machineRecords.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { everyInterval, everySoMuch } from "../limit/limit.js";
import { certain } from "./forecast.js";
import type { CalendarLimitReckoning, MeterLimitReckoning, Status } from "./limitReckoning.js";
import { reckonLife } from "./limits/meterLimit.js";
import { decideFirst } from "./reckonTask.js";
import { calendarStatus, windowsFor } from "./status.js";
import type { MachineState } from "./machineState.js";

/** When a finding is to be dealt with, by calendar or by a meter: once only, and counted from nothing. */
export type FindingLimit =
  | Omit<CalendarLimitReckoning, "limit" | "basis" | "graceUntil">
  | Omit<MeterLimitReckoning, "limit" | "basis" | "graceUntil">;

/** An open finding as it stands on the board of its machine (due rules §15). */
export interface FindingReckoning {
  readonly finding: Finding;
  /** `waiting` for a visit or a look that is not dated; `declined` is not due, and brought back. */
  readonly status: Status | "waiting" | "declined";
  readonly governs: number | null;
  readonly doubtful: boolean;
  readonly limits: readonly FindingLimit[];
}

/** What findings are reckoned from beside the machine as the due rules see it. */
type FoundOn = Pick<MachineRecords, "findings" | "entries" | "visits">;

/** The open findings of a machine: found up to today, and closed neither by an entry that counts nor by a person (due rules §15). */
export function openFindings(
  { findings, entries }: Pick<FoundOn, "findings" | "entries">,
  today: DayNumber,
): Finding[] {
  if (findings.length === 0) return [];
  const closing = entries.filter(({ day }) => day <= today);
  const closed = new Set(closing.flatMap(({ record }) => record.closes ?? []));
  return findings.filter(
    ({ id, found, closed: by }) =>
      dayOf(found) <= today &&
      !closed.has(id) &&
      ((by ?? null) === null || dayOf(by?.on ?? "") > today),
  );
}

/** The first day on or after today for which a visit is decided on; null without one. */
export function nextVisit({ visits }: Pick<FoundOn, "visits">, today: DayNumber): DayNumber | null {
  const coming = visits
    .filter(({ accepted }) => dayOf(accepted) <= today)
    .map(({ date }) => dayOf(date))
    .filter((day) => day >= today);
  return coming.length === 0 ? null : (Math.min(...coming) as DayNumber);
}

/** The day a finding is due on; null where no day is said. */
function dueDay(finding: Finding, on: FoundOn, today: DayNumber): DayNumber | null {
  const dayIn = (text: string | null | undefined): DayNumber | null =>
    (text ?? null) === null ? null : dayOf(text as string);
  switch (finding.decision) {
    case "now":
      return dayOf(finding.found);
    case "next visit": {
      const said = dayIn(finding.dueOn);
      const isElsewhere = said !== null || (finding.dueAt ?? null) !== null;
      return isElsewhere ? said : nextVisit(on, today);
    }
    case "watch":
      return dayIn(finding.lookOn);
    case "declined":
      return null;
  }
}

function byDay(day: DayNumber, today: DayNumber, settings: Settings): FindingLimit {
  const remaining = day - today;
  const windows = windowsFor(null, settings);
  return {
    ...{ kind: "calendar", from: null, dueOn: day, remaining, forecast: certain(day) },
    status: calendarStatus(everyInterval({ days: 1 }), remaining, today, windows),
  };
}

function byLife(
  { meter, life }: NonNullable<Finding["dueAt"]>,
  { meters, today }: MachineState,
  settings: Settings,
): { readonly limit: FindingLimit; readonly isInDoubt: boolean } | null {
  const reckoning = meters.get(meter);
  if (reckoning === undefined) return null;
  const due = { state: "set", due: life, from: null, basis: { code: "never-done" } } as const;
  const limit = everySoMuch(meter, 1);
  const stands = reckonLife({ limit, reckoning, due }, null, today, settings);
  return {
    limit: { kind: "meter", meter, ...stands },
    isInDoubt: reckoning.stale || reckoning.stoppedOn !== null,
  };
}

function reckonFinding(
  finding: Finding,
  on: FoundOn,
  state: MachineState,
  settings: Settings,
): FindingReckoning {
  const none = { finding, governs: null, doubtful: false, limits: [] } as const;
  if (finding.decision === "declined") return { ...none, status: "declined" };
  const { today } = state;
  const day = dueDay(finding, on, today);
  const at = finding.decision === "next visit" ? (finding.dueAt ?? null) : null;
  const life = at === null ? null : byLife(at, state, settings);
  const limits = [
    ...(day === null ? [] : [byDay(day, today, settings)]),
    ...(life === null ? [] : [life.limit]),
  ];
  if (limits.length === 0) return { ...none, status: "waiting" };
  const doubtful = life?.isInDoubt === true || limits.some(({ status }) => status === "unknown");
  return { finding, ...decideFirst(limits), doubtful, limits };
}

/** The open findings of a machine on a day, like tasks with limits of one time only, in the order of the file (due rules §15). */
export function reckonFindings(
  on: FoundOn,
  state: MachineState,
  settings: Settings,
): FindingReckoning[] {
  return openFindings(on, state.today).map((finding) =>
    reckonFinding(finding, on, state, settings),
  );
}
