import type { RecordChange } from "../book/change/change.js";
import type { CommandResult } from "../book/change/command.js";
import { failure, success } from "../book/change/result.js";
import type { Task } from "../book/records/task.js";

/** Tasks of one name, on one machine or several, of which nobody has said how long they take. */
export interface UntimedTasks {
  /** By which minutes are said for them. */
  readonly key: string;
  readonly name: string;
  readonly tasks: readonly Task[];
}

const keyOf = ({ name }: Pick<Task, "name">): string => name.trim().toLowerCase();

/** The tasks without minutes, those of one name together, the most machines first; what is for others takes no time of one's own. */
export function untimedTasks(tasks: readonly Task[]): UntimedTasks[] {
  const byName = new Map<string, Task[]>();
  for (const task of tasks) {
    if ((task.minutes ?? null) !== null || task.outside) continue;
    byName.set(keyOf(task), [...(byName.get(keyOf(task)) ?? []), task]);
  }
  return [...byName]
    .map(([key, own]): UntimedTasks => ({ key, name: own[0]?.name ?? "", tasks: own }))
    .sort(
      (one, other) =>
        other.tasks.length - one.tasks.length || one.name.localeCompare(other.name, "en"),
    );
}

/** What stands in the way: nothing is said of any task without minutes. */
export interface TimeIssue {
  readonly code: "nothing-to-time";
}

/**
 * The one change that says how long untimed tasks take, in minutes, by the keys of their groups. All others stay as
 * they are; minutes must be above 0, others are left out. Refused where nothing is left.
 */
export function timeTasks(
  tasks: readonly Task[],
  minutesByKey: ReadonlyMap<string, number>,
): CommandResult<TimeIssue> {
  const untimed = untimedTasks(tasks).flatMap((group) => group.tasks);
  const records = untimed.flatMap((before): RecordChange[] => {
    const minutes = minutesByKey.get(keyOf(before)) ?? 0;
    if (!(minutes > 0) || !Number.isFinite(minutes)) return [];
    return [{ section: "tasks", id: before.id, before, after: { ...before, minutes } }];
  });
  if (records.length === 0) return failure([{ code: "nothing-to-time" }]);
  return success({ command: "time-tasks", records });
}
