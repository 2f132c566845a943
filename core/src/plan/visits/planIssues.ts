import type { TaskId } from "../../book/records/ids.js";
import type { Machine } from "../../book/records/machine.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { blockedOn, spareDays, type Blocked, type WorkDays } from "./spareDays.js";
import type { FittedTurn } from "./fitTurns.js";
import type { Turn } from "./turn.js";

/** What a plan cannot keep to, with what would free it. */
export type PlanIssue =
  /** A hard end is past: the first day it can be made good, null where there is none. */
  | {
      readonly code: "hard-end-passed";
      readonly task: TaskId;
      readonly end: DayNumber;
      readonly first: DayNumber | null;
    }
  /** The machine can be worked on no day up to a hard end: each of them, with why not. */
  | {
      readonly code: "no-day-before-hard-end";
      readonly task: TaskId;
      readonly end: DayNumber;
      readonly first: DayNumber | null;
      readonly blocked: readonly BlockedDay[];
    }
  /** It was left out of the visits on the only days up to a hard end: the last of these. */
  | {
      readonly code: "left-out-before-hard-end";
      readonly task: TaskId;
      readonly end: DayNumber;
      readonly day: DayNumber;
      readonly first: DayNumber | null;
    }
  /** It may be at a hard end before doing it counts on its fixed grid: the first day on which it does. */
  | {
      readonly code: "hard-end-before-it-counts";
      readonly task: TaskId;
      readonly end: DayNumber;
      readonly counts: DayNumber;
    }
  /** It can be worked on no day at all within the time looked at. */
  | { readonly code: "no-day-at-all"; readonly tasks: readonly TaskId[]; readonly blocked: Blocked }
  /** A visit of the book comes after a hard end. */
  | {
      readonly code: "visit-after-hard-end";
      readonly task: TaskId;
      readonly end: DayNumber;
      readonly day: DayNumber;
    };

/** A day on which no work is done on a machine, with why. */
interface BlockedDay {
  readonly day: DayNumber;
  readonly blocked: Blocked;
}

/** So many blocked days are told one by one. */
const MOST_BLOCKED = 14;

/** What the issues of a plan are found from. */
export interface PlannedTurns {
  readonly machine: Machine;
  /** The turns that no visit of the book covers, and the days that those have found that found one. */
  readonly fitted: readonly FittedTurn[];
  readonly placed: readonly { readonly turn: Turn; readonly day: DayNumber }[];
  /** The visits of the book. */
  readonly held: readonly { readonly day: DayNumber; readonly turns: readonly Turn[] }[];
  /** The days it can be worked on, up to and with `until`. */
  readonly spare: readonly DayNumber[];
  readonly planning: WorkDays;
  readonly today: DayNumber;
  readonly until: DayNumber;
}

/** What the plan of a machine cannot keep to: hard limits first, then turns without any day, then visits of the book that come too late. */
export function planIssuesOf(planned: PlannedTurns): PlanIssue[] {
  const { fitted, held, placed } = planned;
  const days = new Map(placed.map(({ turn, day }) => [turn, day]));
  const hard = fitted.flatMap((one) => hardIssue(one, days.get(one.turn) ?? null, planned));
  const late = held.flatMap(({ day, turns }) =>
    turns.flatMap(({ task, hardEnd: end }): PlanIssue[] =>
      end !== null && end < day ? [{ code: "visit-after-hard-end", task, end, day }] : [],
    ),
  );
  const told = new Set(hard.map(({ task }) => task));
  return [...hard, ...withoutDay(planned, told), ...late];
}

type HardIssue = Exclude<PlanIssue, { code: "no-day-at-all" | "visit-after-hard-end" }>;

/** Why a turn is not done by its hard end, where it is not. */
function hardIssue(
  { turn, leftOut }: FittedTurn,
  first: DayNumber | null,
  { machine, planning, today, until }: PlannedTurns,
): HardIssue[] {
  const { task, hardEnd: end, earliest, interval } = turn;
  if (end === null || (first !== null && first <= end)) return [];
  if (end < today) return [{ code: "hard-end-passed", task, end, first }];
  // There is a day yet, past the time looked at.
  const isLater = first === null && spareDays(machine, planning, addDays(until, 1), end).length > 0;
  if (isLater) return [];
  if (interval === null && earliest > end) {
    return [{ code: "hard-end-before-it-counts", task, end, counts: earliest }];
  }
  const day = leftOut.filter((one) => one >= today && one <= end).at(-1);
  if (day !== undefined) return [{ code: "left-out-before-hard-end", task, end, day, first }];
  const from = interval === null ? (Math.max(today, earliest) as DayNumber) : today;
  const blocked = blockedDays(machine, planning, from, end);
  return [{ code: "no-day-before-hard-end", task, end, first, blocked }];
}

/** The turns that found no day because the machine can be worked on none, but for tasks that are told already. */
function withoutDay(
  { machine, fitted, placed, spare, planning, today }: PlannedTurns,
  told: ReadonlySet<TaskId>,
): PlanIssue[] {
  const blocked = blockedOn(machine, planning, today);
  if (spare.length > 0 || blocked === null) return [];
  const found = new Set(placed.map(({ turn }) => turn));
  const lost = fitted.filter(({ turn }) => !found.has(turn) && !told.has(turn.task));
  const tasks = [...new Set(lost.map(({ turn }) => turn.task))];
  return tasks.length === 0 ? [] : [{ code: "no-day-at-all", tasks, blocked }];
}

/** The day that frees what a plan cannot keep to, if the machine is spared on it; null where another day need not be spared. */
export function dayToSpare(issue: PlanIssue, today: DayNumber): DayNumber | null {
  switch (issue.code) {
    case "no-day-before-hard-end": {
      const needed = issue.blocked.find(({ blocked }) => blocked.code === "needed");
      return (needed ?? issue.blocked[0])?.day ?? null;
    }
    case "no-day-at-all":
      return today;
    case "hard-end-passed":
      return issue.first === null ? today : null;
    case "visit-after-hard-end":
    case "left-out-before-hard-end":
    case "hard-end-before-it-counts":
      return null;
  }
}

/** The last days up to `until` on which no work is done, with why. */
function blockedDays(
  machine: Machine,
  work: WorkDays,
  from: DayNumber,
  until: DayNumber,
): BlockedDay[] {
  const days: BlockedDay[] = [];
  for (let day = until; day >= from && days.length < MOST_BLOCKED; day = addDays(day, -1)) {
    const blocked = blockedOn(machine, work, day);
    if (blocked !== null) days.unshift({ day, blocked });
  }
  return days;
}
