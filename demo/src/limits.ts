import type { CalendarLimitRecord, MeterId, MeterLimitRecord } from "@yonderfell/core";

/** The distance meter of a machine of the scenario. */
export const ODO = "odo" as MeterId;

/** The hour meter of a machine of the scenario. */
export const HRS = "hrs" as MeterId;

/** A meter limit: every so much, in the meter's unit. */
export function every(
  meter: MeterId,
  amount: number,
  more: Partial<MeterLimitRecord> = {},
): MeterLimitRecord {
  return { meter, every: amount, ...more };
}

/** A calendar limit: every so many months. */
export function months(
  count: number,
  more: Partial<CalendarLimitRecord> = {},
): CalendarLimitRecord {
  return { months: count, ...more };
}
