import { STATUSES, type Status } from "../schedule/limitReckoning.js";
import type { TaskReckoning } from "../schedule/reckonTask.js";
import type { BoardMachine } from "./board.js";
import { orderingDay } from "./governing.js";

/** A task with the machine it is on. */
export interface BoardTask {
  readonly machine: BoardMachine;
  readonly task: TaskReckoning;
}

/** How pressing a state is: 0 the most. */
export function pressure(status: Status): number {
  return STATUSES.indexOf(status);
}

/** Tasks of one machine as the reach shows them: the soonest first, those without a date last. */
function inOrderOfDate(tasks: readonly TaskReckoning[]): TaskReckoning[] {
  return [...tasks].sort(
    (one, other) =>
      orderingDay(one) - orderingDay(other) || pressure(one.status) - pressure(other.status),
  );
}

const inOrder = new WeakMap<BoardMachine, BoardMachine>();

/** A machine with its tasks in the order the reach shows them; the same one each time. */
export function tasksInOrder(machine: BoardMachine): BoardMachine {
  const known = inOrder.get(machine);
  if (known !== undefined) return known;
  const ordered = { ...machine, tasks: inOrderOfDate(machine.tasks) };
  inOrder.set(machine, ordered);
  return ordered;
}

/** A task with what it is put in order by, worked out once. */
interface Keyed {
  readonly entry: BoardTask;
  readonly pressure: number;
  readonly day: number;
}

const keyed = (machine: BoardMachine, task: TaskReckoning): Keyed => ({
  entry: { machine, task },
  pressure: pressure(task.status),
  day: orderingDay(task),
});

const byPressure = (one: Keyed, other: Keyed): number =>
  one.pressure - other.pressure || one.day - other.day;

/** Tasks over all machines, the most pressing first and the soonest of those first. */
export function mostPressing(machines: readonly BoardMachine[]): BoardTask[] {
  const tasks: Keyed[] = [];
  for (const machine of machines) {
    for (const task of machine.tasks) tasks.push(keyed(machine, task));
  }
  return tasks.sort(byPressure).map(({ entry }) => entry);
}

/** The most pressing of the tasks over all machines that are wanted, null where none is: without putting all in order. */
export function firstOverAll(
  machines: readonly BoardMachine[],
  isWanted: (task: TaskReckoning) => boolean,
): BoardTask | null {
  let first: Keyed | null = null;
  for (const machine of machines) {
    for (const task of machine.tasks) {
      if (!isWanted(task)) continue;
      const candidate = keyed(machine, task);
      if (first === null || byPressure(candidate, first) < 0) first = candidate;
    }
  }
  return first?.entry ?? null;
}

/** The most pressing task of a machine, null where it has none. */
export function firstTask(machine: BoardMachine): TaskReckoning | null {
  return firstOverAll([machine], () => true)?.task ?? null;
}

/** Machines with the one whose soonest work is most pressing first; those without work last. */
export function machinesInOrder(machines: readonly BoardMachine[]): BoardMachine[] {
  const last = { pressure: STATUSES.length, day: Number.MAX_SAFE_INTEGER };
  const keyOf = (machine: BoardMachine): Pick<Keyed, "pressure" | "day"> => {
    const task = firstTask(machine);
    return task === null ? last : keyed(machine, task);
  };
  return machines
    .map((machine) => ({ machine, first: keyOf(machine) }))
    .sort(
      (one, other) => one.first.pressure - other.first.pressure || one.first.day - other.first.day,
    )
    .map(({ machine }) => machine);
}
