import type { DayNumber } from "../../calendar/dayNumber.js";
import { costOfAnswer, gapOf, type FleetAnswer, type FleetCost } from "./fleetAnswer.js";
import { fleetChanges, type FleetChange } from "./fleetChanges.js";
import type { FleetProblem, Pool, UnmetNeed } from "./fleetProblem.js";
import { fullFleetWeeks, type FullFleetWeek } from "./fullWeeks.js";

const MINUTES_AN_HOUR = 60;

/** A week of a fleet plan, in hours of one's own work. */
export interface FleetWeek {
  readonly monday: DayNumber;
  /** The lesser of what all people and all bays have; null where neither is known. */
  readonly there: number | null;
  /** Were each machine by itself. */
  readonly alone: number;
  /** By the plan. */
  readonly planned: number;
  /** What an hour more of whoever is shortest would save about, in the book's money; null where it is not known. */
  readonly worth: number | null;
}

/** What is told of a fleet plan: all that a screen shows of it. */
export interface FleetTold {
  readonly cost: FleetCost;
  /** What sharing the weeks costs at least, and how far above that the plan may be (docs/fleet-plan.md); null where nothing is known. */
  readonly bound: number;
  readonly gap: number | null;
  readonly weeks: readonly FleetWeek[];
  readonly changes: readonly FleetChange[];
  readonly full: readonly FullFleetWeek[];
  readonly pools: readonly Pool[];
  readonly unmet: readonly UnmetNeed[];
  readonly machines: number;
  /** Visits of the book that stay as they are. */
  readonly stays: number;
}

/** What is known beside an answer. */
export interface FleetKnown {
  /** What sharing the weeks costs at least. */
  readonly bound: number;
  /** What an hour more of each pool would save about in each week; null where it is not known. */
  readonly worth: readonly (readonly number[])[] | null;
}

/** What is told of an answer; `savings` says whether also what a day or a bay more would save in weeks that are too full, which takes longer. */
export function fleetTold(
  problem: FleetProblem,
  answer: FleetAnswer,
  { bound, worth }: FleetKnown,
  savings: boolean,
): FleetTold {
  const { machines, pools, unmet } = problem;
  const cost = costOfAnswer(problem, answer);
  const changes = fleetChanges(problem, answer);
  const alone = machines.map(({ options: [first] }) => ({
    option: 0,
    choices: (first?.blocks ?? []).map(({ choices, day }) =>
      Math.max(
        0,
        choices.findIndex((one) => one.day === day),
      ),
    ),
  }));
  const held = machines.flatMap(({ options: [first] }) =>
    (first?.blocks ?? []).filter((block) => block.held !== null),
  ).length;
  return {
    ...{ cost, bound, gap: gapOf(cost.sharing, bound), pools, unmet },
    weeks: weeksOf(problem, alone, answer, worth),
    changes,
    full: fullFleetWeeks(problem, answer, savings),
    machines: machines.length,
    stays: held - changes.filter((one) => one.held !== null).length,
  };
}

function weeksOf(
  problem: FleetProblem,
  alone: FleetAnswer,
  answer: FleetAnswer,
  worth: FleetKnown["worth"],
): FleetWeek[] {
  const { weeks, pools } = problem;
  const [before, after] = [alone, answer].map((one) => hoursOf(problem, one));
  return weeks.map((monday, week) => {
    const whole = pools.filter(({ isWhole }) => isWhole);
    const there = whole.map(({ minutes }) => (minutes[week] ?? 0) / MINUTES_AN_HOUR);
    return {
      monday,
      there: there.length === 0 ? null : Math.min(...there),
      alone: before?.[week] ?? 0,
      planned: after?.[week] ?? 0,
      worth: worth === null ? null : Math.max(0, ...worth.map((pool) => pool[week] ?? 0)),
    };
  });
}

/** The hours of one's own work in each week. */
function hoursOf({ machines, weeks }: FleetProblem, answer: FleetAnswer): number[] {
  const hours = weeks.map(() => 0);
  machines.forEach(({ options }, at) => {
    const chosen = answer[at];
    (options[chosen?.option ?? 0]?.blocks ?? []).forEach(({ minutes, choices }, index) => {
      const week = choices[chosen?.choices[index] ?? 0]?.week;
      if (week !== undefined) hours[week] = (hours[week] ?? 0) + minutes / MINUTES_AN_HOUR;
    });
  });
  return hours;
}
