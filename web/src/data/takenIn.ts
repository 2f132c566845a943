import type { MergeIssue, Section } from "@yonderfell/core";
import type { ChangeRefusal } from "./bookStorage.js";

/** Why a table was not brought in. */
export type TableRefusal =
  | ChangeRefusal
  | { readonly code: "cancelled" }
  | { readonly code: "rows-refused"; readonly count: number }
  /** Nobody has said yet whether what follows the work was done with it. */
  | { readonly code: "follow-ups-not-said" }
  /** The book was changed after the plan was made. */
  | { readonly code: "book-changed" };

/** How many records of a section a change writes. */
export interface WrittenRecords {
  readonly section: Section;
  readonly added: number;
  readonly changed: number;
}

/** Why a hand-over was not made. */
export type HandOverRefusal = MergeIssue | ChangeRefusal;
