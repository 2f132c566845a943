import type { MeterId } from "../../book/records/ids.js";
import type { Settings } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { intervalDays } from "../../calendar/interval.js";
import type { Limit } from "../../limit/limit.js";
import type { LimitReckoning } from "../limitReckoning.js";
import {
  calendarDue,
  calendarGraceEnd,
  nthCalendarDue,
  reckonCalendarLimit,
} from "./calendarLimit.js";
import type { MachineState } from "../machineState.js";
import type { DueContext, LimitDue, NthContext } from "./due.js";
import { measuredDue, nthMeasuredDue, reckonMeasuredLimit } from "./measuredLimit.js";
import {
  meterDue,
  meterGraceEnd,
  meterIntervalDays,
  nthMeterDue,
  reckonMeterLimit,
} from "./meterLimit.js";

/** Where a limit of a task is due (due rules §5); null where the machine has no such meter. */
export function limitDue(limit: Limit, context: DueContext, state: MachineState): LimitDue | null {
  switch (limit.kind) {
    case "meter": {
      const reckoning = state.meters.get(limit.meter);
      if (reckoning === undefined) return null;
      return { kind: "meter", limit, reckoning, due: meterDue(limit, context, reckoning) };
    }
    case "calendar":
      return { kind: "calendar", limit, due: calendarDue(limit, context) };
    case "measured": {
      const reckoning = state.meters.get(limit.meter);
      return reckoning === undefined ? null : measuredDue(limit, context, reckoning, state);
    }
  }
}

/** Where a limit is due that is borrowed from the task this one comes with every n-th turn of (due rules §5). */
export function nthLimitDue(borrowed: LimitDue, context: NthContext): LimitDue {
  switch (borrowed.kind) {
    case "meter":
      return { ...borrowed, due: nthMeterDue(borrowed, context) };
    case "calendar":
      return { ...borrowed, due: nthCalendarDue(borrowed, context) };
    case "measured":
      return nthMeasuredDue(borrowed, context.nth.of);
  }
}

/** A limit reckoned on `today`: what is left, when it is reached, how pressing it is (due rules §§6–7). */
export function reckonLimit(due: LimitDue, today: DayNumber, settings: Settings): LimitReckoning {
  switch (due.kind) {
    case "meter":
      return reckonMeterLimit(due, today, settings);
    case "calendar":
      return reckonCalendarLimit(due, today, settings);
    case "measured":
      return reckonMeasuredLimit(due, today, settings);
  }
}

/** How long the interval of a limit lasts in days, a meter at the pace of `paceOf` in units a day; null where it has none or the pace is not known. */
export function limitDays(
  limit: Limit,
  paceOf: (meter: MeterId) => number | null | undefined,
): number | null {
  switch (limit.kind) {
    case "meter":
      return meterIntervalDays(limit, paceOf(limit.meter) ?? null);
    case "calendar":
      return intervalDays(limit.interval);
    case "measured":
      return null;
  }
}

/** The last day within the grace of a limit that falls due on `day`; null where it has none, is hard, or the pace is not known (due rules §4). */
export function graceEnd(due: LimitDue, day: DayNumber): DayNumber | null {
  switch (due.kind) {
    case "meter":
      return meterGraceEnd(due.limit, day, due.reckoning);
    case "calendar":
      return calendarGraceEnd(due.limit, day);
    case "measured":
      return meterGraceEnd(due.limit, day, due.reckoning);
  }
}

/** Whether what a limit is reckoned from is in doubt: its meter stale or stopped (due rules §7). */
export function standsOnDoubt(due: LimitDue): boolean {
  switch (due.kind) {
    case "meter":
      return due.reckoning.stale || due.reckoning.stoppedOn !== null;
    case "calendar":
      return false;
    case "measured":
      return due.rough || due.reckoning.stale || due.reckoning.stoppedOn !== null;
  }
}

/** Where a limit falls due in its own measure: life on its meter, or a day number; null where it does not. */
export function placeDue(limit: LimitReckoning): number | null {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return limit.dueAt;
    case "calendar":
      return limit.dueOn;
  }
}

/** The day a limit counts from; null where it is not known, or counts by a meter. */
export function dayCountedFrom(limit: LimitReckoning): DayNumber | null {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return null;
    case "calendar":
      return limit.from;
  }
}
