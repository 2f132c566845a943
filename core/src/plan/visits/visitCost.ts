import type { Planning } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { costOfTurn, countsOn, isAllowed, type Turn } from "./turn.js";

/** What a visit costs, in the book's money, part by part. */
export interface VisitCost {
  /** Before anything is done. */
  readonly fixed: number;
  readonly accesses: readonly { readonly access: string; readonly cost: number }[];
  readonly turns: readonly TurnShare[];
  readonly total: number;
}

/** What one turn adds to what a visit costs, and how far from its date it is done. */
export interface TurnShare {
  readonly turn: Turn;
  readonly wasted: number;
  readonly late: number;
  /** Whether it counts for the turn when done that day. */
  readonly counts: boolean;
}

/** What a visit with some turns costs on a day: each access once; the turns' parts and labour are paid on any day and not in it. */
export function visitCostOn(
  turns: readonly Turn[],
  day: DayNumber,
  visitCost: number,
  planning: Pick<Planning, "accessCost" | "lateADay" | "pastGraceADay">,
): VisitCost {
  const names = new Set(turns.flatMap(({ access }) => access ?? []));
  const accesses = [...names].map((access) => ({ access, cost: planning.accessCost }));
  const shares = turns.map((turn) => ({
    turn,
    ...costOfTurn(turn, day, planning),
    counts: countsOn(turn, day),
  }));
  const total =
    visitCost +
    accesses.reduce((sum, { cost }) => sum + cost, 0) +
    shares.reduce((sum, { wasted, late }) => sum + wasted + late, 0);
  return { fixed: visitCost, accesses, turns: shares, total };
}

/** A day a visit could be moved to, and what it would cost there. */
export interface OtherDay {
  readonly day: DayNumber;
  readonly cost: VisitCost;
}

/** Of some days those on which all turns of a visit may be done, cheapest first. */
export function otherDays(
  turns: readonly Turn[],
  days: readonly DayNumber[],
  visitCost: number,
  planning: Pick<Planning, "accessCost" | "lateADay" | "pastGraceADay">,
): OtherDay[] {
  return days
    .filter((day) => turns.every((turn) => isAllowed(turn, day)))
    .map((day) => ({ day, cost: visitCostOn(turns, day, visitCost, planning) }))
    .sort((one, other) => one.cost.total - other.cost.total || one.day - other.day);
}
