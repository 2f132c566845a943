import {
  currentStop,
  dayOf,
  daysBetween,
  runningDaysOf,
  type BoardMachine,
  type DayNumber,
  type LaidUp,
} from "@yonderfell/core";
import { counted, MONTHS, shortDate } from "./format.js";
import type { Place } from "./place.js";

/** What else there is to say of a machine in a word: out of service, laid up. */
export function standingOf(
  machine: BoardMachine,
  today: DayNumber,
): "out of service" | "laid up" | "" {
  if (currentStop(machine.machine) !== null) return "out of service";
  const { laidUp } = machine.machine;
  return (laidUp ?? []).length > 0 && runningDaysOf(laidUp).isLaidUp(today) ? "laid up" : "";
}

/** Months as they follow each other, over the turn of the year as well: `Nov to Mar`, `Jun, Aug`. */
function monthSpans(months: readonly number[]): string {
  const own = new Set(months);
  if (own.size === 12) return "all year";
  const before = (month: number): number => (month === 1 ? 12 : month - 1);
  const begins = [...own].filter((month) => !own.has(before(month))).sort((a, b) => a - b);
  return begins
    .map((begin) => {
      let end = begin;
      while (own.has((end % 12) + 1)) end = (end % 12) + 1;
      const name = (month: number): string => MONTHS[month - 1] ?? "";
      return begin === end ? name(begin) : `${name(begin)} to ${name(end)}`;
    })
    .join(", ");
}

/** When a machine is laid up, and why: `Nov to Mar (off the road in winter)`. */
export function laidUpSpan(one: LaidUp, today: DayNumber): string {
  const from = one.from ?? null;
  const to = one.to ?? null;
  const end = to === null ? "on" : `to ${shortDate(dayOf(to), today)}`;
  const when =
    from === null ? monthSpans(one.months ?? []) : `${shortDate(dayOf(from), today)} ${end}`;
  const reason = (one.reason ?? "") === "" ? "" : ` (${one.reason})`;
  return `${when}${reason}`;
}

/** That the machine stands idle on some of the days up to `until`, which the forecast leaves out; nothing where it does not. */
export function idleWords({ machine, today }: Place, until: DayNumber): string[] {
  const laidUp = machine.machine.laidUp ?? [];
  const idle = daysBetween(today, until) - runningDaysOf(laidUp).between(today, until);
  if (idle <= 0) return [];
  const spans = laidUp.map((one) => laidUpSpan(one, today)).join("; ");
  return [`Laid up ${spans}: ${counted(idle, "idle day")} until then left out.`];
}
