import type { MeterLimit } from "../limit/limit.js";
import { addIntervals, intervalsUpTo, type CalendarInterval } from "../calendar/interval.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { hasReached, LIFE_TOLERANCE } from "../meter/life.js";

/** A completion this near before the next grid point, as a share of the step, counts for that point (due rules §5). */
const NEAR_AHEAD = 1 / 4;

/** Grid points of a meter limit: the milestones, then every so much past the last; point 0 is 0. */
export function gridPoint({ at: milestones, every }: MeterLimit, position: number): number | null {
  if (position <= 0) return 0;
  const milestone = milestones[position - 1];
  if (milestone !== undefined) return milestone;
  if (every === null) return null;
  return (milestones[milestones.length - 1] ?? 0) + (position - milestones.length) * every;
}

/** The position of the grid point that a completion at life `done` satisfies (due rules §5). */
export function satisfiedPosition(limit: MeterLimit, done: number): number {
  const { at: milestones, every } = limit;
  let position = milestones.filter((milestone) => hasReached(done, milestone)).length;
  if (position === milestones.length && every !== null) {
    const base = milestones[milestones.length - 1] ?? 0;
    position += Math.max(0, Math.floor((done - base + LIFE_TOLERANCE) / every));
  }
  const here = gridPoint(limit, position) ?? 0;
  const next = gridPoint(limit, position + 1);
  const isNear = next !== null && next - done < NEAR_AHEAD * (next - here) + LIFE_TOLERANCE;
  return isNear ? position + 1 : position;
}

/** The first date of the grid `origin` + k intervals that is after `day` and not before `from`. */
export function firstGridDay(
  origin: DayNumber,
  interval: CalendarInterval,
  day: DayNumber,
  from: DayNumber,
): DayNumber {
  const next = addIntervals(origin, interval, intervalsUpTo(origin, interval, day) + 1);
  if (next >= from) return next;
  const atFrom = intervalsUpTo(origin, interval, from);
  const point = addIntervals(origin, interval, atFrom);
  return point >= from ? point : addIntervals(origin, interval, atFrom + 1);
}

/** The date of the calendar grid that a completion on `done` satisfies: the last one not after it, or the next if near (due rules §5). */
export function satisfiedGridDay(
  origin: DayNumber,
  interval: CalendarInterval,
  done: DayNumber,
): DayNumber {
  const count = intervalsUpTo(origin, interval, done);
  const here = addIntervals(origin, interval, count);
  const next = addIntervals(origin, interval, count + 1);
  return next - done <= NEAR_AHEAD * (next - here) ? next : here;
}
