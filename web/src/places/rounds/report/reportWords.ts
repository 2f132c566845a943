import {
  dayOf,
  judgeReadings,
  symbolOf,
  type CheckLimits,
  type CheckResult,
  type Finding,
  type MachineReport,
  type Person,
  type ReportedCost,
  type ReportedFinding,
  type ReportedRound,
} from "@yonderfell/core";
import { counted, fullDate, sentence, spanOfDays } from "../../../words/format.js";
import { money } from "../../../words/money.js";
import { formatted } from "../../shared/atTheMachine/figures.js";

/** What a report says first, in a sentence that an owner understands. */
export function leadWords({ stop, now, next, declined }: MachineReport): string {
  const rest = [
    next.length === 0 ? "" : `${counted(next.length, "thing")} for the next visit`,
    declined.length === 0 ? "" : `${counted(declined.length, "thing")} declined and still open`,
  ].filter((words) => words !== "");
  const more = rest.length === 0 ? "" : ` ${sentence(rest.join(", "))}.`;
  if (stop !== null) return `Must not be used: ${stop.reason}.${more}`;
  if (now.length > 0) {
    return `It can be used only with care: ${counted(now.length, "thing")} must be put right now.${more}`;
  }
  if (next.length > 0) return `Nothing must be done at once.${more}`;
  return `Nothing was found that must be put right.${more}`;
}

/** How urgent a finding is and by when. */
export function urgencyWords({ finding, by, late }: ReportedFinding): string {
  const when = by === null ? "no day set" : `by ${fullDate(by)}`;
  switch (finding.decision) {
    case "now":
      return "Now";
    case "next visit":
      return late > 0 ? `Next visit, ${spanOfDays(late)} late` : `Next visit, ${when}`;
    case "watch":
      return by === null ? "Watch, no day set" : `Watch, look again ${fullDate(by)}`;
    case "declined":
      return "Declined";
  }
}

/** Why it matters, in plain words: what shows it, and what it means or leads to. */
export const whyWords = ({ evidence, consequence, reason, decision }: Finding): string =>
  [
    decision === "declined" && reason ? `You decided: ${reason}` : "",
    evidence ?? "",
    consequence ?? "",
  ]
    .filter((words) => words !== "")
    .map(sentence)
    .join(". ");

/** What a finding would cost, or that nobody has written that down. */
export const costWords = ({ cost }: Finding, currency: string): string =>
  cost === null || cost === undefined ? "not priced" : money(cost, currency);

/** How long some findings would take together: `Next visit, together, 60 minutes`. */
export const togetherWords = (name: string, { minutes }: ReportedCost): string =>
  [`${name}, together`, minutes === 0 ? "" : counted(minutes, "minute")].filter(Boolean).join(", ");

/** What some findings would cost together, and what is left out of that. */
export function sumWords({ cost, withoutCost }: ReportedCost, currency: string): string {
  const out = withoutCost === 0 ? "" : `${counted(withoutCost, "line")} not priced`;
  // Nothing priced is no sum of 0.
  if (cost === 0 && withoutCost > 0) return out;
  return [money(cost, currency), out].filter((words) => words !== "").join(" and ");
}

/** What was not looked at on a round, those without a reason together. */
export function notLookedAtWords({ checklist, notLookedAt, lookedAt, on }: ReportedRound): string {
  const all = notLookedAt.length + lookedAt.length;
  const name = `${checklist.name}, ${fullDate(on)}`;
  if (notLookedAt.length === 0) return `${name}: all ${counted(all, "check")} were looked at.`;
  return `${name}: ${notLookedAt.length} of ${counted(all, "check")} were not looked at.`;
}

/** What a check came to: what was read, picked, said. */
export function resultWords(result: CheckResult, limits: CheckLimits | null): string {
  const then = limits === null ? null : { ...limits, ...(result.judgedBy as object | undefined) };
  const judged = then === null ? null : judgeReadings(then, result.readings ?? []);
  return [
    judged === null || then === null ? "" : `${formatted(judged.value)} ${symbolOf(then.unit)}`,
    result.picked ?? "",
    result.reason ?? "",
    result.note ?? "",
  ]
    .filter((words) => words !== "")
    .join("; ");
}

/** Who somebody is: by the name the book knows, else as it is written. */
export const nameOf = (who: string | null | undefined, people: readonly Person[]): string =>
  people.find(({ id }) => id === who)?.name ?? who ?? "";

/** When and by whom something was found. */
export const foundWords = ({ found, by }: Finding, people: readonly Person[]): string =>
  [`found ${fullDate(dayOf(found))}`, by ? `by ${nameOf(by, people)}` : ""]
    .filter((words) => words !== "")
    .join(" ");
