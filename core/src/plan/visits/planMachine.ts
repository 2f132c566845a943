import { partition } from "es-toolkit";
import type { Machine } from "../../book/records/machine.js";
import type { Planning } from "../../book/records/settings.js";
import type { Visit } from "../../book/records/visit.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import type { MachineState } from "../../schedule/machineState.js";
import { candidateDays } from "./candidates.js";
import { cheapestDays } from "./cheapestDays.js";
import { fitTurns, type FittedTurn } from "./fitTurns.js";
import { heldVisits, undoneTasks } from "./heldVisits.js";
import type { PlannedVisit } from "./plannedVisit.js";
import { planIssuesOf, type PlanIssue } from "./planIssues.js";
import { spareDays } from "./spareDays.js";
import type { Turn } from "./turn.js";
import type { MachineTurns } from "./turnsOf.js";
import type { VisitDay } from "./visitDay.js";

/** What is planned and proposed for one machine. */
export interface MachinePlan {
  /** Visits from today on, earliest first. */
  readonly visits: readonly PlannedVisit[];
  /** Visits whose day has passed with work not done. */
  readonly missed: readonly PlannedVisit[];
  /** All turns ahead, earliest first. */
  readonly turns: readonly Turn[];
  readonly left: MachineTurns["left"];
  readonly issues: readonly PlanIssue[];
}

/** What a visit of a machine costs before anything is done. */
export function costOfVisiting(
  { visitCost }: Pick<Machine, "visitCost">,
  planning: Pick<Planning, "visitCost">,
): number {
  return visitCost ?? planning.visitCost;
}

/** What a machine's visits are planned from. */
export interface ToPlan {
  readonly state: MachineState;
  readonly turns: MachineTurns;
  /** Those of the book. */
  readonly visits: readonly Visit[];
  readonly planning: Planning;
  /** The last day visits are proposed for. */
  readonly until: DayNumber;
}

/** The turns of a machine with the days they have found. */
export interface PlacedTurns {
  /** The visits of the book from today on, without what fits in. */
  readonly held: readonly PlannedVisit[];
  /** Those whose day has passed with work not done. */
  readonly missed: readonly PlannedVisit[];
  /** The days on which the machine can be worked on. */
  readonly spare: readonly DayNumber[];
  readonly fitted: readonly FittedTurn[];
  readonly placed: readonly Placed[];
}

/** The cheapest days for all turns of a machine that no visit of the book does; new visits only on days that are `open`. */
export function placeTurns(
  { state, turns: { turns }, visits, planning, until }: ToPlan,
  open: (day: DayNumber) => boolean = () => true,
): PlacedTurns {
  const { machine, today } = state;
  const undone = visits.filter((visit) => undoneTasks(visit, state).length > 0);
  const [past, ahead] = partition(undone, ({ date }) => dayOf(date) < today);
  const held = heldVisits(ahead, state, turns);
  const spare = spareDays(machine, planning, today, until).filter(open);
  const fitted = fitTurns(turns, { held, open: undone, spare, today });
  const placed = [false, true].flatMap((isOutside) => {
    const own = fitted.filter(({ turn }) => turn.isOutside === isOutside);
    const given = held.filter((visit) => visit.isOutside === isOutside);
    return proposed(own, given, spare, costOfVisiting(machine, planning), planning);
  });
  return { held, missed: heldVisits(past, state, turns), spare, fitted, placed };
}

/**
 * The visits of a machine up to and with `until`: those the book holds, on their days, and for all
 * turns they do not cover the cheapest ones (docs/visits.md). Work that is for others is planned apart
 * from one's own. What cannot be kept to is among the issues, and stands on the first day it can be done.
 */
export function planMachine(given: ToPlan): MachinePlan {
  const { state, turns: all, planning, until } = given;
  const { turns, left } = all;
  const { machine, today } = state;
  const { held, missed, spare, fitted, placed } = placeTurns(given);
  const joined = held.map((one) => ({
    ...one,
    fitting: placed.flatMap(({ turn, visit }) => (visit === one ? [turn] : [])),
  }));
  const fresh = groupByDay(placed.filter(({ visit }) => visit === null));
  return {
    visits: [...joined, ...fresh].sort((one, other) => one.day - other.day),
    missed,
    turns,
    left,
    issues: planIssuesOf({ machine, fitted, placed, held, spare, planning, today, until }),
  };
}

/** A turn and the day it has found. */
interface Placed {
  readonly turn: Turn;
  readonly day: DayNumber;
  /** The visit of the book it joins, null where it is in one proposed. */
  readonly visit: PlannedVisit | null;
}

/** The cheapest days for some turns, beside the visits there are; those that may be done on no day are left out. */
function proposed(
  turns: readonly FittedTurn[],
  given: readonly PlannedVisit[],
  spare: readonly DayNumber[],
  visitCost: number,
  planning: Planning,
): Placed[] {
  const givenDays = new Map(given.map((visit) => [visit.day, visit]));
  const possible = turns.flatMap(({ turn, fitted }) => (fitted === null ? [] : { turn, fitted }));
  const fitted = possible.map((one) => one.fitted);
  const days: VisitDay[] = [...new Set([...candidateDays(spare, fitted), ...givenDays.keys()])]
    .sort((one, other) => one - other)
    .map((day) => {
      const there = given.filter((visit) => visit.day === day).flatMap((visit) => visit.turns);
      const opened = new Set(there.flatMap(({ access }) => access ?? []));
      return { day, cost: givenDays.has(day) ? 0 : visitCost, opened };
    });
  const found = cheapestDays(fitted, days, planning);
  return (found?.days ?? []).map((day, index) => ({
    turn: (possible[index] as (typeof possible)[number]).turn,
    day,
    visit: givenDays.get(day) ?? null,
  }));
}

/** The visits that are proposed for some turns and their days. */
export function groupByDay(
  placed: readonly { readonly turn: Turn; readonly day: DayNumber }[],
): PlannedVisit[] {
  const visits = new Map<string, Turn[]>();
  for (const { turn, day } of placed) {
    const key = `${day} ${String(turn.isOutside)}`;
    visits.set(key, [...(visits.get(key) ?? []), turn]);
  }
  return [...visits].map(([key, turns]) => ({
    day: Number.parseInt(key, 10) as DayNumber,
    visit: null,
    turns,
    others: [],
    undone: [],
    fitting: [],
    isOutside: turns[0]?.isOutside === true,
  }));
}
