import type { TaskId } from "../../book/records/ids.js";
import type { Planning, Settings } from "../../book/records/settings.js";
import type { Task } from "../../book/records/task.js";
import { addDays, daysBetween, type DayNumber } from "../../calendar/dayNumber.js";
import { isBelow } from "../../meter/life.js";
import { lifeOn } from "../../meter/lifeLine.js";
import type { Completion } from "../../schedule/completion.js";
import { limitsDue } from "../../schedule/limitsDue.js";
import { calledDue, callInEffect } from "../../schedule/setAside.js";
import type { MachineState } from "../../schedule/machineState.js";
import { taskNeeds, type NeedsSource } from "../../stores/taskNeeds.js";
import { completionOn } from "../occurrences.js";
import { costOfTurn } from "../visits/turn.js";
import { daysOfInterval, valueOfTurn } from "../visits/turnsOf.js";
import { reckonTask } from "../../schedule/reckonTask.js";
import {
  intervalOnJourney,
  JOURNEY_TIMES,
  limitOnJourney,
  timesOnJourney,
  type JourneyContext,
  type LimitOnJourney,
} from "./limitOnJourney.js";

/** What is best done about a task that a journey brings up. */
export type JourneyAdvice =
  /** When it falls due, which is before the visit whatever the journey. */
  | "anyway"
  /** Before departure: the law or a warranty does not let it wait. */
  | "must"
  /** Before departure: it falls due before, or waiting is dearer or past its grace. */
  | "before"
  /** After return: doing it early throws away more than waiting costs. */
  | "wait"
  /** On the way: it comes round too often, or doing it before does not count. */
  | "on-the-way";

/** A task that falls due before or during a journey, or may. */
export interface JourneyTask {
  readonly task: TaskId;
  readonly when: "before" | "during" | "perhaps";
  readonly day: DayNumber;
  /** The limit that asks for it. */
  readonly limit: LimitOnJourney;
  /** How often it falls due on the way though it is done on the visit before; 0 where that is enough. */
  readonly times: number;
  /** Doing it on the visit before. */
  readonly early: {
    /** How much of its interval is thrown away, in the unit of the limit (days for a calendar one) and as a share of it. */
    readonly unused: number;
    readonly share: number;
    readonly cost: number;
  };
  /** What it costs to leave it until the day after return. */
  readonly waiting: number;
  readonly advice: JourneyAdvice;
  readonly isOutside: boolean;
  /** It becomes due by the work on the visit before, such as a check after so much run. */
  readonly isAfterVisit: boolean;
}

/** What the tasks of a journey are judged by. */
export interface JourneySource {
  readonly settings: Settings;
  readonly planning: Planning;
  readonly needs: NeedsSource;
  /** What is kept above the cold limit of a winter grade of oil, in °C; the default where absent. */
  readonly coldMargin?: number | undefined;
}

/**
 * The tasks of a machine that fall due before or during a journey, or may, the most pressing first; what
 * each costs done on the visit before (`visitOn`) and left until after return, and which is better.
 */
export function journeyTasks(
  state: MachineState,
  context: JourneyContext,
  visitOn: DayNumber,
  source: JourneySource,
): JourneyTask[] {
  const tasks = [...state.tasks.values()];
  const now = new Map<TaskId, LimitOnJourney>();
  for (const task of tasks) {
    const limit = firstOnJourney(task, state, context, source.settings);
    if (limit !== null && limit.when !== "after") now.set(task.id, limit);
  }
  const isDone = (task: Task): boolean => {
    const when = now.get(task.id)?.when;
    return when === "before" || when === "during";
  };
  const done = withDone(state, tasks.filter(isDone), visitOn);
  const judge = { state, context, visitOn, source };
  const found = tasks.flatMap((task): JourneyTask[] => {
    const then = firstOnJourney(task, done, context, source.settings);
    const again = then?.when === "before" || then?.when === "during" ? then : null;
    const first = now.get(task.id);
    if (first !== undefined) return [judged(task, first, again, judge)];
    return again === null ? [] : [{ ...judged(task, again, again, judge), isAfterVisit: true }];
  });
  return found.sort(
    (one, other) => rank(one) - rank(other) || one.day - other.day || other.waiting - one.waiting,
  );
}

interface Judge {
  readonly state: MachineState;
  readonly context: JourneyContext;
  readonly visitOn: DayNumber;
  readonly source: JourneySource;
}

/** A task judged by the limit that brings it up, and the one that brings it up `again` though it is done on the visit. */
function judged(
  task: Task,
  limit: LimitOnJourney,
  again: LimitOnJourney | null,
  { state, context, visitOn, source }: Judge,
): JourneyTask {
  const value = valueOfTurn(taskNeeds(task, source.needs), source.planning);
  const times = again === null ? 0 : timesOnJourney(again, task, context.days);
  const early = earlyOf(limit, task, state, visitOn, value);
  const waiting = waitingOf(limit, context, source.planning);
  const { limits } = reckonTask(task, state, source.settings);
  const interval = daysOfInterval(task, limits, state);
  const isRoutine = interval !== null && interval < source.planning.leastDays;
  // On a grid it may be too early to count: then it is due all the same.
  const counts = again === null || placeOf(again) !== placeOf(limit);
  const isOnTheWay = !counts || (isRoutine && times > 0);
  return {
    ...{ task: task.id, when: limit.when as JourneyTask["when"], day: limit.day, limit, times },
    ...{ early, waiting, isAfterVisit: false, isOutside: (task.outside ?? null) !== null },
    advice: isOnTheWay ? "on-the-way" : adviceOf(limit, visitOn, early.cost, waiting),
  };
}

const rank = ({ when }: JourneyTask): number => JOURNEY_TIMES.indexOf(when);

function placeOf(limit: LimitOnJourney): number {
  switch (limit.kind) {
    case "meter":
      return limit.dueAt;
    case "calendar":
      return limit.dueOn;
  }
}

/** The limit that brings a task up: of several whichever comes first, or the last where all must be reached. */
function firstOnJourney(
  task: Task,
  state: MachineState,
  context: JourneyContext,
  settings: Settings,
): LimitOnJourney | null {
  const call = callInEffect(task, state);
  const wanted = call === null ? [] : [calledDue(call, settings)];
  const own = limitsDue(task, state).filter(({ due }) => due.state !== "finished");
  const held = own.flatMap((due) => limitOnJourney(due, task, state, context) ?? []);
  const isLast = task.combine === "last";
  if (isLast && held.length < own.length) held.length = 0;
  const sorted = held.sort((one, other) => (isLast ? pressing(other, one) : pressing(one, other)));
  const called = wanted.flatMap((due) => limitOnJourney(due, task, state, context) ?? []);
  const all = [...sorted.slice(0, 1), ...called].sort(pressing);
  return all[0] ?? null;
}

function pressing(one: LimitOnJourney, other: LimitOnJourney): number {
  const times = JOURNEY_TIMES.indexOf(one.when) - JOURNEY_TIMES.indexOf(other.when);
  return times || one.day - other.day || other.overAtReturn - one.overAtReturn;
}

/** The machine once some tasks have been done on a day. */
function withDone(state: MachineState, tasks: readonly Task[], day: DayNumber): MachineState {
  const completions = new Map<TaskId, readonly Completion[]>(state.completions);
  tasks.forEach((task, at) => {
    const order = Number.MAX_SAFE_INTEGER / 2 + at;
    completions.set(task.id, [...(completions.get(task.id) ?? []), completionOn(task, day, order)]);
  });
  return { ...state, completions };
}

function earlyOf(
  limit: LimitOnJourney,
  task: Task,
  state: MachineState,
  visitOn: DayNumber,
  value: number,
): JourneyTask["early"] {
  const unused = Math.max(0, unusedOn(limit, state, visitOn));
  const interval = intervalOnJourney(limit, task);
  // On a fixed grid nothing is thrown away: the next point stays where it is.
  const isGrid = task.anchor === "grid" && !task.nth && !task.follows;
  const share = isGrid || interval === null ? 0 : Math.min(1, unused / interval);
  return { unused, share, cost: share * value };
}

function unusedOn(limit: LimitOnJourney, { today }: MachineState, day: DayNumber): number {
  switch (limit.kind) {
    case "calendar":
      return daysBetween(day, limit.dueOn);
    case "meter": {
      const { kept, rate, running, life } = limit.run.reckoning;
      const then = day <= today ? life : lifeOn(kept, rate.perDay, day, running);
      return then === null ? 0 : limit.dueAt - then;
    }
  }
}

function waitingOf(limit: LimitOnJourney, { days }: JourneyContext, planning: Planning): number {
  if (limit.when === "perhaps") return 0;
  const turn = { due: limit.day, graceEnd: limit.graceEnd ?? limit.day, interval: null, value: 0 };
  return costOfTurn(turn, addDays(days.returns, 1), planning).late;
}

function adviceOf(
  limit: LimitOnJourney,
  visitOn: DayNumber,
  early: number,
  waiting: number,
): JourneyAdvice {
  if (limit.when === "before" && limit.day < visitOn) return "anyway";
  if (limit.when === "perhaps") return limit.due.limit.hard ? "must" : "wait";
  if (limit.due.limit.hard) return "must";
  if (limit.when === "before") return "before";
  const isPastGrace = isBelow(limit.due.limit.grace, limit.overAtReturn);
  return isPastGrace || early <= waiting ? "before" : "wait";
}
