import { daysBetween, type BoardMeter, type LimitReckoning } from "@yonderfell/core";
import { amount, counted, dateRange, perDay, shortDate, spanOfDays } from "./format.js";
import { limitAmount, meterName, meterOf, unitOf } from "./limitWords.js";
import type { Place } from "./place.js";
import { idleWords } from "./standingWords.js";

/** A limit that counts in the life of a meter. */
type LifeLimit = Exclude<LimitReckoning, { readonly kind: "calendar" }>;

/** How fast the meter runs and what that makes of the limit, in sentences. */
export function forecastWords(limit: LimitReckoning, place: Place): string[] {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return meterForecastWords(limit, place);
    case "calendar":
      return [];
  }
}

function meterForecastWords(limit: LifeLimit, place: Place): string[] {
  if (limit.dueAt === null) return [];
  const meter = meterOf(place.machine, limit.meter);
  if (meter === undefined) return [];
  if (limit.remaining === null)
    return [`The ${meterName(meter)} has no reading yet, so what is left is not known.`];
  if (limit.remaining <= 0) return [reachedWords(limit, place)];
  if (limit.forecast === null) return [noForecastWords(limit, meter)];
  const { perDay: rate } = meter.rate;
  const pace =
    rate === null ? "" : `Running ${perDay(rate, meter.meter.unit)} (${rateSource(meter)}): `;
  const likely = shortDate(limit.forecast.likely, place.today);
  const range = dateRange(limit.forecast, place.today);
  return [
    `${pace}about ${likely}${range === likely ? "" : ` (${range})`}.`,
    ...idleWords(place, limit.forecast.likely),
  ];
}

function reachedWords(limit: LifeLimit, { machine, today }: Place): string {
  const unit = unitOf(machine, limit.meter);
  const over = amount(-(limit.remaining ?? 0), unit);
  const on = limit.forecast === null ? "" : ` about ${shortDate(limit.forecast.likely, today)}`;
  return `Reached${on}; ${over} over now.`;
}

function noForecastWords(limit: LifeLimit, meter: BoardMeter): string {
  const left = amount(limit.remaining ?? 0, meter.meter.unit);
  const { perDay: rate } = meter.rate;
  if (rate === null) return `${left} left; how fast it runs is not known yet, so there is no date.`;
  return rate <= 0
    ? `${left} left; it is not running, so there is no date.`
    : `${left} left: more than twenty years at this pace.`;
}

function rateSource(meter: BoardMeter): string {
  const { source } = meter.rate;
  switch (source.code) {
    case "observed":
      return `from ${counted(source.pairs + 1, "reading")} over ${spanOfDays(daysBetween(source.from, source.to))}, the latest counting most`;
    case "declared":
      return "as declared";
    case "none":
      return "not known";
  }
}

/** Whether a limit may be passed, and by how much. */
export function graceWords(limit: LimitReckoning, { machine }: Place): string[] {
  const { hard, grace } = limit.limit;
  if (hard) return ["Required by law or warranty: no grace."];
  if (grace === 0) return [];
  const shown = limitAmount(limit.limit, grace, (meter) => unitOf(machine, meter));
  return [`${shown} of grace before it is overdue.`];
}
