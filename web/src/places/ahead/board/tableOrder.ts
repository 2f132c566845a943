import {
  governingLimit,
  mostPressing,
  orderingDay,
  placeDue,
  pressure,
  type BoardColumn,
  type BoardMachine,
  type BoardTask,
} from "@yonderfell/core";
import type { TableOrder } from "../../../session/boardLook.js";

const byWords = new Intl.Collator(undefined, { numeric: true });

/** The share of its interval that a task has left, below 0 where it is over; what has no figure comes last. */
function shareLeft({ task }: BoardTask): number {
  const limit = governingLimit(task);
  if (limit === null || limit.remaining === null) return Infinity;
  const due = placeDue(limit);
  const span = due === null || limit.from === null ? 0 : due - limit.from;
  return span > 0 ? limit.remaining / span : Infinity;
}

const COMPARE: Readonly<Record<BoardColumn, (one: BoardTask, other: BoardTask) => number>> = {
  state: (one, other) => pressure(one.task.status) - pressure(other.task.status),
  machine: (one, other) => byWords.compare(one.machine.machine.tag, other.machine.machine.tag),
  task: (one, other) => byWords.compare(one.task.task.name, other.task.task.name),
  likely: (one, other) => orderingDay(one.task) - orderingDay(other.task),
  left: (one, other) => {
    const [a, b] = [shareLeft(one), shareLeft(other)];
    return a === b ? 0 : a - b;
  },
};

/** The tasks of a board as rows of the table, in order by a column; among equals the most pressing first. */
export function tableRows(
  machines: readonly BoardMachine[],
  { column, isDown }: TableOrder,
): BoardTask[] {
  const rows = mostPressing(machines);
  if (column === "state") return isDown ? rows.reverse() : rows;
  const compare = COMPARE[column];
  return rows.sort((one, other) => (isDown ? compare(other, one) : compare(one, other)));
}
