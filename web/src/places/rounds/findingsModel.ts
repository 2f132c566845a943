import type { BoardMachine, FindingReckoning } from "@yonderfell/core";
import { findingDay } from "../../words/findingWords.js";

/** An open finding with its machine. */
export interface ListedFinding {
  readonly machine: BoardMachine;
  readonly reckoned: FindingReckoning;
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
