import {
  addDays,
  EMPTY_PLATE,
  machineBookOf,
  minutesOf,
  mondayOf,
  movesOutOf,
  settingsOf,
  visitsOfMachine,
  type Book,
  type DayNumber,
  type FullWeek,
  type Planning,
  type WeekVisit,
} from "@yonderfell/core";
import { leastCostOf } from "./leastFlow.js";

const HOURS_A_WEEK = 152;
const MINUTES_AN_HOUR = 60;
const DAYS_A_WEEK = 7;
const NOTHING = { visits: [], journeys: [] };

/** The visits proposed for all machines, by the Monday of their week. */
function weeksOf(book: Book, planning: Planning, today: DayNumber): Map<DayNumber, WeekVisit[]> {
  const source = { settings: settingsOf(book), planning, parts: [], products: [], rate: 40 };
  const weeks = new Map<DayNumber, WeekVisit[]>();
  for (const { id } of book.machines ?? []) {
    const own = machineBookOf(book, id);
    if (own === null) continue;
    const machine = own.machines[0];
    for (const visit of visitsOfMachine(own, EMPTY_PLATE, NOTHING, source, today).visits) {
      const monday = mondayOf(visit.day);
      const one = { ...visit, otherMinutes: 0, isOutside: false, machine };
      weeks.set(monday, [...(weeks.get(monday) ?? []), one]);
    }
  }
  return weeks;
}

/** What a visit costs more in a week than where it stands; Infinity where it cannot go there. */
function moreIn(visit: WeekVisit, monday: DayNumber, week: FullWeek): number {
  const { moves } = movesOutOf({
    ...week,
    visits: [visit],
    excess: Math.max(1, Math.round(minutesOf(visit))),
    room: [[monday, Infinity]],
  });
  return moves[0]?.to.more ?? Infinity;
}

/** The least that freeing so many minutes of a week could cost, were visits divided at will. */
function boundOf(week: FullWeek, freed: number): number {
  const supply = week.visits.map((visit) => Math.round(minutesOf(visit)));
  const cost = week.visits.map((visit, at) =>
    week.room.map(([monday]) => moreIn(visit, monday, week) / Math.max(1, supply[at] ?? 0)),
  );
  return leastCostOf({ supply, room: week.room.map(([, minutes]) => minutes), cost }, freed);
}

/** Prints what making room in each week that is too full costs over a lower bound. */
export function measureSharing(book: Book, planning: Planning, today: DayNumber): void {
  const weeks = weeksOf(book, planning, today);
  const minutesIn = (monday: DayNumber): number =>
    (weeks.get(monday) ?? []).reduce((sum, visit) => sum + minutesOf(visit), 0);
  const mondays = Array.from({ length: planning.weeks + 1 }, (_, week) =>
    addDays(mondayOf(today), DAYS_A_WEEK * week),
  );
  const hold = HOURS_A_WEEK * MINUTES_AN_HOUR;
  let spent = 0;
  let least = 0;
  for (const monday of mondays) {
    const excess = minutesIn(monday) - hold;
    if (excess <= 0) continue;
    const others = mondays.filter((one) => one !== monday);
    const room = others.map((one) => [one, Math.max(0, hold - minutesIn(one))] as const);
    const week = { visits: weeks.get(monday) ?? [], excess, room, today, planning };
    const { moves, remaining } = movesOutOf(week);
    const cost = moves.reduce((sum, { to }) => sum + to.more, 0);
    const bound = boundOf(week, Math.ceil(excess) - remaining);
    spent += cost;
    least += bound;
    const hours = (minutes: number): string => (minutes / MINUTES_AN_HOUR).toFixed(0);
    console.log(
      `a week ${hours(excess)} h over ${HOURS_A_WEEK} h: ${moves.length} visits moved, ${hours(remaining)} h remain, cost ${((cost / bound - 1) * 100).toFixed(1)} % over the lower bound`,
    );
  }
  console.log(`  all of them: ${((spent / least - 1) * 100).toFixed(1)} % over the lower bound`);
}
