import {
  makeRoom,
  minutesOf,
  type DayNumber,
  type Movable,
  type Planning,
  type Week,
} from "@yonderfell/core";
import { costOn, daysFor, otherWeeks, type ListedVisit } from "./visitModel.js";

const MINUTES_AN_HOUR = 60;

/** A visit to be moved to another day, and how much more it costs there. */
export interface VisitMove {
  readonly visit: ListedVisit;
  readonly day: DayNumber;
  readonly more: number;
}

/** What a week holds too much of, and the cheapest moves found that end it; null where none are. */
export interface WeekRoom {
  /** Hours of work more than there are. */
  readonly over: number;
  readonly moves: readonly VisitMove[] | null;
}

/** How to make room in a week, null where it holds no more than there are hours for. What is pinned stays. */
export function roomIn(
  week: Week<ListedVisit>,
  ridge: readonly Week<ListedVisit>[],
  hours: number | null,
  today: DayNumber,
  planning: Planning,
): WeekRoom | null {
  const over = hours === null ? 0 : week.hours - hours;
  if (hours === null || over <= 0) return null;
  const visits = week.visits.filter(({ planned }) => planned.visit?.pinned !== true);
  const left = new Map(ridge.map((one) => [one.monday, (hours - one.hours) * MINUTES_AN_HOUR]));
  const moves = makeRoom(
    visits.map((visit) => movable(visit, today, planning)),
    Math.round(over * MINUTES_AN_HOUR),
    (monday) => left.get(monday) ?? 0,
  );
  const move = ({ at, to }: { at: number; to: { day: DayNumber; more: number } }): VisitMove[] =>
    visits.slice(at, at + 1).map((visit) => ({ visit, ...to }));
  return { over, moves: moves?.flatMap(move) ?? null };
}

function movable(visit: ListedVisit, today: DayNumber, planning: Planning): Movable {
  const { total } = costOn(visit, visit.day, planning);
  const weeks = otherWeeks(daysFor(visit, today, planning), visit.day, Infinity);
  return {
    minutes: minutesOf(visit),
    elsewhere: weeks.map(({ day, cost }) => ({ day, more: cost.total - total })),
  };
}
