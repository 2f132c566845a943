import type { Journey } from "../../book/records/journey.js";
import type { MeterId } from "../../book/records/ids.js";
import type { Task } from "../../book/records/task.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { intervalDays } from "../../calendar/interval.js";
import { limitsOnMeter, type MeasuredLimit, type MeterLimit } from "../../limit/limit.js";
import { hasReached } from "../../meter/life.js";
import { forecastLife } from "../../schedule/forecast.js";
import type {
  CalendarLimitDue,
  LimitDue,
  MeasuredLimitDue,
  MeterLimitDue,
} from "../../schedule/limits/due.js";
import type { MachineState } from "../../schedule/machineState.js";
import { limitsInForce } from "../../schedule/taskDue.js";
import type { JourneyDays, JourneyRun } from "./journeyRun.js";

/** The school whose intervals hold under a heavy load. */
const HARD_USE = "hard use";

/** When something falls due, against a journey, the most pressing first. */
export const JOURNEY_TIMES = ["before", "during", "perhaps", "after"] as const;
/** Before departure; on it; on it if the machine runs as fast as one in ten times until then; after return. */
type JourneyTime = (typeof JOURNEY_TIMES)[number];

/** Absorbs the last digit of a division before it is rounded to a whole number. */
const TOLERANCE = 1e-9;

interface OnJourney {
  readonly when: JourneyTime;
  /** The day it falls due; the day after return where it is later or only perhaps earlier. */
  readonly day: DayNumber;
  /** By how much it is past due at return, in its unit (days for a calendar limit); negative where it is not. */
  readonly overAtReturn: number;
  /** The day after its grace is run through, as far as the journey goes; null for a hard limit. */
  readonly graceEnd: DayNumber | null;
}

/** A limit of a task against a journey. */
export type LimitOnJourney =
  | (OnJourney & {
      readonly kind: "meter";
      /** By a meter, or by wear that is set against one. */
      readonly due: MeterLimitDue | MeasuredLimitDue;
      readonly dueAt: number;
      readonly run: JourneyRun;
      /** How many times a run under load counts: the interval in force by that of hard use; 1 where the load is usual. */
      readonly factor: number;
      /** Life on the meter that counts at return: at the start and the run as many times. */
      readonly countedAtReturn: number;
    })
  | (OnJourney & {
      readonly kind: "calendar";
      readonly due: CalendarLimitDue;
      readonly dueOn: DayNumber;
    });

/** What limits are held against. */
export interface JourneyContext {
  readonly journey: Journey;
  readonly days: JourneyDays;
  readonly runs: ReadonlyMap<MeterId, JourneyRun>;
}

/**
 * A limit against a journey; null where it is unknown or finished, or the meter has no life or no run. By a
 * meter it is due before departure where the forecast's likely day is, and on the journey where that of
 * a limit lower by the run of the journey is not after departure: the same forecast as on the board.
 */
export function limitOnJourney(
  due: LimitDue,
  task: Task,
  state: MachineState,
  context: JourneyContext,
): LimitOnJourney | null {
  switch (due.kind) {
    case "meter":
    case "measured":
      return due.due.state === "set"
        ? meterOnJourney(due, due.due.due, task, state, context)
        : null;
    case "calendar":
      return due.due.state === "set" ? calendarOnJourney(due, due.due.due, context.days) : null;
  }
}

function calendarOnJourney(
  due: CalendarLimitDue,
  dueOn: DayNumber,
  { begins, returns }: JourneyDays,
): LimitOnJourney {
  const when = dueOn < begins ? "before" : dueOn <= returns ? "during" : "after";
  const after = addDays(returns, 1);
  const { grace, hard } = due.limit;
  const graceEnd = hard ? null : addDays(dueOn, Math.floor(grace));
  const day = when === "after" ? after : dueOn;
  return { kind: "calendar", due, dueOn, when, day, overAtReturn: returns - dueOn, graceEnd };
}

function meterOnJourney(
  due: MeterLimitDue | MeasuredLimitDue,
  dueAt: number,
  task: Task,
  state: MachineState,
  context: JourneyContext,
): LimitOnJourney | null {
  const { limit, reckoning } = due;
  const run = context.runs.get(limit.meter);
  if (run === undefined || run.lifeAtStart === null || run.amount === null) return null;
  const factor = loadFactor(limit, task, state, context.journey);
  const counted = run.amount * factor;
  const at = (life: number): DayNumber => dayOnJourney(life, run, counted, context.days);
  const { begins, returns } = context.days;
  const plain = forecastLife(reckoning, dueAt, state.today);
  const isReached = reckoning.life !== null && hasReached(reckoning.life, dueAt);
  const graceEnd = limit.hard ? null : at(dueAt + limit.grace);
  const countedAtReturn = run.lifeAtStart + counted;
  const own = {
    ...({ kind: "meter", due, dueAt, run, factor, countedAtReturn, graceEnd } as const),
    overAtReturn: countedAtReturn - dueAt,
  };
  if (plain !== null && (isReached || plain.likely < begins)) {
    return { ...own, when: "before", day: plain.likely };
  }
  const less = forecastLife(reckoning, dueAt - counted, state.today);
  if (less !== null && less.likely <= begins) {
    // The likely day is a little before the one at an even pace, so that this may be past return.
    return { ...own, when: "during", day: Math.min(at(dueAt), returns) as DayNumber };
  }
  const when = less !== null && less.early <= begins ? "perhaps" : "after";
  return { ...own, when, day: addDays(returns, 1) };
}

/** The day of the journey on which a life is come to, running evenly; the day after return where it is not. */
function dayOnJourney(
  life: number,
  { lifeAtStart }: JourneyRun,
  counted: number,
  { begins, returns }: JourneyDays,
): DayNumber {
  const left = life - (lifeAtStart ?? 0);
  const days = returns - begins + 1;
  if (left <= 0) return begins;
  const needed = counted <= 0 ? Infinity : Math.ceil((left / counted) * days - TOLERANCE);
  return addDays(begins, Math.min(needed, days + 1) - 1);
}

/** The interval of a limit that counts in life; wear has none. */
function everyOf(limit: MeterLimit | MeasuredLimit): number | null {
  switch (limit.kind) {
    case "meter":
      return limit.every;
    case "measured":
      return null;
  }
}

/** How many times a heavy run counts on a limit: by the interval of hard use on the same meter, never less than once. */
function loadFactor(
  limit: MeterLimit | MeasuredLimit,
  task: Task,
  { machine, tasks }: MachineState,
  journey: Journey,
): number {
  const interval = everyOf(limit);
  if (journey.load !== "heavy" || interval === null) return 1;
  const own = (task.nth ? tasks.get(task.nth.of) : undefined) ?? task;
  const hard = limitsInForce({ ...own, regime: HARD_USE }, machine);
  if (hard.regime !== HARD_USE) return 1;
  const every = limitsOnMeter(hard.limits, limit.meter).flatMap((one) => one.every ?? []);
  return every.length === 0 ? 1 : Math.max(1, interval / Math.min(...every));
}

/** The interval a task counts by a limit, in its unit (days for a calendar limit): of one that goes with every n-th turn of another, n of its intervals; null where it comes once. */
export function intervalOnJourney(limit: LimitOnJourney, task: Task): number | null {
  const turns = task.nth?.every ?? 1;
  switch (limit.kind) {
    case "calendar":
      return turns * intervalDays(limit.due.limit.interval);
    case "meter": {
      const every = everyOf(limit.due.limit);
      return every === null ? null : turns * every;
    }
  }
}

/** How many times a task falls due on the journey, were it done each time; at least once. */
export function timesOnJourney(
  limit: LimitOnJourney,
  task: Task,
  { begins, returns }: JourneyDays,
): number {
  const every = intervalOnJourney(limit, task);
  if (every === null) return 1;
  switch (limit.kind) {
    case "meter": {
      const first = Math.max(limit.dueAt, limit.run.lifeAtStart ?? 0);
      return Math.max(1, Math.floor((limit.countedAtReturn - first) / every + TOLERANCE) + 1);
    }
    case "calendar": {
      const first = Math.max(limit.dueOn, begins);
      return Math.max(1, Math.floor((returns - first) / every) + 1);
    }
  }
}
