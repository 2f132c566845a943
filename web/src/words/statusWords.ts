import {
  governingLimit,
  type BoardMachine,
  type DayNumber,
  type Status,
  type TaskReckoning,
} from "@yonderfell/core";
import { dateRange, fullDate, sentence, shortDate } from "./format.js";
import { leftWords } from "./limitWords.js";

/** What stands beside a strip: the date in strong letters and what is left. */
export interface StripWords {
  readonly strong: string;
  readonly rest: string;
}

/** The words beside a strip. */
export function stripWords(
  task: TaskReckoning,
  machine: BoardMachine,
  today: DayNumber,
): StripWords {
  if (task.status === "finished") return { strong: "Finished", rest: "nothing to come" };
  const limit = governingLimit(task);
  if (limit === null) return undatedWords(task);
  const rest = leftWords(limit, machine);
  const likely = limit.forecast?.likely ?? null;
  if (likely === null) return { strong: rest, rest: "no date" };
  if (task.status === "overdue")
    return { strong: `Overdue since ${shortDate(likely, today)}`, rest };
  if (likely < today) return { strong: `Due since ${shortDate(likely, today)}`, rest };
  return { strong: likely === today ? "Today" : shortDate(likely, today), rest };
}

/** The words for a task without a date. */
function undatedWords({ task, status, limits, regime }: TaskReckoning): StripWords {
  if (status === "clear" && task.eachUse) {
    return { strong: sentence(`${task.eachUse} each use`), rest: "no date" };
  }
  if (limits.length === 0 && regime !== null) {
    return { strong: "For life", rest: `no date by ${regime}` };
  }
  return { strong: "Unknown", rest: "no record to count from" };
}

/** What a strip's drawing shows, in words for those who hear it: `doubtful, 12 Dec 2026, between 6–20 Dec, 709 km left`. */
export function stripSentence(
  task: TaskReckoning,
  machine: BoardMachine,
  today: DayNumber,
): string {
  const limit = governingLimit(task);
  const forecast = limit?.forecast ?? null;
  const isRange = forecast !== null && forecast.early !== forecast.late;
  const parts = [
    task.doubtful ? "doubtful" : "",
    forecast === null ? "no date" : fullDate(forecast.likely),
    isRange ? `between ${dateRange(forecast, today)}` : "",
    limit === null ? "" : leftWords(limit, machine),
  ];
  return parts.filter((part) => part !== "").join(", ");
}

/** The word for each state. */
export const STATUS_WORD: Readonly<Record<Status, string>> = {
  overdue: "overdue",
  due: "due",
  soon: "soon",
  clear: "clear",
  unknown: "unknown",
  finished: "finished",
};
