import {
  minutesOf,
  type DayNumber,
  type FullWeek,
  type Planning,
  type RoomMove,
  type Week,
} from "@yonderfell/core";
import type { ListedVisit } from "./visitModel.js";

const MINUTES_AN_HOUR = 60;

/** A visit to be moved to another day, and how much more it costs there. */
export interface VisitMove {
  readonly visit: ListedVisit;
  readonly day: DayNumber;
  readonly more: number;
}

/** A week that holds more than there are hours for, and what of it may be moved. */
export interface Overfull {
  /** Hours of work more than there are. */
  readonly over: number;
  /** In the order in which they are handed to the reckoning. */
  readonly movable: readonly ListedVisit[];
  readonly asked: FullWeek;
}

/** What is asked of a week that holds too much; null where it does not. What is pinned stays. */
export function overfull(
  week: Week<ListedVisit>,
  ridge: readonly Week<ListedVisit>[],
  today: DayNumber,
  planning: Planning,
): Overfull | null {
  const { there } = week;
  if (there === null || week.hours <= there) return null;
  const over = week.hours - there;
  const movable = week.visits.filter(
    (visit) => visit.planned.visit?.pinned !== true && minutesOf(visit) > 0,
  );
  const asked: FullWeek = {
    visits: movable.map(({ day, turns, otherMinutes, isOutside, of }) => {
      const { needed, visitCost } = of.machine;
      return { day, turns, otherMinutes, isOutside, machine: { needed, visitCost } };
    }),
    excess: Math.round(over * MINUTES_AN_HOUR),
    room: ridge.map((one) => [
      one.monday,
      Math.max(0, (one.there ?? there) - one.hours) * MINUTES_AN_HOUR,
    ]),
    ...{ today, planning },
  };
  return { over, movable, asked };
}

/** The moves as those of the visits they are of. */
export function visitMoves({ movable }: Overfull, moves: readonly RoomMove[]): VisitMove[] {
  return moves.flatMap(({ at, to }) =>
    movable.slice(at, at + 1).map((visit) => ({ visit, ...to })),
  );
}
