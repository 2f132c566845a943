import {
  governingLimit,
  likelyDay,
  type BoardMachine,
  type DayNumber,
  type Status,
} from "@yonderfell/core";
import { dateRange, shortDate } from "./format.js";

import { STATUS_WORD } from "./statusWords.js";

/** A task whose date or state a change moves. */
export interface Move {
  readonly task: string;
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly status: Status;
}

/** When a task of a machine is due, in words: `soon, 12 Dec`. */
export function dueWords(machine: BoardMachine, task: string, today: DayNumber): string {
  const found = machine.tasks.find((candidate) => candidate.task.id === task);
  if (found === undefined) return "";
  const forecast = governingLimit(found)?.forecast ?? null;
  if (forecast === null) return STATUS_WORD[found.status];
  return `${STATUS_WORD[found.status]}, ${shortDate(forecast.likely, today)}`;
}

/** When a task of a machine is due, with its range: `soon, 12 Dec (6–20 Dec)`. */
export function dueWordsWithRange(machine: BoardMachine, task: string, today: DayNumber): string {
  const words = dueWords(machine, task, today);
  const found = machine.tasks.find((candidate) => candidate.task.id === task);
  const forecast = found === undefined ? null : (governingLimit(found)?.forecast ?? null);
  const isRange = forecast !== null && forecast.early !== forecast.late;
  return isRange ? `${words} (${dateRange(forecast, today)})` : words;
}

/** The tasks whose likely date or state differs between two boards of a machine. */
export function movesBetween(before: BoardMachine, after: BoardMachine, today: DayNumber): Move[] {
  return after.tasks.flatMap((task) => {
    const { id, name } = task.task;
    const earlier = before.tasks.find((candidate) => candidate.task.id === id);
    if (earlier === undefined) return [];
    const sameState = earlier.status === task.status;
    const sameDay = likelyDay(earlier) === likelyDay(task);
    if (sameState && sameDay) return [];
    const from = dueWords(before, id, today);
    const to = dueWordsWithRange(after, id, today);
    return [{ task: id, name, from, to, status: task.status }];
  });
}
