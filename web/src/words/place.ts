import type { BoardMachine, DayNumber } from "@yonderfell/core";

/** Where and when a reason is given. */
export interface Place {
  readonly machine: BoardMachine;
  readonly today: DayNumber;
}
