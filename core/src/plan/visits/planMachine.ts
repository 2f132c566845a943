import type { TaskId } from "../../book/ids.js";
import type { Machine } from "../../book/machine.js";
import type { Planning } from "../../book/settings.js";
import type { Visit } from "../../book/visit.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { completionsOf, type MachineState } from "../../schedule/taskDue.js";
import { candidateDays, firstOn } from "./candidates.js";
import { cheapestDays } from "./cheapestDays.js";
import { planIssuesOf, type PlanIssue } from "./planIssues.js";
import { spareDays } from "./spareDays.js";
import { isAllowed, nearestTurn, turnKey, type Turn } from "./turn.js";
import type { MachineTurns } from "./turnsOf.js";
import type { VisitDay } from "./visitDay.js";

/** A visit as the plan has it: one the book holds, or one proposed. */
export interface PlannedVisit {
  readonly day: DayNumber;
  /** The visit of the book; null where it is only proposed. */
  readonly visit: Visit | null;
  /** The turns it does. */
  readonly turns: readonly Turn[];
  /** Tasks of a visit of the book that have no turn ahead, or are done already. */
  readonly others: readonly TaskId[];
  /** Turns that would be cheapest done in it too, and are not in it yet; none in a proposed one. */
  readonly fitting: readonly Turn[];
  readonly isOutside: boolean;
}

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

/**
 * The visits of a machine up to and with `until`: those the book holds, on their days, and for all
 * turns they do not cover the cheapest ones (docs/visits.md). Work that is for others is planned apart
 * from one's own. What cannot be kept to is among the issues, and stands on the first day it can be done.
 */
export function planMachine(
  state: MachineState,
  { turns, left }: MachineTurns,
  visits: readonly Visit[],
  planning: Planning,
  until: DayNumber,
): MachinePlan {
  const { machine, today } = state;
  const open = visits
    .filter((visit) => undone(visit, state).length > 0)
    .sort((one, other) => one.date.localeCompare(other.date));
  const ahead = open.filter(({ date }) => dayOf(date) >= today);
  const taken = new Set<string>();
  const held = ahead.map((visit) => heldVisit(visit, state, turns, taken));
  const rest = turns.filter((turn) => !taken.has(turnKey(turn)));
  const spare = spareDays(machine, planning.workdays, today, until);
  const placed = [false, true].flatMap((isOutside) => {
    const own = rest
      .filter((turn) => turn.isOutside === isOutside)
      .map((turn) => ({ turn, fitted: withLeftOut(withinReach(turn, spare), open) }));
    const given = held.filter((visit) => visit.isOutside === isOutside);
    return proposed(own, given, spare, costOfVisiting(machine, planning), planning);
  });
  const joined = held.map((one) => ({
    ...one,
    fitting: placed.flatMap(({ turn, visit }) => (visit === one ? [turn] : [])),
  }));
  const fresh = groupByDay(placed.filter(({ visit }) => visit === null));
  const missed = open
    .filter(({ date }) => dayOf(date) < today)
    .map((visit) => heldVisit(visit, state, turns, new Set()));
  return {
    visits: [...joined, ...fresh].sort((one, other) => one.day - other.day),
    missed,
    turns,
    left,
    issues: planIssuesOf({ machine, rest, placed, held, spare, planning, today }),
  };
}

/** The tasks of a visit that have not been done since it was decided on. */
function undone(visit: Visit, state: MachineState): TaskId[] {
  const accepted = dayOf(visit.accepted);
  const since = visit.since ?? -1;
  return visit.tasks.filter((task) => {
    const last = completionsOf(state, task).at(-1);
    if (last === undefined || last.day < accepted) return true;
    return last.day === accepted && last.order <= since;
  });
}

/** A visit of the book with the turns it covers: of each task the turn nearest to its day that no visit before it has taken. */
function heldVisit(
  visit: Visit,
  state: MachineState,
  turns: readonly Turn[],
  taken: Set<string>,
): PlannedVisit {
  const day = dayOf(visit.date);
  const tasks = undone(visit, state);
  const own = tasks.flatMap((task): Turn[] => {
    const left = turns.filter((turn) => !taken.has(turnKey(turn)));
    const nearest = nearestTurn(left, task, day);
    if (nearest === null) return [];
    taken.add(turnKey(nearest));
    return [nearest];
  });
  const covered = new Set(own.map(({ task }) => task));
  const isOutside = visit.tasks.every((task) => (state.tasks.get(task)?.outside ?? null) !== null);
  return {
    day,
    visit,
    turns: own,
    others: visit.tasks.filter((task) => !covered.has(task)),
    fitting: [],
    isOutside,
  };
}

/** A turn whose days are widened to the first day it can be done at all, where there is none within them. */
function withinReach(turn: Turn, spare: readonly DayNumber[]): Turn {
  const { latest } = turn;
  const first = spare[0];
  if (first === undefined || latest === null) return turn;
  const earliest = firstOn(spare, turn.earliest);
  if (earliest === null || earliest <= latest) return turn;
  return { ...turn, latest: earliest };
}

/** A turn with the days of the visits that it was left out of. */
function withLeftOut(turn: Turn, visits: readonly Visit[]): Turn {
  const avoided = visits
    .filter(({ without }) => without?.includes(turn.task) === true)
    .map(({ date }) => dayOf(date));
  return avoided.length === 0 ? turn : { ...turn, avoided };
}

interface Placed {
  readonly turn: Turn;
  readonly day: DayNumber;
  /** The visit of the book it joins, null where it is in one proposed. */
  readonly visit: PlannedVisit | null;
}

/** A turn as it is, and as the search is to take it. */
interface Fitted {
  readonly turn: Turn;
  readonly fitted: Turn;
}

/** The cheapest days for some turns, beside the visits there are; those that may be done on no day are left out. */
function proposed(
  turns: readonly Fitted[],
  given: readonly PlannedVisit[],
  spare: readonly DayNumber[],
  visitCost: number,
  planning: Planning,
): Placed[] {
  const givenDays = new Map(given.map((visit) => [visit.day, visit]));
  const open = [...spare, ...givenDays.keys()];
  const possible = turns.filter(({ fitted }) => open.some((day) => isAllowed(fitted, day)));
  const fitted = possible.map((one) => one.fitted);
  const days: VisitDay[] = [...new Set([...candidateDays(spare, fitted), ...givenDays.keys()])]
    .sort((one, other) => one - other)
    .map((day) => {
      const visit = givenDays.get(day);
      const opened = new Set((visit?.turns ?? []).flatMap(({ access }) => access ?? []));
      return { day, cost: visit === undefined ? visitCost : 0, opened };
    });
  const found = cheapestDays(fitted, days, planning);
  return (found?.days ?? []).map((day, index) => ({
    turn: (possible[index] as Fitted).turn,
    day,
    visit: givenDays.get(day) ?? null,
  }));
}

function groupByDay(
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
    fitting: [],
    isOutside: turns[0]?.isOutside === true,
  }));
}
