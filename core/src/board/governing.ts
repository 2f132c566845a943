import { daysBetween, type DayNumber } from "../calendar/dayNumber.js";
import type { LimitReckoning, Status } from "../schedule/limitReckoning.js";
import type { TaskReckoning } from "../schedule/reckonTask.js";

/** The limit that governs a task (due rules §7), or null where none does. */
export function governingLimit({
  governs,
  limits,
}: Pick<TaskReckoning, "governs" | "limits">): LimitReckoning | null {
  return governs === null ? null : (limits[governs] ?? null);
}

/** The day a task is most likely due, by the limit that governs it; null where it has none. */
export function likelyDay(task: Pick<TaskReckoning, "governs" | "limits">): DayNumber | null {
  return governingLimit(task)?.forecast?.likely ?? null;
}

/** The day a task is put in order by: that on which it is expected to fall due, those without one last. */
export function orderingDay(task: Pick<TaskReckoning, "governs" | "limits">): number {
  return likelyDay(task) ?? Number.MAX_SAFE_INTEGER;
}

/** How many days a task has stood past its date; 0 where it has not, or has none. */
export function daysOver(task: TaskReckoning, today: DayNumber): number {
  const likely = likelyDay(task);
  return likely === null ? 0 : Math.max(0, daysBetween(likely, today));
}

/** Whether a state asks for the work now. */
export function presses(status: Status): boolean {
  return status === "overdue" || status === "due";
}

/** Whether what governs a task is required by law or warranty. */
export function isRequired(task: Pick<TaskReckoning, "governs" | "limits">): boolean {
  return governingLimit(task)?.limit.hard === true;
}

/** Whether a machine is not to be used until a task is done: it is past a limit that law or warranty sets (due rules §4: no grace). */
export function forbidsUse(task: TaskReckoning): boolean {
  return task.status === "overdue" && isRequired(task);
}
