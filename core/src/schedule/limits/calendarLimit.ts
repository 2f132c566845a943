import type { Settings } from "../../book/records/settings.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { addIntervals, intervalDays } from "../../calendar/interval.js";
import { graceOf, type CalendarLimit } from "../../limit/limit.js";
import { datedFact } from "../completion.js";
import { certain } from "../forecast.js";
import { firstGridDay, satisfiedGridDay } from "../grid.js";
import type { Basis, CalendarLimitReckoning, Status } from "../limitReckoning.js";
import { calendarStatus, windowsFor } from "../status.js";
import {
  nthBasis,
  type CalendarLimitDue,
  type Due,
  type DueContext,
  type NthContext,
} from "./due.js";

const DATE_MISSING: Due<DayNumber> = { state: "unknown", basis: { code: "date-missing" } };

/** Where a calendar limit is due (due rules §5). */
export function calendarDue(limit: CalendarLimit, context: DueContext): Due<DayNumber> {
  const { last } = context;
  if (last === null && !context.historyIsKnown) {
    return { state: "unknown", basis: { code: "history-unknown" } };
  }
  return context.anchor === "grid"
    ? calendarGridDue(limit, context)
    : calendarDoneDue(limit, context);
}

function calendarDoneDue(limit: CalendarLimit, context: DueContext): Due<DayNumber> {
  const { last, inService } = context;
  const from = last?.day ?? inService;
  if (from === null) return DATE_MISSING;
  const basis: Basis =
    last === null ? { code: "never-done" } : { code: "completed", last: datedFact(last) };
  return { state: "set", due: addIntervals(from, limit.interval, 1), from, basis };
}

function calendarGridDue(limit: CalendarLimit, context: DueContext): Due<DayNumber> {
  const { last, first, inService } = context;
  const { interval } = limit;
  const fixed = limit.from ?? inService;
  // Where nothing else fixes the grid, the first completion does.
  const origin = fixed ?? first?.day ?? null;
  if (origin === null) return DATE_MISSING;
  if (last === null) {
    const due = inService === null ? origin : firstGridDay(origin, interval, inService, origin);
    return { state: "set", due, from: inService, basis: { code: "grid", last: null } };
  }
  const satisfied = satisfiedGridDay(origin, interval, last.day);
  return {
    state: "set",
    due: firstGridDay(origin, interval, satisfied, origin),
    from: satisfied,
    basis: {
      ...{ code: "grid", last: datedFact(last) },
      ...(fixed === null && first !== null ? { first: datedFact(first) } : {}),
    },
  };
}

/** Where a task is due with every n-th turn of one that has this calendar limit (due rules §5). */
export function nthCalendarDue(
  { due: others, limit }: CalendarLimitDue,
  context: NthContext,
): Due<DayNumber> {
  const { nth, last, turns, inService } = context;
  if (others.state !== "set")
    return { state: others.state, basis: { code: "nth-unknown", of: nth.of } };
  const { interval } = limit;
  const skipped = turns[nth.every - 1] ?? null;
  const reached = skipped?.day ?? addIntervals(others.due, interval, nth.every - 1 - turns.length);
  const earliest = last === null ? reached : addIntervals(last.day, interval, 1);
  const due = earliest > reached ? earliest : reached;
  const skippedFact = skipped === null ? null : datedFact(skipped);
  const lastFact = last === null ? null : datedFact(last);
  return {
    state: "set",
    due,
    from: last === null ? inService : last.day,
    basis: nthBasis(context, skippedFact, lastFact, due > reached),
  };
}

/** A calendar limit on a day (due rules §7). */
export function reckonCalendarLimit(
  { limit, due }: CalendarLimitDue,
  today: DayNumber,
  settings: Settings,
): CalendarLimitReckoning {
  const dueOn = due.state === "set" ? due.due : null;
  const remaining = dueOn === null ? null : dueOn - today;
  let status: Status = due.state === "set" ? "unknown" : due.state;
  if (remaining !== null) {
    const windows = windowsFor(intervalDays(limit.interval), settings);
    status = calendarStatus(limit, remaining, today, windows);
  }
  // Written out whole, as that of a meter limit.
  return {
    kind: "calendar",
    limit,
    basis: due.basis,
    from: due.state === "set" ? due.from : null,
    dueOn,
    remaining,
    forecast: dueOn === null ? null : certain(dueOn),
    graceUntil: dueOn === null ? null : calendarGraceEnd(limit, dueOn),
    status,
  };
}

/** The last day within the grace of a calendar limit that falls due on `day`; null where it has none or is hard (due rules §4). */
export function calendarGraceEnd(limit: CalendarLimit, day: DayNumber): DayNumber | null {
  const grace = graceOf(limit);
  return grace === 0 ? null : addDays(day, Math.floor(grace));
}
