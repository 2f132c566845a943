import {
  dayOf,
  type DayNumber,
  type Finding,
  type FindingReckoning,
  type Person,
} from "@yonderfell/core";
import { fullDate, sentence, shortDate } from "./format.js";
import { STATUS_WORD, type StripWords } from "./statusWords.js";

/** What was found, and where: `Weep at the axle seal, rear, left`. */
export function findingTitle({ what, kind, where, side }: Finding): string {
  // What the words before say already is not said again.
  const parts = [what ?? kind ?? "something found", where ?? "", side ?? ""];
  return parts.reduce(
    (title, part) =>
      title.toLowerCase().includes(part.toLowerCase()) ? title : `${title}, ${part}`,
    sentence(parts[0] ?? ""),
  );
}

/** What is decided about a finding, by its word in the book. */
const DECISION_WORDS = {
  now: "put right now",
  "next visit": "at the next visit",
  watch: "watch it",
  declined: "declined",
} as const satisfies Record<Finding["decision"], string>;

/** The day a finding is next to be dealt with; null where none is said. */
export function findingDay({ governs, limits }: FindingReckoning): DayNumber | null {
  const limit = governs === null ? undefined : limits[governs];
  return limit?.forecast?.likely ?? null;
}

/** What is decided about an open finding and by when: `at the next visit, 9 Dec`. */
export function findingStandsWords(reckoned: FindingReckoning, today: DayNumber): string {
  const { finding, status } = reckoned;
  const decided = DECISION_WORDS[finding.decision];
  const reason = (finding.reason ?? "") === "" ? "" : `: ${finding.reason}`;
  if (status === "declined") return `${decided}${reason}`;
  if (status === "waiting") {
    return finding.decision === "watch"
      ? `${decided}; no day to look again is set`
      : `${decided}; none is decided on yet`;
  }
  const day = findingDay(reckoned);
  if (day === null) return `${decided}; by when is not known`;
  const on = shortDate(day, today);
  switch (finding.decision) {
    case "watch":
      return `${decided}, look again ${on}`;
    case "now":
      return `${decided}, since ${on}`;
    case "next visit":
    case "declined":
      return `${decided}, ${on}`;
  }
}

/** The words beside the strip of a finding: by when, and what is decided. */
export function findingStripWords(reckoned: FindingReckoning, today: DayNumber): StripWords {
  const { finding, status } = reckoned;
  const rest = DECISION_WORDS[finding.decision];
  const day = findingDay(reckoned);
  if (status === "declined") return { strong: "Declined", rest: finding.reason ?? "" };
  if (status === "waiting") return { strong: "Waiting", rest };
  if (day === null) return { strong: "No date", rest };
  if (finding.decision === "now") return { strong: `Since ${shortDate(day, today)}`, rest };
  return { strong: day === today ? "Today" : shortDate(day, today), rest };
}

/** That a person closed a finding, when and how it is known to be right. */
export function closedWords(
  { on, by, how }: NonNullable<Finding["closed"]>,
  people: readonly Person[],
): string {
  const who = people.find(({ id }) => id === by)?.name ?? by;
  return `Closed ${fullDate(dayOf(on))} by ${who}: ${how}`;
}

/** The word for how an open finding stands: that of its state, or that it waits or was declined. */
export function findingStatusWord({ status }: FindingReckoning): string {
  return status === "waiting" || status === "declined" ? status : STATUS_WORD[status];
}

/** Where what is written down of a finding is looked at and changed. */
export function findingPath(id: string): string {
  return `/rounds/findings?finding=${encodeURIComponent(id)}`;
}
