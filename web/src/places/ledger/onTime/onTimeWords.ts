import {
  dayOf,
  type FollowedUp,
  type OnTime,
  type OnTimeShare,
  type OutOfService,
} from "@yonderfell/core";
import { counted, figure, fullDate, NBSP } from "../../../words/format.js";

/** A share in whole per cent; a dash where nothing can be judged. */
export const shareWords = (share: number | null): string =>
  share === null ? "–" : `${figure(Math.round(share * 100))}${NBSP}%`;

/** How many turns can be judged. */
const judged = ({ inTime, withinGrace, late }: OnTimeShare): number => inTime + withinGrace + late;

/** The whole in a sentence: `58 % of 187 turns within their limit, 63 % with their grace`. */
export function wholeWords(all: OnTimeShare): string {
  if (all.share === null) return "Too little is known: no turn of these days can be judged.";
  const grace = all.withinGrace === 0 ? "" : `, ${shareWords(all.withGrace)} with their grace`;
  return `${shareWords(all.share)} of ${counted(judged(all), "turn")} within their limit${grace}`;
}

/** What is not in the share, and why; empty where everything is. */
export const notKnownWords = ({ notKnown }: OnTimeShare): string =>
  notKnown === 0
    ? ""
    : `${counted(notKnown, "turn")} more that nobody can judge: without a limit, or the first that the book saw of an older machine.`;

const MINUTES_AN_HOUR = 60;

/** What waits: `36 jobs wait, 41 h of work; 12 of them have no minutes written down`. */
export function backlogWords({ jobs, minutes, withoutMinutes }: OnTime["backlog"]): string {
  if (jobs === 0) return "Nothing waits: no task is due, and no finding is to be put right.";
  const hours = `${figure(minutes / MINUTES_AN_HOUR, 1)}${NBSP}h of work`;
  const noMinutes =
    withoutMinutes === jobs
      ? "none has"
      : `${figure(withoutMinutes)} of them ${withoutMinutes === 1 ? "has" : "have"} no`;
  const without = withoutMinutes === 0 ? "" : `; ${noMinutes} minutes written down`;
  const wait = jobs === 1 ? "waits" : "wait";
  return `${counted(jobs, "job")} ${wait}, ${hours}${without}.`;
}

/** How long a machine was out of service. */
export function outWords({ since, released, days }: OutOfService): string {
  const from = fullDate(dayOf(since));
  return released === null
    ? `since ${from}, ${counted(days, "day")} so far`
    : `${from} to ${fullDate(dayOf(released))}, ${counted(days, "day")}`;
}

/** What became of what was found, in sentences. */
export function followedWords({
  found,
  byWork,
  byPerson,
  declined,
  open,
  days,
}: FollowedUp): string {
  if (found === 0) return "Nothing was found in these days.";
  const ended = [
    byWork === 0 ? "" : `${figure(byWork)} put right by work`,
    byPerson === 0 ? "" : `${figure(byPerson)} closed by a person`,
    declined === 0 ? "" : `${figure(declined)} declined`,
    open === 0 ? "" : `${figure(open)} open`,
  ].filter((words) => words !== "");
  const middle =
    days === null ? "" : ` What ended took ${counted(Math.round(days), "day")} in the middle.`;
  return `${counted(found, "finding")}: ${ended.join(", ")}.${middle}`;
}

const percent = (share: number | null): string =>
  share === null ? "" : String(Math.round(share * 1000) / 10);

const countsOf = (one: OnTimeShare): string[] => [
  ...[one.inTime, one.withinGrace, one.late, one.notKnown].map(String),
  ...[percent(one.share), percent(one.withGrace)],
];

/** The shares as a table for a spreadsheet: the whole, then months, then kinds. */
export function shareRows({ all, months, kinds }: OnTime): string[][] {
  const headings = [
    "Of",
    "In time",
    "Within grace",
    "Late",
    "Not known",
    "Within limit %",
    "With grace %",
  ];
  return [
    headings,
    ["all", ...countsOf(all)],
    ...months.map((one) => [one.month, ...countsOf(one)]),
    ...kinds.map((one) => [one.kind, ...countsOf(one)]),
  ];
}
