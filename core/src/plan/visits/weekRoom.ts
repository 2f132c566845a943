import type { Machine } from "../../book/records/machine.js";
import type { Planning } from "../../book/records/settings.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { makeRoom } from "./makeRoom.js";
import type { Movable, RoomMade } from "./roomMoves.js";
import { costOfVisiting } from "./planMachine.js";
import { minutesOf, type CountedVisit } from "./ridge.js";
import { mondayOf, spareDays } from "./spareDays.js";
import { planUntil } from "./visitsOfMachine.js";
import { otherDays, visitCostOn, type OtherDay } from "./visitCost.js";

/** A visit of a week that may be moved out of it. */
export interface WeekVisit extends CountedVisit {
  readonly machine: Pick<Machine, "needed" | "visitCost">;
}

/** A week that holds too much, as plain data that can be handed to a worker. */
export interface FullWeek {
  /** Those of its visits that may be moved: not those whose day is settled with others. */
  readonly visits: readonly WeekVisit[];
  /** Minutes of work more than there are. */
  readonly excess: number;
  /** Minutes left in the other weeks, by their Mondays; none where a week is not named. */
  readonly room: readonly (readonly [monday: DayNumber, minutes: number])[];
  readonly today: DayNumber;
  readonly planning: Planning;
}

/** The cheapest day in each of the cheapest weeks other than the one `day` is in, of days in order of cost. */
export function otherWeeks(days: readonly OtherDay[], day: DayNumber, most: number): OtherDay[] {
  const weeks = new Map<DayNumber, OtherDay>();
  for (const one of days) {
    const monday = mondayOf(one.day);
    if (monday !== mondayOf(day) && !weeks.has(monday)) weeks.set(monday, one);
  }
  return [...weeks.values()].slice(0, most);
}

/** The least costly moves found that bring a week within its hours, or as near to them as can be ({@link makeRoom}). */
export function movesOutOf({ visits, excess, room, today, planning }: FullWeek): RoomMade {
  const left = new Map(room);
  return makeRoom(
    visits.map((visit) => movable(visit, today, planning)),
    excess,
    (monday) => left.get(monday) ?? 0,
  );
}

function movable(visit: WeekVisit, today: DayNumber, planning: Planning): Movable {
  const { turns, day, machine } = visit;
  const cost = costOfVisiting(machine, planning);
  const stays = visitCostOn(turns, day, cost, planning).total;
  const spare = spareDays(machine, planning, today, planUntil(today, planning));
  const weeks = otherWeeks(otherDays(turns, spare, cost, planning), day, Infinity);
  return {
    minutes: Math.round(minutesOf(visit)),
    elsewhere: weeks.map((one) => ({ day: one.day, more: one.cost.total - stays })),
  };
}
