import type { Checklist } from "../book/records/checklist.js";
import type { Finding } from "../book/records/finding.js";
import type { Round } from "../book/records/round.js";
import type { Stop } from "../book/records/service.js";
import { VERDICTS, WITHOUT_A_LOOK } from "../book/records/verdicts.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { MachineBook } from "../book/slice/slice.js";
import { addDays, dayOf, type DayNumber } from "../calendar/dayNumber.js";
import type { BoardMachine } from "../board/board.js";
import { presses } from "../board/governing.js";
import { placesOf, resultAt, type CheckPlace, type CheckResult } from "../inspect/places.js";
import { currentStop } from "../machine/outOfService.js";
import { findingEnd } from "../schedule/findingEnd.js";
import { openFindings, type FindingReckoning } from "../schedule/findingsDue.js";
import type { TaskReckoning } from "../schedule/reckonTask.js";

/** What was found, as a report tells it. */
export interface ReportedFinding {
  readonly finding: Finding;
  /** The day it is to be dealt with; null where none is set. */
  readonly by: DayNumber | null;
  /** How late it is, in days; 0 where it is not. */
  readonly late: number;
}

/** What was done about a finding that was open before. */
export interface PutRight {
  readonly finding: Finding;
  readonly on: DayNumber;
  /** What closed it: the note of its entry, or how a person says it is known. */
  readonly how: string;
}

/** Something that was not looked at, and why. */
interface NotLookedAt {
  readonly place: CheckPlace;
  /** What was said instead of a verdict; null where nothing was said. */
  readonly verdict: CheckResult["verdict"] | null;
  readonly reason: string;
}

/** A round that a report tells of. */
export interface ReportedRound {
  readonly round: Round;
  readonly checklist: Checklist;
  readonly on: DayNumber;
  readonly lookedAt: readonly { readonly place: CheckPlace; readonly result: CheckResult }[];
  readonly notLookedAt: readonly NotLookedAt[];
}

/** What some findings would cost together. */
export interface ReportedCost {
  readonly cost: number;
  readonly minutes: number;
  /** How many of them have no cost written down. */
  readonly withoutCost: number;
}

/** Everything that an owner or an office is told of a machine, of one day. */
export interface MachineReport {
  readonly on: DayNumber;
  readonly stop: Stop | null;
  /** What is to be put right, the worst and soonest first: at once, at the next visit, to be watched. */
  readonly now: readonly ReportedFinding[];
  readonly next: readonly ReportedFinding[];
  readonly watch: readonly ReportedFinding[];
  /** What the owner did not want done: brought back in every report until it is closed. */
  readonly declined: readonly ReportedFinding[];
  /** What was put right since the day asked for, the latest first. */
  readonly putRight: readonly PutRight[];
  readonly cost: {
    readonly now: ReportedCost;
    readonly next: ReportedCost;
    readonly declined: ReportedCost;
  };
  /** Tasks that are due or over. */
  readonly due: readonly TaskReckoning[];
  /** The latest finished round of each checklist since the day asked for, the latest first. */
  readonly rounds: readonly ReportedRound[];
  /** Rounds that are under way: what they have is not told as looked at. */
  readonly underWay: number;
}

const rank = ({ finding }: ReportedFinding): number =>
  -VERDICTS.indexOf(finding.verdict ?? "sound");

function reportedFinding(
  { finding, governs, limits }: FindingReckoning,
  on: DayNumber,
): ReportedFinding {
  const limit = governs === null ? undefined : limits[governs];
  const by = limit?.forecast?.likely ?? null;
  return { finding, by, late: by === null ? 0 : Math.max(0, on - by) };
}

function costOf(findings: readonly ReportedFinding[]): ReportedCost {
  const sum = { cost: 0, minutes: 0, withoutCost: 0 };
  for (const { finding } of findings) {
    sum.minutes += finding.minutes ?? 0;
    if ((finding.cost ?? null) === null) sum.withoutCost += 1;
    else sum.cost += finding.cost ?? 0;
  }
  return sum;
}

/** What was closed between two days, by work that counts or by a person. */
function putRightSince(book: MachineBook, since: DayNumber, on: DayNumber): PutRight[] {
  const entries = currentRecords(book.entries);
  const open = new Set(openFindings({ findings: book.findings, entries }, on).map(({ id }) => id));
  return book.findings
    .filter(({ id, found }) => !open.has(id) && dayOf(found) <= on)
    .flatMap((finding): PutRight[] => {
      const end = findingEnd(finding, entries, on);
      return end === null ? [] : [{ finding, on: end.on, how: end.how }];
    })
    .filter((one) => one.on >= since)
    .toSorted((one, other) => other.on - one.on);
}

function reportedRound(round: Round, checklist: Checklist, on: DayNumber): ReportedRound {
  const lookedAt: { place: CheckPlace; result: CheckResult }[] = [];
  const notLookedAt: NotLookedAt[] = [];
  for (const place of placesOf(checklist)) {
    const result = resultAt(round, place);
    const verdict = result?.verdict ?? null;
    const isClosed = WITHOUT_A_LOOK.some((one) => one === verdict);
    if (result === null || verdict === null || isClosed) {
      notLookedAt.push({ place, verdict, reason: result?.reason ?? "" });
    } else lookedAt.push({ place, result });
  }
  return { round, checklist, on, lookedAt, notLookedAt };
}

/** The latest finished round of each checklist between two days. */
function roundsSince(
  book: MachineBook,
  checklists: readonly Checklist[],
  since: DayNumber,
  on: DayNumber,
): ReportedRound[] {
  const latest = new Map<string, ReportedRound>();
  const finished = currentRecords(book.rounds)
    .filter(({ day, record }) => record.finished === true && day >= since && day <= on)
    .toSorted((one, other) => one.day - other.day);
  for (const { record, day } of finished) {
    const checklist = checklists.find(({ id }) => id === record.checklist);
    if (checklist !== undefined) {
      latest.set(checklist.id, reportedRound(record, checklist, day));
    }
  }
  return [...latest.values()].toSorted((one, other) => other.on - one.on);
}

/**
 * What is told of a machine to whoever decides, on the day the board is reckoned for (records §3: what was declined is in every report until it is closed). `days`: of how many days back rounds and what was put
 * right are told. What a round did not look at is told with it, and rounds that are still under way are counted, not told as looked at.
 */
export function reportOn(
  { machine, tasks, findings }: BoardMachine,
  book: MachineBook,
  checklists: readonly Checklist[],
  days: number,
  on: DayNumber,
): MachineReport {
  const since = addDays(on, -days);
  const reported = findings
    .map((one) => reportedFinding(one, on))
    .toSorted(
      (one, other) =>
        rank(one) - rank(other) ||
        (one.by ?? addDays(on, 36_500)) - (other.by ?? addDays(on, 36_500)),
    );
  const decided = (decision: Finding["decision"]): ReportedFinding[] =>
    reported.filter(({ finding }) => finding.decision === decision);
  const [now, next, watch, declined] = [
    ...[decided("now"), decided("next visit"), decided("watch"), decided("declined")],
  ] as [ReportedFinding[], ReportedFinding[], ReportedFinding[], ReportedFinding[]];
  const underWay = currentRecords(book.rounds).filter(
    ({ record, day }) => record.finished !== true && day <= on,
  );
  return {
    ...{ on, stop: currentStop(machine), now, next, watch, declined },
    putRight: putRightSince(book, since, on),
    cost: { now: costOf(now), next: costOf(next), declined: costOf(declined) },
    due: tasks.filter(({ status }) => presses(status)),
    rounds: roundsSince(book, checklists, since, on),
    underWay: underWay.length,
  };
}
