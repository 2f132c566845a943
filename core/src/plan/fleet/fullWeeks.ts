import type { TaskId } from "../../book/records/ids.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { closedOn, type Blocked } from "../visits/spareDays.js";
import type { Turn } from "../visits/turn.js";
import { betterWeeks } from "./betterWeeks.js";
import { blocksOf, costOfAnswer, loadsOf, NEGLIGIBLE, type FleetAnswer } from "./fleetAnswer.js";
import { FleetGrid } from "./fleetGrid.js";
import type { FleetBlock, FleetMachine, FleetProblem, Pool } from "./fleetProblem.js";
import { WeekLoads } from "./weekLoads.js";

const MINUTES_AN_HOUR = 60;
const DAYS_A_WEEK = 7;
/** So many full weeks are told of what would free them, the fullest: fewer of a large fleet, as each is planned anew for it. */
const mostWeeks = (machines: number): number =>
  Math.max(3, Math.min(12, Math.floor(4000 / Math.max(1, machines))));
/** So many dates that could slip are told of a week. */
const MOST_SLIPS = 3;

/** What a pool is asked for more than it has. */
interface OverIn {
  /** The place of the pool. */
  readonly pool: number;
  readonly hours: number;
}

/** What would make room in a week. */
export type Freeing =
  /** So many hours more of a pool, at their price. */
  | {
      readonly code: "hours";
      readonly pool: number;
      readonly hours: number;
      readonly price: number;
    }
  /** One day more on which all work, or one bay more: hours it brings, and what it saves at least. */
  | {
      readonly code: "day";
      readonly day: DayNumber;
      readonly hours: number;
      readonly saves: number;
    }
  | { readonly code: "bay"; readonly hours: number; readonly saves: number }
  /** A hard end that leaves work no other week, were it let slip: the hours that it takes. */
  | {
      readonly code: "slip";
      readonly machine: FleetMachine["machine"];
      readonly task: TaskId;
      readonly end: DayNumber;
      readonly hours: number;
    };

/** A week that holds more than there is. */
export interface FullFleetWeek {
  readonly week: number;
  readonly monday: DayNumber;
  readonly over: readonly OverIn[];
  /** The machines that are worked on in it. */
  readonly machines: readonly FleetMachine["machine"][];
  /** What would free it, by what it saves; empty where it is not among the fullest. */
  readonly frees: readonly Freeing[];
}

/**
 * The weeks in which an answer asks for more than there is, and what would free the fullest of them; where `savings`, also what
 * a day or a bay more would save, for which each of these weeks is planned anew.
 */
export function fullFleetWeeks(
  problem: FleetProblem,
  answer: FleetAnswer,
  savings: boolean,
): FullFleetWeek[] {
  const loads = loadsOf(problem, answer);
  const weeks = problem.weeks.flatMap((monday, week) => {
    const over = problem.pools.flatMap(({ minutes }, pool): OverIn[] => {
      const more = (loads[pool]?.[week] ?? 0) - (minutes[week] ?? 0);
      return more > NEGLIGIBLE ? [{ pool, hours: more / MINUTES_AN_HOUR }] : [];
    });
    return over.length === 0 ? [] : [{ monday, week, over }];
  });
  const hoursOver = ({ over }: { readonly over: readonly OverIn[] }): number =>
    Math.max(...over.map(({ hours }) => hours));
  const fullest = [...weeks]
    .sort((one, other) => hoursOver(other) - hoursOver(one))
    .slice(0, mostWeeks(problem.machines.length));
  return weeks.map((one) => {
    const inIt = blocksIn(problem, answer, one.week);
    return {
      ...one,
      machines: [...new Set(inIt.map(({ machine }) => machine))],
      frees: fullest.includes(one) ? freeings(problem, answer, one, inIt, savings) : [],
    };
  });
}

/** A block with the machine it is of. */
interface OfMachine {
  readonly machine: FleetMachine["machine"];
  readonly block: FleetBlock;
}

/** The blocks that an answer has in a week and that take some hours. */
function blocksIn({ machines }: FleetProblem, answer: FleetAnswer, week: number): OfMachine[] {
  return machines.flatMap((machine, at) => {
    const chosen = answer[at];
    if (chosen === undefined) return [];
    return blocksOf(machine, chosen).flatMap((block, index): OfMachine[] => {
      const isIn = block.choices[chosen.choices[index] ?? 0]?.week === week;
      return isIn && block.uses.length > 0 ? [{ machine: machine.machine, block }] : [];
    });
  });
}

function freeings(
  problem: FleetProblem,
  answer: FleetAnswer,
  { week, over }: { readonly week: number; readonly over: readonly OverIn[] },
  inIt: readonly OfMachine[],
  savings: boolean,
): Freeing[] {
  const { weeks, pools, overMinute } = problem;
  const before = costOfAnswer(problem, answer).sharing;
  const saved = (more: (pool: Pool) => number): number =>
    savings ? Math.max(0, before - costWith(problem, answer, week, more)) : 0;
  const whole = pools.find(({ isWhole, of }) => isWhole && of === "people") ?? pools[0];
  const ways: Freeing[] = [];
  const day = idleDay(problem, weeks[week] as DayNumber);
  const ofDay = day === null ? 0 : saved(({ aDay }) => aDay);
  if (day !== null && ofDay > NEGLIGIBLE) {
    const hours = (whole?.aDay ?? 0) / MINUTES_AN_HOUR;
    ways.push({ code: "day", day, hours, saves: ofDay });
  }
  const bay = bayMinutes(pools, week);
  const ofBay = bay === 0 ? 0 : saved(({ of }) => (of === "bays" ? bay : 0));
  if (ofBay > NEGLIGIBLE) {
    ways.push({ code: "bay", hours: bay / MINUTES_AN_HOUR, saves: ofBay });
  }
  return [
    ...ways.sort((one, other) => savesOf(other) - savesOf(one)),
    ...over.map(({ pool, hours }): Freeing => {
      return { code: "hours", pool, hours, price: hours * MINUTES_AN_HOUR * overMinute };
    }),
    ...slips(inIt).slice(0, MOST_SLIPS),
  ];
}

/** The first day of a week, from today on, on which nobody works as a rule; else the first on which the workshop is closed. */
function idleDay({ work, today }: FleetProblem, monday: DayNumber): DayNumber | null {
  const week = Array.from({ length: DAYS_A_WEEK }, (_, at) => addDays(monday, at));
  const ahead = week.filter((day) => day >= today);
  const idle = (code: Blocked["code"]): DayNumber | undefined =>
    ahead.find((day) => closedOn(work, day)?.code === code);
  return idle("not-a-workday") ?? idle("closed") ?? null;
}

const savesOf = (one: Freeing): number => ("saves" in one ? one.saves : 0);

/** What one more bay would bring in a week: as much as those there are do on the mean. */
function bayMinutes(pools: readonly Pool[], week: number): number {
  const all = pools.find(({ isWhole, of }) => isWhole && of === "bays");
  return all === undefined ? 0 : (all.minutes[week] ?? 0) / Math.max(1, all.who.length);
}

/** What sharing costs at most where pools have more in a week: the answer made cheaper in single steps. */
function costWith(
  problem: FleetProblem,
  answer: FleetAnswer,
  week: number,
  more: (pool: Pool) => number,
): number {
  const pools = problem.pools.map((pool) => ({
    ...pool,
    minutes: pool.minutes.map((one, at) => (at === week ? one + more(pool) : one)),
  }));
  const wider = { ...problem, pools };
  const grid = new FleetGrid(wider);
  const found = grid.gridAnswer(answer);
  const loads = new WeekLoads(grid);
  loads.fill(found);
  betterWeeks(grid, found, loads, { rounds: 3, makesWay: false });
  return costOfAnswer(wider, grid.answerOf(found)).sharing;
}

/** Work that a hard end leaves no other week to, the longest first. */
function slips(inIt: readonly OfMachine[]): Freeing[] {
  return inIt
    .flatMap(({ machine, block }): Freeing[] => {
      const hard = hardOf([...block.turns, ...block.added]);
      if (block.choices.length > 1 || hard === null || block.held?.pinned === true) return [];
      const { task, end } = hard;
      return [{ code: "slip", machine, task, end, hours: block.minutes / MINUTES_AN_HOUR }];
    })
    .sort((one, other) => ("hours" in other ? other.hours : 0) - ("hours" in one ? one.hours : 0));
}

/** The turn of the earliest hard end. */
function hardOf(turns: readonly Turn[]): { readonly task: TaskId; readonly end: DayNumber } | null {
  const ends = turns.flatMap(({ task, hardEnd: end }) => (end === null ? [] : [{ task, end }]));
  return ends.sort((one, other) => one.end - other.end)[0] ?? null;
}
