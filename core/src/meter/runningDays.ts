import type { LaidUp } from "../book/records/service.js";
import {
  addDays,
  dayFromParts,
  dayOf,
  daysBetween,
  type DayNumber,
} from "../calendar/dayNumber.js";

/** The days on which a machine is expected to run: all but those it is laid up (due rules §10). */
export interface RunningDays {
  /** The running days after `from` up to and with `to`; negative where `to` is before `from`. */
  between(from: DayNumber, to: DayNumber): number;
  /** The first day by which so many running days (a whole number of at least 0) have passed since `day`; null where they never will. */
  after(day: DayNumber, count: number): DayNumber | null;
  /** Whether a machine is laid up on a day. */
  isLaidUp(day: DayNumber): boolean;
}

/** A machine that is never laid up. */
export const EVERY_DAY: RunningDays = {
  between: daysBetween,
  after: addDays,
  isLaidUp: () => false,
};

/** Lay-ups by months are laid out over these years; nothing is forecast beyond them. */
const FIRST_YEAR = 1980;
const LAST_YEAR = 2150;

/** An unbroken time of idle days, both ends among them, and the idle days before it. */
interface Idle {
  readonly from: number;
  readonly to: number;
  readonly before: number;
}

type Span = readonly [from: number, to: number];

function spansOf(one: LaidUp): readonly Span[] {
  const from = one.from ?? null;
  if (from === null) return spansOfMonths(one.months ?? []);
  const to = one.to ?? null;
  return [[dayOf(from), to === null ? Infinity : dayOf(to)]];
}

/** Laid out once for each of the at most 4,096 sets of months: every reckoning of every meter asks for them. */
const laidOut = new Map<string, readonly Span[]>();

function spansOfMonths(named: readonly number[]): readonly Span[] {
  const months = [...new Set(named)].sort((one, other) => one - other);
  const key = months.join();
  const known = laidOut.get(key);
  if (known !== undefined) return known;
  const spans = layOut(months);
  laidOut.set(key, spans);
  return spans;
}

function layOut(months: readonly number[]): Span[] {
  const spans: Span[] = [];
  for (let year = FIRST_YEAR; year <= LAST_YEAR; year += 1) {
    for (const month of months) {
      const next = month === 12 ? [year + 1, 1] : [year, month + 1];
      const begin = dayFromParts(year, month, 1);
      spans.push([begin, dayFromParts(next[0] ?? year, next[1] ?? 1, 1) - 1]);
    }
  }
  return spans;
}

function idleTimes(laidUp: readonly LaidUp[]): Idle[] {
  const spans = laidUp.flatMap(spansOf).sort((one, other) => one[0] - other[0]);
  const idle: Idle[] = [];
  for (const [from, to] of spans) {
    const last = idle.at(-1);
    if (last !== undefined && from <= last.to + 1) {
      idle[idle.length - 1] = { ...last, to: Math.max(last.to, to) };
    } else {
      const before = last === undefined ? 0 : last.before + last.to - last.from + 1;
      idle.push({ from, to, before });
    }
  }
  return idle;
}

class DaysNotLaidUp implements RunningDays {
  private readonly farthest: DayNumber = dayFromParts(LAST_YEAR, 12, 31);

  constructor(private readonly idle: readonly Idle[]) {}

  between(from: DayNumber, to: DayNumber): number {
    return daysBetween(from, to) - (this.idleUpTo(to) - this.idleUpTo(from));
  }

  after(day: DayNumber, count: number): DayNumber | null {
    if (count === 0) return day;
    const begin = this.idleUpTo(day);
    // From below: each step passes over the idle days met so far, until no more are met.
    let reached = addDays(day, count);
    for (;;) {
      const found = this.idle[this.lastBegun(reached)];
      const pastIdle = found !== undefined && reached <= found.to ? found.to + 1 : 0;
      const next = Math.max(day + count + this.idleUpTo(reached) - begin, pastIdle) as DayNumber;
      if (next > this.farthest) return null;
      if (next === reached) return reached;
      reached = next;
    }
  }

  isLaidUp(day: DayNumber): boolean {
    const found = this.idle[this.lastBegun(day)];
    return found !== undefined && day <= found.to;
  }

  private idleUpTo(day: DayNumber): number {
    const found = this.idle[this.lastBegun(day)];
    return found === undefined ? 0 : found.before + Math.min(day, found.to) - found.from + 1;
  }

  /** The position of the last idle time begun by a day, or −1. */
  private lastBegun(day: DayNumber): number {
    let low = 0;
    let high = this.idle.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.idle[middle] as Idle).from <= day) low = middle + 1;
      else high = middle;
    }
    return low - 1;
  }
}

/** The running days of a machine that is laid up on some. */
export function runningDaysOf(laidUp: readonly LaidUp[] | null | undefined): RunningDays {
  const idle = idleTimes(laidUp ?? []);
  return idle.length === 0 ? EVERY_DAY : new DaysNotLaidUp(idle);
}
