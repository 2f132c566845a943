import {
  daysOver,
  firstOverAll,
  likelyDay,
  type BoardMachine,
  type BoardTask,
  type DayNumber,
  type Status,
} from "@yonderfell/core";
import { inWords, sentence, shortDate, spanOfDays } from "../../words/format.js";

/** What stands over the board: how much presses, where to begin, what comes after. */
export interface Summary {
  readonly counts: string;
  readonly first: BoardTask | null;
  /** Why that one first: `34 days over`. */
  readonly reason: string;
  readonly next: string;
}

/** The board in a few words. */
export function summarise(machines: readonly BoardMachine[], today: DayNumber): Summary {
  const counts = new Map<Status, number>();
  for (const { tasks } of machines) {
    for (const { status } of tasks) counts.set(status, (counts.get(status) ?? 0) + 1);
  }
  const overdue = counts.get("overdue") ?? 0;
  const due = counts.get("due") ?? 0;
  const first = overdue + due > 0 ? firstOverAll(machines, () => true) : null;
  const isNext = (status: Status): boolean => status === "soon" || status === "clear";
  const next = firstOverAll(machines, ({ status }) => isNext(status));
  return {
    counts: countWords(overdue, due),
    first,
    reason: first === null ? "" : reasonWords(first, today),
    next: next === null ? "" : nextWords(next, today),
  };
}

function countWords(overdue: number, due: number): string {
  const is = (count: number): string => (count === 1 ? "is" : "are");
  if (overdue === 0 && due === 0) return "Nothing is due.";
  if (due === 0) return `${sentence(inWords(overdue))} ${is(overdue)} overdue.`;
  if (overdue === 0) return `${sentence(inWords(due))} ${is(due)} due.`;
  return `${sentence(inWords(overdue))} ${is(overdue)} overdue, ${inWords(due)} ${is(due)} due.`;
}

function reasonWords({ task }: BoardTask, today: DayNumber): string {
  const over = daysOver(task, today);
  if (over > 0) return `${spanOfDays(over)} over`;
  const likely = likelyDay(task);
  if (likely === null) return "due";
  return likely === today ? "due today" : `due ${shortDate(likely, today)}`;
}

function nextWords({ machine, task }: BoardTask, today: DayNumber): string {
  const likely = likelyDay(task);
  const when = likely === null ? "" : `, about ${shortDate(likely, today)}`;
  return `After these: ${task.task.name.toLowerCase()} on ${machine.machine.tag}${when}.`;
}
