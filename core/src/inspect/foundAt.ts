import type { Finding } from "../book/records/finding.js";
import type { FindingId } from "../book/records/ids.js";
import type { Round } from "../book/records/round.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import { addDays, dayOf, formatDay } from "../calendar/dayNumber.js";
import { formatNumber } from "../quantity/formatQuantity.js";
import { symbolOf } from "../quantity/unit.js";
import type { CheckLimits } from "./checkLimits.js";
import { judgeReadings, pickOf } from "./judgeCheck.js";
import type { CheckPlace, CheckResult } from "./places.js";
import type { Verdict } from "./verdict.js";

/** Verdicts that make a finding. */
export type FoundVerdict = Exclude<Verdict, "sound">;

/** What to watch is looked at again after so many days, unless somebody says otherwise. */
const WATCH_DAYS = 30;

/** Whether a verdict makes a finding. */
export const isFound = (verdict: CheckResult["verdict"]): verdict is FoundVerdict =>
  verdict === "watch" || verdict === "attend" || verdict === "stop";

const STYLE = { decimal: ".", thousands: "\u00a0" } as const;
const figure = (value: number): string => formatNumber(Number(value.toPrecision(4)), STYLE);

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

/** What a result says of a finding: how bad, on what evidence, what it means and what to do. */
export function foundFields(
  { check, point }: CheckPlace,
  result: CheckResult,
  limits: CheckLimits | null,
): Partial<Finding> {
  const pick = pickOf(check, result.picked);
  const evidence = [readingWords(result, limits), result.picked, result.note];
  return said({
    verdict: result.verdict,
    evidence: evidence.filter(Boolean).join("; "),
    consequence: pick?.means,
    todo: pick?.todo,
    where: [check.where, point].filter(Boolean).join(", "),
    side: check.side,
    ...((result.pictures ?? []).length > 0 ? { pictures: result.pictures } : {}),
  });
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
  const where = [check.where, point].filter(Boolean).join(", ");
  const found = findings.find(
    (one) =>
      one.check === check.id &&
      (one.where ?? "") === where &&
      (one.closed ?? null) === null &&
      !closedBy.has(one.id),
  );
  return found ?? null;
}
