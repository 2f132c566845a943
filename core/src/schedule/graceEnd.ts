import type { Limit } from "../book/limitKind.js";
import { addDays, type DayNumber } from "../calendar/dayNumber.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";

/**
 * The last day within the grace of a limit that falls due on `day`; null where it has none or is hard
 * (due rules §4). A grace by a meter (`reckoning` of that meter) lasts as many running days as the machine
 * takes for it at its present pace, and is null where that is not known; one by the calendar (`reckoning`
 * null) its days.
 */
export function graceEnd(
  { grace, hard }: Limit,
  day: DayNumber,
  reckoning: Pick<MeterReckoning, "rate" | "running"> | null,
): DayNumber | null {
  if (hard === true || !grace) return null;
  if (reckoning === null) return addDays(day, Math.floor(grace));
  const { perDay } = reckoning.rate;
  if (perDay === null || perDay <= 0) return null;
  return reckoning.running.after(day, Math.floor(grace / perDay));
}
