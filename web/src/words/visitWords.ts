import {
  daysBetween,
  dayToSpare,
  type Blocked,
  type DayNumber,
  type PlanIssue,
  type TaskId,
  type TurnShare,
  type VisitCost,
} from "@yonderfell/core";
import {
  counted,
  dateWithWeekday,
  figure,
  fullDate,
  NBSP,
  shortDate,
  spanOfDays,
} from "./format.js";
import { money } from "./money.js";

const WEEKDAY_LETTERS = 3;
/** So many tasks are named in a sentence. */
const MOST_NAMED = 3;

/** A day with its weekday, without its year where it is near: `Mon 7 Dec`. */
export function weekdayDate(day: DayNumber, today: DayNumber): string {
  return `${dateWithWeekday(day).slice(0, WEEKDAY_LETTERS)}${NBSP}${shortDate(day, today)}`;
}

/** Hours of work to a quarter: `2.25 h`; minutes under an hour. */
export function hoursWords(hours: number): string {
  if (hours > 0 && hours < 1) return `${figure(hours * 60)}${NBSP}min`;
  const isWhole = Math.abs(hours - Math.round(hours)) < 0.05;
  return `${figure(hours, isWhole ? 0 : 1)}${NBSP}h`;
}

/** Money as far as planning goes: whole from ten on. */
export function roundMoney(amount: number, currency: string): string {
  if (Math.abs(amount) < 10) return money(amount, currency);
  return currency === "" ? figure(amount) : `${figure(amount)}${NBSP}${currency}`;
}

/** How much more something costs, or less: `+3.20 cr`, `−12 cr`. */
export function moreCost(more: number, currency: string): string {
  return `${more < 0 ? "−" : "+"}${roundMoney(Math.abs(more), currency)}`;
}

/** How far from its date a turn is done, and what that costs: `12 days early, 3.20 cr of it thrown away`. */
export function shareWords(
  { turn, wasted, late, counts }: TurnShare,
  day: DayNumber,
  currency: string,
): string {
  const days = daysBetween(turn.due, day);
  if (days === 0) return "on its day";
  if (days < 0) {
    const early = `${spanOfDays(-days)} early`;
    if (!counts) return `${early}, too early to count for it`;
    if (turn.interval === null) return `${early}, nothing lost: its dates are fixed`;
    return `${early}, ${roundMoney(wasted, currency)} of its life unused`;
  }
  return `${spanOfDays(days)} late, weighed as ${roundMoney(late, currency)}`;
}

/** A task that a visit could take in too. */
export interface Addable {
  readonly task: TaskId;
  /** What the visit would cost more; null where the task has no turn ahead. */
  readonly more: number | null;
  /** Whether it would count for its turn on the day of the visit. */
  readonly counts: boolean;
}

/** A task that a visit could take in, with what that adds to what it costs: `Air filter: +3.20 cr`. */
export function addWords(
  name: string,
  { more, counts }: Pick<Addable, "more" | "counts">,
  currency: string,
): string {
  if (more === null) return `${name}: not due in these weeks`;
  if (!counts) return `${name}: too early to count`;
  return more < 0.005 ? `${name}: adds nothing` : `${name}: +${roundMoney(more, currency)}`;
}

/** What a visit costs, in its parts: `visit 40 cr, belt 10 cr, life unused 3.20 cr`. */
export function costParts({ fixed, accesses, turns }: VisitCost, currency: string): string {
  const wasted = turns.reduce((sum, share) => sum + share.wasted, 0);
  const late = turns.reduce((sum, share) => sum + share.late, 0);
  const parts = [
    `visit ${roundMoney(fixed, currency)}`,
    ...accesses.map(({ access, cost }) => `${access} ${roundMoney(cost, currency)}`),
    ...(wasted >= 0.005 ? [`life unused ${roundMoney(wasted, currency)}`] : []),
    ...(late > 0 ? [`lateness ${roundMoney(late, currency)}`] : []),
  ];
  return parts.join(", ");
}

/** Why no work is done on a day. */
export function blockedWords(blocked: Blocked): string {
  switch (blocked.code) {
    case "not-a-workday":
      return "nobody works";
    case "closed":
      return blocked.reason === null ? "closed" : `closed: ${blocked.reason}`;
    case "needed":
      return blocked.reason === null
        ? "it cannot be spared"
        : `it cannot be spared: ${blocked.reason}`;
  }
}

/** What a plan cannot keep to, in one sentence, and what would free it. */
export function issueWords(
  issue: PlanIssue,
  tag: string,
  nameOf: (task: TaskId) => string,
  today: DayNumber,
): { readonly what: string; readonly frees: string } {
  switch (issue.code) {
    case "hard-end-passed": {
      const over = spanOfDays(daysBetween(issue.end, today));
      const first =
        issue.first === null
          ? ""
          : ` The first day it can be done is ${weekdayDate(issue.first, today)}.`;
      return {
        what: `${nameOf(issue.task)} on ${tag} had to be done by ${fullDate(issue.end)}, ${over} ago (by law or warranty).`,
        frees: `Let ${tag} stand until it is done.${first}`,
      };
    }
    case "no-day-before-hard-end":
      return {
        what: `${nameOf(issue.task)} on ${tag} must be done by ${weekdayDate(issue.end, today)} (by law or warranty), and there is no day for it: ${reasonsWords(issue.blocked.map(({ blocked }) => blocked))}.`,
        frees: spareWords(dayToSpare(issue, today), tag, today),
      };
    case "left-out-before-hard-end":
      return {
        what: `${nameOf(issue.task)} on ${tag} must be done by ${weekdayDate(issue.end, today)} (by law or warranty), and was left out of the visit on ${weekdayDate(issue.day, today)}, the only day for it.`,
        frees: "Take it into that visit again.",
      };
    case "hard-end-before-it-counts":
      return {
        what: `${nameOf(issue.task)} on ${tag} may be at its limit (by law or warranty) by ${weekdayDate(issue.end, today)}, yet done before ${weekdayDate(issue.counts, today)} it would not count.`,
        frees: `Read the meter of ${tag} as that day comes nearer; the date gets surer with each reading.`,
      };
    case "no-day-at-all":
      return {
        what: `There is no day for ${listed(issue.tasks.map(nameOf))} on ${tag}: ${blockedWords(issue.blocked)}.`,
        frees: `Change the days ${tag} cannot be spared, or the days on which work is done.`,
      };
    case "visit-after-hard-end":
      return {
        what: `The visit of ${tag} on ${weekdayDate(issue.day, today)} comes after ${nameOf(issue.task).toLowerCase()} must be done, ${weekdayDate(issue.end, today)} (by law or warranty).`,
        frees: "Move the visit to that day or before it.",
      };
  }
}

/** Some names in a row, the first in full: `engine oil, brake fluid and 2 more`. */
function listed(names: readonly string[]): string {
  const shown = names.slice(0, MOST_NAMED).map((name) => name.toLowerCase());
  const rest = names.length - shown.length;
  return rest > 0 ? `${shown.join(", ")} and ${rest} more` : shown.join(", ");
}

function reasonsWords(blocked: readonly Blocked[]): string {
  const words = new Map<string, number>();
  for (const one of blocked) {
    const why = blockedWords(one);
    words.set(why, (words.get(why) ?? 0) + 1);
  }
  return [...words].map(([why, count]) => `${why} (${counted(count, "day")})`).join("; ");
}

function spareWords(day: DayNumber | null, tag: string, today: DayNumber): string {
  return day === null ? "" : `Spare ${tag} on ${weekdayDate(day, today)}, or on any day before it.`;
}
