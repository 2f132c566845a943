import type { BoardMachine, Finding, FindingReckoning, Person } from "@yonderfell/core";
import { findingDay } from "../../words/findingWords.js";

/** An open finding with its machine. */
export interface ListedFinding {
  readonly machine: BoardMachine;
  readonly reckoned: FindingReckoning;
}

/** All that was ever found, open or closed, and who there is. */
export interface FoundAround {
  readonly findings: readonly Finding[];
  readonly people: readonly Person[];
}

const LAST = Number.MAX_SAFE_INTEGER;

/** How pressing a finding is: what must not be used on first, then by the day it is due, those that wait after them, what was declined last. */
function rank({ reckoned }: ListedFinding): readonly number[] {
  const { finding, status } = reckoned;
  const isStop = finding.verdict === "stop" && status !== "declined";
  return [isStop ? 0 : 1, status === "declined" ? 1 : 0, findingDay(reckoned) ?? LAST];
}

/** The open findings of all machines, the most pressing first. */
export function findingsInOrder(machines: readonly BoardMachine[]): ListedFinding[] {
  const all = machines.flatMap((machine) =>
    machine.findings.map((reckoned) => ({ machine, reckoned })),
  );
  return all.sort((one, other) => {
    const [ranks, others] = [rank(one), rank(other)];
    const at = ranks.findIndex((value, index) => value !== others[index]);
    if (at >= 0) return (ranks[at] ?? 0) - (others[at] ?? 0);
    return one.reckoned.finding.found < other.reckoned.finding.found ? -1 : 1;
  });
}

/** In which order findings are listed. */
export const FINDING_ORDERS = ["pressing", "oldest", "dearest", "machine"] as const;
type FindingOrder = (typeof FINDING_ORDERS)[number];

/** Which findings are listed, and in which order; empty where any may be. */
export interface FindingsAsked {
  readonly verdict: string;
  readonly decision: string;
  readonly machine: string;
  readonly order: FindingOrder;
}

const costOf = ({ reckoned }: ListedFinding): number => reckoned.finding.cost ?? -1;
const foundOn = ({ reckoned }: ListedFinding): string => reckoned.finding.found;
const tagOf = ({ machine }: ListedFinding): string => machine.machine.tag;

/** How two findings stand to each other in an order; those that are pressed alike stay as they were. */
const COMPARED: Readonly<
  Record<FindingOrder, (one: ListedFinding, other: ListedFinding) => number>
> = {
  pressing: () => 0,
  oldest: (one, other) =>
    foundOn(one) === foundOn(other) ? 0 : foundOn(one) < foundOn(other) ? -1 : 1,
  dearest: (one, other) => costOf(other) - costOf(one),
  machine: (one, other) => tagOf(one).localeCompare(tagOf(other), "en", { numeric: true }),
};

/** Those of the findings, the most pressing first, that are asked for, in the order that is asked for. */
export function findingsAsked(
  all: readonly ListedFinding[],
  { verdict, decision, machine, order }: FindingsAsked,
): ListedFinding[] {
  const isAsked = (wanted: string, is: Finding["verdict"]): boolean =>
    wanted === "" || wanted === (is ?? "not judged");
  return all
    .filter(
      ({ machine: of, reckoned: { finding } }) =>
        isAsked(verdict, finding.verdict) &&
        (decision === "" || finding.decision === decision) &&
        (machine === "" || of.machine.id === machine),
    )
    .toSorted(COMPARED[order]);
}

/** What the findings cost together, as far as it is known, and how many of them say nothing. */
export function costTogether(all: readonly ListedFinding[]): {
  readonly known: number;
  readonly missing: number;
} {
  const costs = all.map(({ reckoned }) => reckoned.finding.cost ?? null);
  return {
    known: costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0),
    missing: costs.filter((cost) => cost === null).length,
  };
}
