import type { TaskId } from "../../book/ids.js";
import type { Machine } from "../../book/machine.js";
import type { Planning } from "../../book/settings.js";
import { addDays, type DayNumber } from "../../calendar/dayNumber.js";
import { blockedOn, type Blocked } from "./spareDays.js";
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
export interface BlockedDay {
  readonly day: DayNumber;
  readonly blocked: Blocked;
}

/** So many blocked days are told one by one. */
const MOST_BLOCKED = 14;

/** What the issues of a plan are found from. */
export interface PlannedTurns {
  readonly machine: Machine;
  /** The turns that no visit of the book covers, and those of them that have found a day. */
  readonly rest: readonly Turn[];
  readonly placed: readonly { readonly turn: Turn }[];
  /** The visits of the book. */
  readonly held: readonly { readonly day: DayNumber; readonly turns: readonly Turn[] }[];
  /** The days it can be worked on. */
  readonly spare: readonly DayNumber[];
  readonly planning: Pick<Planning, "workdays">;
  readonly today: DayNumber;
}

/** What the plan of a machine cannot keep to: hard limits first, then turns without any day, then visits of the book that come too late. */
export function planIssuesOf(planned: PlannedTurns): PlanIssue[] {
  const { rest, held } = planned;
  const hard = rest.flatMap((turn) => hardIssue(turn, planned));
  const late = held.flatMap(({ day, turns }) =>
    turns.flatMap(({ task, hardEnd: end }): PlanIssue[] =>
      end !== null && end < day ? [{ code: "visit-after-hard-end", task, end, day }] : [],
    ),
  );
  const told = new Set(hard.map(({ task }) => task));
  return [...hard, ...withoutDay(planned, told), ...late];
}

type HardIssue = Extract<PlanIssue, { code: "hard-end-passed" | "no-day-before-hard-end" }>;

function hardIssue(
  { task, hardEnd: end, earliest }: Turn,
  { machine, held, spare, planning, today }: PlannedTurns,
): HardIssue[] {
  if (end === null) return [];
  if (end < today) return [{ code: "hard-end-passed", task, end, first: spare[0] ?? null }];
  const from = Math.max(today, earliest) as DayNumber;
  const isWithin = (day: DayNumber): boolean => day >= from && day <= end;
  if (spare.some(isWithin) || held.some(({ day }) => isWithin(day))) return [];
  const blocked = blockedDays(machine, planning.workdays, from, end);
  const first = spare.find((day) => day > end) ?? null;
  return [{ code: "no-day-before-hard-end", task, end, first, blocked }];
}

/** The turns that found no day because the machine can be worked on none, but for tasks that are told already. */
function withoutDay(
  { machine, rest, placed, spare, planning, today }: PlannedTurns,
  told: ReadonlySet<TaskId>,
): PlanIssue[] {
  const blocked = blockedOn(machine, planning.workdays, today);
  if (spare.length > 0 || blocked === null) return [];
  const found = new Set(placed.map(({ turn }) => turn));
  const lost = rest.filter((turn) => !found.has(turn) && !told.has(turn.task));
  const tasks = [...new Set(lost.map(({ task }) => task))];
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
      return null;
  }
}

/** The last days up to `until` on which no work is done, with why. */
function blockedDays(
  machine: Machine,
  workdays: readonly number[],
  from: DayNumber,
  until: DayNumber,
): BlockedDay[] {
  const days: BlockedDay[] = [];
  for (let day = until; day >= from && days.length < MOST_BLOCKED; day = addDays(day, -1)) {
    const blocked = blockedOn(machine, workdays, day);
    if (blocked !== null) days.unshift({ day, blocked });
  }
  return days;
}
