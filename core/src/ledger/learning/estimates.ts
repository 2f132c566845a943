import type { EntryId, TaskId } from "../../book/records/ids.js";
import type { Entry } from "../../book/records/entry.js";
import type { Task } from "../../book/records/task.js";
import type { CurrentRecord } from "../../book/slice/currentRecords.js";
import type { DayNumber } from "../../calendar/dayNumber.js";
import { median } from "../../sums/middle.js";
import { isAbove } from "../../sums/nearly.js";
import { taskNeeds, type NeedsSource, type TaskNeeds } from "../../stores/taskNeeds.js";
import { entryCost, minutesWorked, wholeCost } from "../entryCost.js";

/** What a task was said to take beside what it took, by the entries that did nothing else. */
export interface EstimateBeside {
  readonly task: Task;
  /** Minutes as the task has them; null where it has none. */
  readonly estimated: number | null;
  /** So many entries did it alone and say who worked how long. */
  readonly times: number;
  /** Of these, in minutes. */
  readonly median: number;
  readonly low: number;
  readonly high: number;
  /** What a turn is reckoned to cost by plate, prices and minutes; what is not recorded is left out of it. */
  readonly estimatedCost: number;
  readonly isWhole: boolean;
  /** The middle of what they cost, without what came under warranty; null where each of them lacks a price or came under it. */
  readonly cost: number | null;
  readonly done: readonly {
    readonly entry: EntryId;
    readonly day: DayNumber;
    readonly minutes: number;
  }[];
  readonly newest: DayNumber;
  /** In whole minutes: what is taken over where a person says so. */
  readonly minutes: number;
  /** At least three entries say so, and the middle is more than a fifth off the estimate, or there is none. */
  readonly speaks: boolean;
}

const LEAST_TIMES = 3;
const OFF = 0.2;

const only = ({ tasks }: Entry): TaskId | null => {
  const [first, ...others] = new Set(tasks ?? []);
  return first !== undefined && others.length === 0 ? first : null;
};

function besideOf(
  task: Task,
  done: readonly CurrentRecord<Entry>[],
  needs: TaskNeeds,
): EstimateBeside {
  const entries = done.map(({ record }) => record);
  const minutes = entries.map(minutesWorked);
  const middle = median(minutes);
  const estimated = task.minutes ?? null;
  const isOff = estimated === null || isAbove(Math.abs(middle / estimated - 1), OFF);
  const costs = entries
    .filter(({ warranty }) => warranty !== true)
    .map(entryCost)
    .filter(({ missing }) => missing === 0)
    .map(wholeCost);
  return {
    ...{ task, estimated, times: entries.length },
    ...{ median: middle, low: Math.min(...minutes), high: Math.max(...minutes) },
    cost: costs.length === 0 ? null : median(costs),
    estimatedCost: needs.parts + needs.fluids + needs.labour,
    isWhole: needs.missing.length === 0,
    done: done.map(({ record, day }) => ({
      entry: record.id,
      day,
      minutes: minutesWorked(record),
    })),
    newest: Math.max(...done.map(({ day }) => day)) as DayNumber,
    minutes: Math.max(1, Math.round(middle)),
    speaks: entries.length >= LEAST_TIMES && isOff,
  };
}

/**
 * Estimated against actual for the tasks of a machine: by the entries that did one task alone and say how long anybody
 * worked, since of several done together nobody knows which took how long. Tasks without such an entry are left out.
 */
export function estimatesBeside(
  tasks: readonly Task[],
  entries: readonly CurrentRecord<Entry>[],
  source: NeedsSource,
): EstimateBeside[] {
  const byTask = new Map<TaskId, CurrentRecord<Entry>[]>();
  for (const one of entries) {
    const task = only(one.record);
    if (task === null || one.record.assumed === true || minutesWorked(one.record) === 0) continue;
    const own = byTask.get(task);
    if (own === undefined) byTask.set(task, [one]);
    else own.push(one);
  }
  return tasks.flatMap((task) => {
    const own = byTask.get(task.id) ?? [];
    return own.length === 0 ? [] : [besideOf(task, own, taskNeeds(task, source))];
  });
}
