import type { BoardMachine, RecordOf, SharedSection } from "@yonderfell/core";

/** The sections that have a row for each record; those of machines are kept in pages. */
export type RowSection = SharedSection | "machines";

/** A machine or a shared record as stored: itself, and what it is looked up by. */
export interface Row<S extends RowSection = RowSection> {
  readonly id: string;
  /** Its place in the section, so that a file keeps its order. */
  readonly place: number;
  /** The shared records it refers to, as `section id`; absent where there are none. */
  readonly refers?: readonly string[];
  readonly record: RecordOf[S];
}

/** A fact about the book that is not a record: the rest of the file, counters, the last export. */
export interface Fact {
  readonly key: string;
  readonly value: unknown;
}

/** A machine of the board as it was last reckoned. */
export interface BoardRow {
  readonly machine: string;
  readonly place: number;
  readonly board: BoardMachine;
}
