/** A folder of files that are written whole or from a place on, and are on the disk once that settles. */
export interface TraceFolder {
  readonly names: () => Promise<readonly string[]>;
  /** The bytes of a file, null where there is none. */
  readonly read: (name: string) => Promise<Uint8Array<ArrayBuffer> | null>;
  /** How many bytes a file has, null where there is none. */
  readonly size: (name: string) => Promise<number | null>;
  /** Writes bytes from a place of a file on, and ends the file after them. */
  readonly write: (name: string, bytes: Uint8Array, from: number) => Promise<void>;
  readonly remove: (name: string) => Promise<void>;
}

/** Where the folders of all traces stand. */
export interface TraceRoot {
  readonly folders: () => Promise<readonly string[]>;
  /** A folder by its name, made where there is none. */
  readonly folder: (name: string) => Promise<TraceFolder>;
  readonly drop: (name: string) => Promise<void>;
}
