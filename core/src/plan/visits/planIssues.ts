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

/** What the plan of a machine cannot keep to: `turns` are those not in a visit of the book. */
export function planIssuesOf(
  machine: Machine,
  turns: readonly Turn[],
  held: readonly { readonly day: DayNumber; readonly turns: readonly Turn[] }[],
  placed: number,
  spare: readonly DayNumber[],
  { workdays }: Planning,
  today: DayNumber,
): PlanIssue[] {
  const first = spare[0] ?? null;
  const issues = turns.flatMap((turn): PlanIssue[] => {
    const { task, hardEnd: end } = turn;
    if (end === null) return [];
    if (end < today) return [{ code: "hard-end-passed", task, end, first }];
    const from = Math.max(today, turn.earliest) as DayNumber;
    const isFree = spare.some((day) => day >= from && day <= end);
    if (isFree || held.some(({ day }) => day >= from && day <= end)) return [];
    const blocked = blockedDays(machine, workdays, from, end);
    const next = spare.find((day) => day > end) ?? null;
    return [{ code: "no-day-before-hard-end", task, end, first: next, blocked }];
  });
  const late = held.flatMap(({ day, turns: own }) =>
    own.flatMap(({ task, hardEnd }): PlanIssue[] =>
      hardEnd !== null && hardEnd < day
        ? [{ code: "visit-after-hard-end", task, end: hardEnd, day }]
        : [],
    ),
  );
  const lost = placed < turns.length && first === null ? turns : [];
  const why = blockedOn(machine, workdays, today);
  const told = new Set(issues.map((issue) => ("task" in issue ? issue.task : null)));
  const tasks = [...new Set(lost.map(({ task }) => task))].filter((task) => !told.has(task));
  const none: PlanIssue[] =
    tasks.length > 0 && why !== null ? [{ code: "no-day-at-all", tasks, blocked: why }] : [];
  return [...issues, ...none, ...late];
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
