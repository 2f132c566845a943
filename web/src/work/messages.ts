import type { DayNumber } from "@yonderfell/core";
import type { BoardUpdate } from "./boardKeeper.js";

/** What wakes the board worker: which book, which day. The worker reads the rest from the database. */
export interface WakeMessage {
  readonly database: string;
  readonly today: DayNumber;
}

/** What the board worker answers. A large update comes in pieces, so that no single one holds the page up. */
export type BoardMessage =
  | { readonly code: "piece"; readonly update: BoardUpdate; readonly isLast: boolean }
  | { readonly code: "unchanged" }
  | { readonly code: "failed"; readonly reason: string };
