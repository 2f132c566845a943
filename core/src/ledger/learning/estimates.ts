import type { EntryId, TaskId } from "../../book/records/ids.js";
import type { Entry } from "../../book/records/entry.js";
import type { Task } from "../../book/records/task.js";
import type { CurrentRecord } from "../../book/slice/currentRecords.js";
import { median } from "../../sums/middle.js";
import { isAbove } from "../../sums/nearly.js";
import { entryCost, wholeCost } from "../entryCost.js";

/** What a task was said to take beside what it took, by the entries that did nothing else. */
export interface EstimateBeside {
  readonly task: TaskId;
  readonly name: string;
  /** Minutes as the task has them; null where it has none. */
  readonly estimated: number | null;
  /** So many entries did it alone and say who worked how long. */
  readonly times: number;
  /** Of these, in minutes. */
  readonly median: number;
  readonly low: number;
  readonly high: number;
  /** The middle of what they cost, without what came under warranty; null where each of them lacks a price or came under it. */
  readonly cost: number | null;
  readonly entries: readonly EntryId[];
  /** The middle is more than a fifth off the estimate, or there is none, and at least three entries say so. */
  readonly speaksFor: number | null;
}

const LEAST_TIMES = 3;
const OFF = 0.2;

const minutesOf = ({ work }: Entry): number =>
  (work ?? []).reduce((sum, { minutes }) => sum + minutes, 0);

const only = ({ tasks }: Entry): TaskId | null => {
  const [first, ...others] = new Set(tasks ?? []);
  return first !== undefined && others.length === 0 ? first : null;
};

function besideOf(task: Task, entries: readonly Entry[]): EstimateBeside {
  const minutes = entries.map(minutesOf);
  const middle = median(minutes);
  const estimated = task.minutes ?? null;
  const isOff = estimated === null || isAbove(Math.abs(middle / estimated - 1), OFF);
  const costs = entries
    .filter(({ warranty }) => warranty !== true)
    .map(entryCost)
    .filter(({ missing }) => missing === 0)
    .map(wholeCost);
  return {
    ...{ task: task.id, name: task.name, estimated, times: entries.length },
    ...{ median: middle, low: Math.min(...minutes), high: Math.max(...minutes) },
    cost: costs.length === 0 ? null : median(costs),
    entries: entries.map(({ id }) => id),
    speaksFor: entries.length >= LEAST_TIMES && isOff ? Math.round(middle) : null,
  };
}

/**
 * Estimated against actual for the tasks of a machine: by the entries that did one task alone and say how long anybody
 * worked, since of several done together nobody knows which took how long. Tasks without such an entry are left out.
 */
export function estimatesBeside(
  tasks: readonly Task[],
  entries: readonly CurrentRecord<Entry>[],
): EstimateBeside[] {
  const byTask = new Map<TaskId, Entry[]>();
  for (const { record } of entries) {
    const task = only(record);
    if (task === null || record.assumed === true || minutesOf(record) === 0) continue;
    byTask.set(task, [...(byTask.get(task) ?? []), record]);
  }
  return tasks.flatMap((task) => {
    const own = byTask.get(task.id) ?? [];
    return own.length === 0 ? [] : [besideOf(task, own)];
  });
}
