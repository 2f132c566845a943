import type { Settings } from "../book/records/settings.js";
import { addDays, type DayNumber } from "../calendar/dayNumber.js";
import {
  graceOf,
  type CalendarLimit,
  type MeasuredLimit,
  type MeterLimit,
} from "../limit/limit.js";
import { hasReached, isBelow } from "../meter/life.js";
import type { Forecast } from "./forecast.js";
import type { Status } from "./limitReckoning.js";

/** Shares of an interval that the windows never exceed, and of what is left where there is no forecast (due rules §7). */
const DUE_WINDOW_PARTS = 10;
const LEAD_WINDOW_PARTS = 4;
const DUE_SHARE_LEFT = 0.02;
const SOON_SHARE_LEFT = 0.1;

/** How near a date must be to count as due and as soon, in days. */
export interface Windows {
  readonly dueWithin: number;
  readonly lead: number;
}

/**
 * The windows for a limit (due rules §7): the settings, but never more than a tenth and a quarter of
 * its interval. `days` is how long that lasts, null where unknown.
 */
export function windowsFor(days: number | null, settings: Settings): Windows {
  if (days === null) return { dueWithin: settings.dueWithinDays, lead: settings.leadDays };
  return {
    dueWithin: Math.min(settings.dueWithinDays, Math.floor(days / DUE_WINDOW_PARTS)),
    lead: Math.min(settings.leadDays, Math.floor(days / LEAD_WINDOW_PARTS)),
  };
}

function byForecast(likely: DayNumber, today: DayNumber, windows: Windows): Status {
  if (likely <= addDays(today, windows.dueWithin)) return "due";
  return likely <= addDays(today, windows.lead) ? "soon" : "clear";
}

/** The status of a calendar limit with `remaining` days to its date. */
export function calendarStatus(
  limit: CalendarLimit,
  remaining: number,
  today: DayNumber,
  windows: Windows,
): Status {
  if (remaining < -graceOf(limit)) return "overdue";
  return remaining <= 0 ? "due" : byForecast(addDays(today, remaining), today, windows);
}

/**
 * The status of a meter limit with `remaining` units to go of `span` (null where unknown);
 * without a forecast it goes by the share left.
 */
export function meterStatus(
  limit: MeterLimit | MeasuredLimit,
  remaining: number,
  span: number | null,
  forecast: Forecast | null,
  today: DayNumber,
  windows: Windows,
): Status {
  if (isBelow(remaining, -graceOf(limit))) return "overdue";
  if (hasReached(0, remaining)) return "due";
  if (forecast !== null) return byForecast(forecast.likely, today, windows);
  if (span === null) return "clear";
  const share = remaining / span;
  if (share <= DUE_SHARE_LEFT) return "due";
  return share <= SOON_SHARE_LEFT ? "soon" : "clear";
}
