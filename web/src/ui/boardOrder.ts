import { STATUSES, type BoardMachine, type Status, type TaskReckoning } from "@yonderfell/core";
import { orderingDay } from "../words/limitWords.js";

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
export function inOrderOfDate(tasks: readonly TaskReckoning[]): TaskReckoning[] {
  return [...tasks].sort(
    (one, other) =>
      orderingDay(one) - orderingDay(other) || pressure(one.status) - pressure(other.status),
  );
}

/** Tasks over all machines, the most pressing first and the soonest of those first. */
export function mostPressing(machines: readonly BoardMachine[]): BoardTask[] {
  return machines
    .flatMap((machine) => machine.tasks.map((task) => ({ machine, task })))
    .sort(
      (one, other) =>
        pressure(one.task.status) - pressure(other.task.status) ||
        orderingDay(one.task) - orderingDay(other.task),
    );
}

/** Machines with the one whose soonest work is most pressing first. */
export function machinesInOrder(machines: readonly BoardMachine[]): BoardMachine[] {
  const keyOf = (machine: BoardMachine): readonly [number, number] => {
    const first = mostPressing([machine])[0]?.task;
    return first === undefined
      ? [STATUSES.length, Number.MAX_SAFE_INTEGER]
      : [pressure(first.status), orderingDay(first)];
  };
  return machines
    .map((machine) => ({ machine, key: keyOf(machine) }))
    .sort((one, other) => one.key[0] - other.key[0] || one.key[1] - other.key[1])
    .map(({ machine }) => machine);
}
