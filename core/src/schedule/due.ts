import type { CalendarLimit, MeterLimit } from "../book/limitKind.js";
import type { Task } from "../book/task.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { addIntervals, type CalendarInterval } from "../calendar/interval.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";
import { completionFact, datedFact, type Completion } from "./completion.js";
import { firstGridDay, gridPoint, satisfiedGridDay, satisfiedPosition } from "./grid.js";
import type { Basis } from "./limitReckoning.js";

/** Where a limit is due and from where it counts: lives in the meter's unit, or day numbers (due rules §5). */
export type Due<Value extends number> =
  | {
      readonly state: "set";
      readonly due: Value;
      readonly from: Value | null;
      readonly basis: Basis;
    }
  | { readonly state: "unknown" | "finished"; readonly basis: Basis };

/** What the rules need beside the limit: the task's way of counting, its last completion and the machine's past. */
export interface DueContext {
  readonly anchor: NonNullable<Task["anchor"]>;
  readonly last: Completion | null;
  /** Its earliest completion up to today. */
  readonly first: Completion | null;
  readonly historyIsKnown: boolean;
  readonly inService: DayNumber | null;
}

/** The interval of a calendar limit that validation has accepted. */
export function intervalOf(limit: CalendarLimit): CalendarInterval {
  return (limit.months ?? null) === null
    ? { days: limit.days as number }
    : { months: limit.months as number };
}

/** Where a meter limit is due. */
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
  const isMilestone = satisfied < (limit.at ?? []).length;
  const due = isMilestone ? next : doneAt + (limit.every ?? 0);
  return { state: "set", due, from: doneAt, basis: { code: "completed", last: fact } };
}

const DATE_MISSING: Due<DayNumber> = { state: "unknown", basis: { code: "date-missing" } };

/** Where a calendar limit is due. */
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
  return { state: "set", due: addIntervals(from, intervalOf(limit), 1), from, basis };
}

function calendarGridDue(limit: CalendarLimit, context: DueContext): Due<DayNumber> {
  const { last, first, inService } = context;
  const interval = intervalOf(limit);
  const fixed = (limit.from ?? null) === null ? inService : dayOf(limit.from as string);
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
