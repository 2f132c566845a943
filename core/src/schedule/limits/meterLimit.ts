import type { Settings } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { graceOf, type MeasuredLimit, type MeterLimit } from "../../limit/limit.js";
import type { MeterReckoning } from "../../meter/reckonMeter.js";
import { completionFact, completionLife } from "../completion.js";
import { forecastLife } from "../forecast.js";
import { gridPoint, satisfiedPosition } from "../grid.js";
import type { Basis, MeterLimitReckoning, Status } from "../limitReckoning.js";
import { meterStatus, windowsFor } from "../status.js";
import { nthBasis, type Due, type DueContext, type MeterLimitDue, type NthContext } from "./due.js";

/** Where a meter limit is due (due rules §5). */
export function meterDue(
  limit: MeterLimit,
  context: DueContext,
  reckoning: MeterReckoning,
): Due<number> {
  const { last } = context;
  if (last === null) {
    if (!context.historyIsKnown) return { state: "unknown", basis: { code: "history-unknown" } };
    const basis: Basis =
      context.anchor === "grid" ? { code: "grid", last: null } : { code: "never-done" };
    return { state: "set", due: gridPoint(limit, 1) ?? 0, from: 0, basis };
  }
  const fact = completionFact(last, reckoning);
  const doneAt = fact.life;
  if (doneAt === null)
    return { state: "unknown", basis: { code: "life-unknown-then", last: fact } };
  const satisfied = satisfiedPosition(limit, doneAt);
  const next = gridPoint(limit, satisfied + 1);
  if (next === null) return { state: "finished", basis: { code: "milestones-passed", last: fact } };
  if (context.anchor === "grid") {
    const from = gridPoint(limit, satisfied) ?? 0;
    return { state: "set", due: next, from, basis: { code: "grid", last: fact } };
  }
  const isMilestone = satisfied < limit.at.length;
  const due = isMilestone ? next : doneAt + (limit.every ?? 0);
  return { state: "set", due, from: doneAt, basis: { code: "completed", last: fact } };
}

/** Where a task is due with every n-th turn of one that has this meter limit (due rules §5). */
export function nthMeterDue(
  { due: others, limit, reckoning }: MeterLimitDue,
  context: NthContext,
): Due<number> {
  const { nth, last, turns } = context;
  if (others.state !== "set")
    return { state: others.state, basis: { code: "nth-unknown", of: nth.of } };
  const skipped = turns[nth.every - 1] ?? null;
  const every = limit.every ?? 0;
  const reached =
    skipped === null
      ? others.due + (nth.every - 1 - turns.length) * every
      : completionLife(skipped, reckoning);
  const lastFact = last === null ? null : completionFact(last, reckoning);
  const skippedFact = skipped === null ? null : completionFact(skipped, reckoning);
  if (reached === null) {
    const basis: Basis =
      skippedFact === null
        ? { code: "nth-unknown", of: nth.of }
        : { code: "life-unknown-then", last: skippedFact };
    return { state: "unknown", basis };
  }
  const ownLife = last === null ? null : completionLife(last, reckoning);
  const due = ownLife === null ? reached : Math.max(reached, ownLife + every);
  const from = last === null ? 0 : ownLife;
  return {
    state: "set",
    due,
    from,
    basis: nthBasis(context, skippedFact, lastFact, due > reached),
  };
}

/** How long its interval lasts in days, at `perDay` units a day (null where unknown); null where it has none or does not run. */
export function meterIntervalDays({ every }: MeterLimit, perDay: number | null): number | null {
  return every === null || perDay === null || perDay <= 0 ? null : every / perDay;
}

/** How a limit that counts in life stands on a day. */
type LifeReckoning = Pick<
  MeterLimitReckoning,
  "from" | "dueAt" | "dialAt" | "remaining" | "forecast" | "graceUntil" | "status"
>;

/** A meter limit against the life of its meter on a day (due rules §§6–7). */
export function reckonMeterLimit(
  { limit, reckoning, due }: MeterLimitDue,
  today: DayNumber,
  settings: Settings,
): MeterLimitReckoning {
  const days = meterIntervalDays(limit, reckoning.rate.perDay);
  const life = reckonLife({ limit, reckoning, due }, days, today, settings);
  // Written out whole: spread, tens of thousands of these take several times as long.
  return {
    kind: "meter",
    meter: limit.meter,
    limit,
    basis: due.basis,
    from: life.from,
    dueAt: life.dueAt,
    dialAt: life.dialAt,
    remaining: life.remaining,
    forecast: life.forecast,
    graceUntil: life.graceUntil,
    status: life.status,
  };
}

/** What a limit that counts in life is due against, of any kind that does. */
interface LifeDue {
  readonly limit: MeterLimit | MeasuredLimit;
  readonly reckoning: MeterReckoning;
  readonly due: Due<number>;
}

/** How a limit that counts in life stands on a day, its interval lasting `days` (null where not known) (due rules §§6–7). */
export function reckonLife(
  { limit, reckoning, due }: LifeDue,
  days: number | null,
  today: DayNumber,
  settings: Settings,
): LifeReckoning {
  const isSet = due.state === "set";
  const { life } = reckoning;
  const from = isSet ? due.from : null;
  const dueAt = isSet ? due.due : null;
  const remaining = dueAt === null || life === null ? null : dueAt - life;
  const forecast = dueAt === null || life === null ? null : forecastLife(reckoning, dueAt, today);
  let status: Status = isSet ? "unknown" : due.state;
  if (dueAt !== null && remaining !== null) {
    const span = from === null ? null : dueAt - from;
    status = meterStatus(limit, remaining, span, forecast, today, windowsFor(days, settings));
  }
  return {
    from,
    dueAt,
    dialAt: dueAt === null ? null : dueAt - reckoning.offset,
    remaining,
    forecast,
    graceUntil: forecast === null ? null : meterGraceEnd(limit, forecast.likely, reckoning),
    status,
  };
}

/**
 * The last day within the grace of a meter limit that falls due on `day`; null where it has none or is hard
 * (due rules §4). Its grace lasts as many running days as the machine takes for it at its present pace; null
 * where that is not known.
 */
export function meterGraceEnd(
  limit: MeterLimit | MeasuredLimit,
  day: DayNumber,
  { rate, running }: Pick<MeterReckoning, "rate" | "running">,
): DayNumber | null {
  const grace = graceOf(limit);
  const { perDay } = rate;
  if (grace === 0 || perDay === null || perDay <= 0) return null;
  return running.after(day, Math.floor(grace / perDay));
}
