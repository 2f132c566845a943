import type { CalendarLimit, MeterId, MeterLimit } from "@yonderfell/core";

/** The distance meter of a machine of the scenario. */
export const ODO = "odo" as MeterId;

/** The hour meter of a machine of the scenario. */
export const HRS = "hrs" as MeterId;

/** A meter limit: every so much, in the meter's unit. */
export function every(meter: MeterId, amount: number, more: Partial<MeterLimit> = {}): MeterLimit {
  return { meter, every: amount, ...more };
}

/** A calendar limit: every so many months. */
export function months(count: number, more: Partial<CalendarLimit> = {}): CalendarLimit {
  return { months: count, ...more };
}

/** A calendar limit: every so many days. */
export function days(count: number, more: Partial<CalendarLimit> = {}): CalendarLimit {
  return { days: count, ...more };
}
