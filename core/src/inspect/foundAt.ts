import type { Finding } from "../book/records/finding.js";
import type { FindingId } from "../book/records/ids.js";
import type { Round } from "../book/records/round.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import { addDays, dayOf, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { decidedAgain } from "../machine/keepFinding.js";
import { formatNumber } from "../quantity/formatQuantity.js";
import { symbolOf } from "../quantity/unit.js";
import type { CheckLimits } from "./checkLimits.js";
import { judgeReadings, pickOf } from "./judgeCheck.js";
import { judgeSum } from "./judgeSum.js";
import { isFound, type CheckPlace, type CheckResult, type FoundVerdict } from "./places.js";

/** What to watch is looked at again after so many days, unless somebody says otherwise. */
const WATCH_DAYS = 30;

const STYLE = { decimal: ".", thousands: "\u00a0" } as const;
/** A mean of readings, without the dust of fractions. */
const figure = (value: number): string => formatNumber(Number(value.toFixed(3)), STYLE);

/** The figures that a result stands on, with the limit they were held against. */
function readingWords({ readings }: CheckResult, limits: CheckLimits | null): string {
  const judged = limits === null ? null : judgeReadings(limits, readings ?? []);
  if (limits === null || judged === null) return "";
  const { least, most, source } = limits;
  const bounds = [
    ...(least === null ? [] : [`least ${figure(least)}`]),
    ...(most === null ? [] : [`most ${figure(most)}`]),
    ...(source === null ? [] : [source]),
  ];
  const against = bounds.length === 0 ? "" : ` (${bounds.join(", ")})`;
  return `${figure(judged.value)} ${symbolOf(limits.unit)}${against}`;
}

/** What is decided of a finding before anybody has: stop and attend now or next, watch with its next look dated. */
function decisionFor(verdict: FoundVerdict, date: string): Partial<Finding> {
  if (verdict === "stop") return { decision: "now" };
  if (verdict === "attend") return { decision: "next visit" };
  return { decision: "watch", lookOn: formatDay(addDays(dayOf(date), WATCH_DAYS)) };
}

const said = (fields: Readonly<Record<string, unknown>>): Partial<Finding> =>
  Object.fromEntries(
    Object.entries(fields).filter(
      ([, value]) => value !== null && value !== undefined && value !== "",
    ),
  );

/** What a result says of a finding: how bad, on what evidence, what it means, what to do and what to suspect. */
function foundFields(
  { check, point }: CheckPlace,
  result: CheckResult,
  limits: CheckLimits | null,
): Partial<Finding> {
  const pick = pickOf(check, result.picked);
  const { separates } = check;
  const { answered } = result;
  const answer = separates && answered ? `${separates.ask} ${answered}` : "";
  const cause = answered === "yes" || answered === "no" ? separates?.[answered] : null;
  const judged = judgeSum(check, result.figures);
  const signs = judged?.signs ?? [];
  const seen = [judged?.told, ...signs.map((sign) => sign.seen)];
  const evidence = [readingWords(result, limits), ...seen, result.picked, answer, result.note];
  const [first] = signs;
  return said({
    verdict: result.verdict,
    evidence: evidence.filter(Boolean).join("; "),
    consequence: pick?.means ?? first?.means,
    todo: pick?.todo ?? first?.todo,
    where: [check.where, point].filter(Boolean).join(", "),
    side: check.side,
    ...(cause ? { also: [cause] } : {}),
    ...((result.pictures ?? []).length > 0 ? { pictures: result.pictures } : {}),
  });
}

/** Whether what is decided of a finding of this round is still what the round itself set. */
function isUndecided(finding: Finding, id: string): boolean {
  const { round, verdict, decision, decided, decidedBy } = finding;
  const usual = isFound(verdict) ? decisionFor(verdict, "1970-01-01").decision : null;
  return round === id && decision === usual && (decided ?? decidedBy ?? null) === null;
}

/**
 * The open finding of a place as it is after it was judged again. One of this round says what is so now, and what the round itself
 * decided follows the verdict. One from before keeps its words and gets those of this round beside its evidence. What a
 * person decided stays, unless it says stop now: then it is due now, and the earlier decision is kept among the others.
 */
export function findingAgain(
  standing: Finding,
  round: Pick<Round, "id" | "date">,
  place: CheckPlace,
  result: CheckResult & { readonly verdict: FoundVerdict },
  limits: CheckLimits | null,
  today: DayNumber,
): Finding {
  const fields = foundFields(place, result, limits);
  const { verdict } = result;
  if (isUndecided(standing, round.id)) {
    const { lookOn: _, ...rest } = standing;
    return { ...rest, ...fields, ...decisionFor(verdict, round.date) };
  }
  const since = `; ${round.date}: `;
  const [before = ""] = (standing.evidence ?? "").split(since);
  const again =
    standing.round === round.id
      ? fields
      : { verdict, evidence: `${before}${since}${fields.evidence ?? verdict}` };
  const after: Finding = { ...standing, ...again };
  if (verdict !== "stop" || standing.decision === "now") return after;
  // Nobody has decided that: who decided before stays with the earlier decision.
  const { decidedBy: _, ...undecided } = after;
  return decidedAgain(standing, { ...undecided, decision: "now" }, today);
}

/** A finding as a result of a round makes it, with what is decided until somebody decides (records §3). */
export function findingAt(
  round: Pick<Round, "id" | "machine" | "date" | "by">,
  place: CheckPlace,
  result: CheckResult & { readonly verdict: FoundVerdict },
  limits: CheckLimits | null,
  id: string,
): Finding {
  const { check } = place;
  return {
    ...{ id: id as FindingId, machine: round.machine, found: round.date },
    ...{ kind: check.name, what: check.name },
    ...(round.by ? { by: round.by } : {}),
    ...foundFields(place, result, limits),
    ...{ round: round.id, check: check.id },
    ...(place.point === null ? {} : { point: place.point }),
    ...decisionFor(result.verdict, round.date),
  } as Finding;
}

/** The finding of a check at a point of a machine that is still open; null where there is none. */
export function findingAtPlace(
  { findings, entries }: Pick<MachineBook, "findings" | "entries">,
  place: CheckPlace,
): Finding | null {
  const closed = currentRecords(entries).flatMap(({ record }) => record.closes ?? []);
  return openFindingAt(findings, new Set(closed), place);
}

/** Which of the findings of a machine is that of a check at a point and still open: it is not found a second time. */
function openFindingAt(
  findings: readonly Finding[],
  closedBy: ReadonlySet<string>,
  { check, point }: CheckPlace,
): Finding | null {
  const found = findings.find(
    (one) =>
      one.check === check.id &&
      (one.point ?? null) === point &&
      (one.closed ?? null) === null &&
      !closedBy.has(one.id),
  );
  return found ?? null;
}
