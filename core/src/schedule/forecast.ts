import type { DayNumber } from "../calendar/dayNumber.js";
import { hasReached } from "../meter/life.js";
import { dayReached } from "../meter/lifeLine.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";
import { inverseGaussianQuantile } from "./inverseGaussian.js";

/** When a limit is expected to fall due: one in ten earlier than `early`, one in ten later than `late`. */
export interface Forecast {
  readonly early: DayNumber;
  readonly likely: DayNumber;
  readonly late: DayNumber;
}

/** Standard normal quantile of 0.9; that of 0.1 is its negative. */
const NORMAL_90 = 1.2815515655446004;
/** Past so many days there is no forecast (due rules §6). */
const FARTHEST_DAYS = 7300;

/** A forecast of one certain day. */
export function certain(day: DayNumber): Forecast {
  return { early: day, likely: day, late: day };
}

/**
 * When the life of a meter comes to `due`, seen from `today` (due rules §6); null where there is
 * no life, no rate, or more than twenty years of running to go. Counts only the days on which it is not
 * laid up (§10).
 */
export function forecastLife(
  reckoning: MeterReckoning,
  due: number,
  today: DayNumber,
): Forecast | null {
  const { life, kept, rate, running } = reckoning;
  if (life === null) return null;
  if (hasReached(life, due)) return certain(dayReached(kept, rate.perDay, due, today, running));
  const { perDay, variance } = rate;
  if (perDay === null || variance === null || perDay <= 0) return null;
  const remaining = due - life;
  const mean = remaining / perDay;
  if (mean > FARTHEST_DAYS) return null;
  const shape = remaining ** 2 / variance;
  const on = (days: number): DayNumber | null => running.after(today, days);
  const early = on(Math.floor(inverseGaussianQuantile(0.1, -NORMAL_90, mean, shape)));
  const likely = on(Math.floor(inverseGaussianQuantile(0.5, 0, mean, shape) + 0.5));
  const late = on(Math.ceil(inverseGaussianQuantile(0.9, NORMAL_90, mean, shape)));
  // Laid up for good: it never runs that far.
  return early === null || likely === null || late === null ? null : { early, likely, late };
}
