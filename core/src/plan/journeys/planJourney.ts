import type { MeterId, TaskId } from "../../book/records/ids.js";
import { DEFAULT_DAYS_CLEAR, type Journey } from "../../book/records/journey.js";
import type { Visit } from "../../book/records/visit.js";
import { addDays, dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { currentStop } from "../../machine/outOfService.js";
import type { Stop } from "../../book/records/service.js";
import { valueIn, type Quantity } from "../../quantity/quantity.js";
import type { MachineState } from "../../schedule/machineState.js";
import { spareDays } from "../visits/spareDays.js";
import { journeyLoad, type JourneyLoadList } from "./journeyLoad.js";
import { journeyOil, type OilOnJourney } from "./journeyOil.js";
import { journeyDays, journeyRuns, type JourneyDays, type JourneyRun } from "./journeyRun.js";
import { journeyTasks, type JourneySource, type JourneyTask } from "./journeyTasks.js";

/** Something that stands in the way of a journey, or in doubt. */
export type JourneyIssue =
  /** It is not to be used until somebody releases it. */
  | { readonly code: "out-of-service"; readonly stop: Stop }
  /** There is no day left before departure on which the machine can be worked on. */
  | { readonly code: "no-day-before" }
  /** The visit before it is nearer to departure than days are to be kept clear. */
  | { readonly code: "close-to-departure"; readonly daysClear: number }
  /** A figure is old or its dial stands still, so that what rests on it is in doubt. */
  | { readonly code: "figure-in-doubt"; readonly meter: MeterId }
  /** How far a meter runs on it cannot be told. */
  | { readonly code: "run-not-known"; readonly meter: MeterId };

/** What a journey asks of a machine. */
export interface JourneyPlan {
  readonly journey: Journey;
  readonly days: JourneyDays;
  readonly runs: readonly JourneyRun[];
  /** The days on which the visit before it may be, earliest first. */
  readonly spare: readonly DayNumber[];
  /** The day of that visit; null where there is none. */
  readonly visitOn: DayNumber | null;
  /** What falls due before or during it, or may, the most pressing first. */
  readonly tasks: readonly JourneyTask[];
  /** The visits of the book before departure that do some of it. */
  readonly inVisits: readonly { readonly task: TaskId; readonly visit: Visit }[];
  /** What is done with each use. */
  readonly eachUse: readonly TaskId[];
  readonly oils: readonly OilOnJourney[];
  /** What the work on the way takes along. */
  readonly along: JourneyLoadList;
  readonly issues: readonly JourneyIssue[];
}

const inCelsius = (quantity: Quantity | null | undefined): number | null =>
  quantity ? valueIn(quantity, "degC") : null;

/**
 * What a journey asks of a machine (docs/journeys.md): what falls due before or during it, what doing that on
 * a visit before departure throws away against leaving it until return, what comes up on the way all the
 * same and what that takes along, and whether the oils serve the temperatures. The visit is on
 * `chosen`, or where that is null on the last day the machine can be spared that keeps enough days clear.
 */
export function planJourney(
  journey: Journey,
  state: MachineState,
  visits: readonly Visit[],
  source: JourneySource,
  chosen: DayNumber | null = null,
): JourneyPlan {
  const { machine, today } = state;
  const days = journeyDays(journey, today);
  const runs = journeyRuns(journey, state.meters, today);
  const spare = spareDays(machine, source.planning, today, addDays(days.departs, -1));
  const clear = journey.daysClear ?? DEFAULT_DAYS_CLEAR;
  const lastClear = addDays(days.departs, -1 - clear);
  const usual = spare.findLast((day) => day <= lastClear) ?? spare.at(-1) ?? null;
  const visitOn = chosen !== null && spare.includes(chosen) ? chosen : usual;
  const context = { journey, days, runs };
  const isOver = days.returns < today;
  const tasks = isOver ? [] : journeyTasks(state, context, visitOn ?? days.begins, source);
  const onTheWay = tasks.flatMap(({ task: id, times, advice }) => {
    const task = state.tasks.get(id);
    return advice !== "on-the-way" || task === undefined ? [] : [{ task, times }];
  });
  const { plate, products } = source.needs;
  return {
    ...{ journey, days, spare, visitOn, tasks },
    runs: [...runs.values()],
    inVisits: visitsBefore(visits, tasks, days, today),
    eachUse: [...state.tasks.values()].flatMap(({ id, eachUse }) => (eachUse ? [id] : [])),
    oils: journeyOil(
      plate.fluids,
      products,
      inCelsius(journey.coldest),
      inCelsius(journey.hottest),
      source.coldMargin,
    ),
    along: journeyLoad(onTheWay, source.needs),
    issues: isOver ? [] : issuesOf(state, days, runs, visitOn, clear),
  };
}

function visitsBefore(
  visits: readonly Visit[],
  tasks: readonly JourneyTask[],
  { departs }: JourneyDays,
  today: DayNumber,
): JourneyPlan["inVisits"] {
  const before = visits.filter(({ date }) => dayOf(date) >= today && dayOf(date) < departs);
  return tasks.flatMap(({ task }) => {
    const visit = before.find((one) => one.tasks.includes(task));
    return visit === undefined ? [] : [{ task, visit }];
  });
}

function issuesOf(
  { machine, today }: MachineState,
  { departs }: JourneyDays,
  runs: ReadonlyMap<MeterId, JourneyRun>,
  visitOn: DayNumber | null,
  daysClear: number,
): JourneyIssue[] {
  const issues: JourneyIssue[] = [];
  const stop = currentStop(machine);
  if (stop !== null) issues.push({ code: "out-of-service", stop });
  if (departs > today && visitOn === null) issues.push({ code: "no-day-before" });
  if (visitOn !== null && visitOn > addDays(departs, -1 - daysClear)) {
    issues.push({ code: "close-to-departure", daysClear });
  }
  for (const [meter, { reckoning, amount, lifeAtStart }] of runs) {
    if (amount === null || lifeAtStart === null) issues.push({ code: "run-not-known", meter });
    else if (reckoning.stale || reckoning.stoppedOn !== null) {
      issues.push({ code: "figure-in-doubt", meter });
    }
  }
  return issues;
}
