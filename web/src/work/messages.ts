import type { DayNumber } from "@yonderfell/core";

/** What wakes a worker that keeps the board or the visits: which book, which day. It reads the rest from the database. */
export interface WakeMessage {
  readonly database: string;
  readonly today: DayNumber;
}

/** What such a worker answers. A large update comes in pieces, so that no single one holds the page up. */
export type KeeperMessage<Update> =
  | { readonly code: "piece"; readonly update: Update; readonly isLast: boolean }
  | { readonly code: "unchanged" }
  | { readonly code: "failed"; readonly reason: string };
