import type { DayNumber } from "@yonderfell/core";
import type { BoardUpdate } from "./boardKeeper.js";

/** What wakes the board worker: which book, which day. The worker reads the rest from the database. */
export interface WakeMessage {
  readonly database: string;
  readonly today: DayNumber;
}

/** What the board worker answers. */
export type BoardMessage =
  | { readonly code: "updated"; readonly update: BoardUpdate }
  | { readonly code: "unchanged" }
  | { readonly code: "failed"; readonly reason: string };
