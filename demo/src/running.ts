import { addDays, partsFromDay, type DayNumber } from "@yonderfell/core";
import { between, type Random } from "./random.js";
import type { ScenarioMeter } from "./scenario.js";

/** How much history the demonstration has, in days. */
export const HISTORY_DAYS = 1095;

/** 1970-01-01 was a Thursday; Monday is 1. */
function weekday(day: DayNumber): number {
  return ((((day + 3) % 7) + 7) % 7) + 1;
}

/** The figure the dial would show at the end of each day of the history, as if never replaced; oldest first, today last. It runs since so many days ago. */
export function runMeter(
  meter: ScenarioMeter,
  since: number,
  today: DayNumber,
  random: Random,
): number[] {
  const figures: number[] = [];
  let figure = meter.startsAt;
  for (let ago = HISTORY_DAYS; ago >= 0; ago -= 1) {
    const day = addDays(today, -ago);
    const most = meter.running.perDayByMonth[partsFromDay(day).month - 1] ?? 0;
    const works = meter.running.weekdays.includes(weekday(day));
    const share = between(random, 0.35, 1);
    if (works && ago < since) figure += most * share;
    figures.push(figure);
  }
  return figures;
}
