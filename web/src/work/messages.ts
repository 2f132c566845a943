import type { DayNumber } from "@yonderfell/core";
import type { BoardUpdate } from "./boardKeeper.js";
import type { VisitsUpdate } from "./visitKeeper.js";

/** What wakes a worker that keeps the board or the visits: which book, which day. It reads the rest from the database. */
export interface WakeMessage {
  readonly database: string;
  readonly today: DayNumber;
}

/** What the board worker answers. A large update comes in pieces, so that no single one holds the page up. */
export type BoardMessage =
  | { readonly code: "piece"; readonly update: BoardUpdate; readonly isLast: boolean }
  | { readonly code: "unchanged" }
  | { readonly code: "failed"; readonly reason: string };

/** What the worker that keeps the visits answers, in pieces where there is much. */
export type VisitsMessage =
  | { readonly code: "piece"; readonly update: VisitsUpdate; readonly isLast: boolean }
  | { readonly code: "unchanged" }
  | { readonly code: "failed"; readonly reason: string };
