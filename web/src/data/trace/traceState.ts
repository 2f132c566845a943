/** What became of the second trace of a book. */
export type TraceState =
  /** It holds all that the database does, and is on the disk. */
  | {
      readonly code: "kept";
      /** So many changes were in the trace alone, and are in the database again. */
      readonly putBack: number;
    }
  /** This browser has no private file system that can be written. */
  | { readonly code: "none" }
  /** The database has no book any more. */
  | { readonly code: "gone" }
  /** It could not be written; what the browser said. */
  | { readonly code: "failed"; readonly name: string; readonly message: string };

/** What room there is. */
export interface Room {
  /** Whether a small trial could not be written. */
  readonly isFull: boolean;
  /** How many bytes the browser still gives this site; null where it does not say. */
  readonly left: number | null;
}

/** What a browser was found to permit. */
export interface Permitted {
  /** Why nothing can be stored; null where what was written could be read back. */
  readonly refused: { readonly name: string; readonly message: string } | null;
  /** Whether there are private files for a second trace. */
  readonly hasPrivateFiles: boolean;
  readonly room: Room;
}
