import { tasksInOrder, type BoardMachine } from "@yonderfell/core";

/** Machines that stand together on the reach, with the tasks of them that are shown. */
export interface BoardGroup {
  readonly key: string;
  /** What stands over them; empty where all stand together. */
  readonly title: string;
  readonly machines: readonly BoardMachine[];
}

/** All machines together, as they stand. */
export function ungrouped(machines: readonly BoardMachine[]): BoardGroup[] {
  return [{ key: "", title: "", machines: machines.map(tasksInOrder) }];
}
