import type {
  Book,
  Change,
  CommandContext,
  CommandResult,
  Entry,
  Machine,
  MachineBook,
  MachineId,
  Result,
  Settings,
} from "@yonderfell/core";

/** One line of the journal: a change that was made, in the order it was made. */
export interface JournalLine {
  /** Grows by one with each change. */
  readonly seq: number;
  /** When it was made, as an ISO instant. */
  readonly at: string;
  readonly change: Change;
}

/** What a command needs of the world outside the book. */
export type Surroundings = Pick<CommandContext, "today" | "newId"> & { readonly now: string };

/** A command on one machine: a pure function of the core. */
export type MachineCommand<Issue> = (
  book: MachineBook,
  context: CommandContext,
) => CommandResult<Issue>;

/** A change that is durable. */
export interface Saved {
  readonly seq: number;
  readonly change: Change;
}

/** What a command may meet beside its own issues. */
export interface MachineMissing {
  readonly code: "machine-missing";
}

/** Something begun and not yet saved, kept with each keystroke. */
export interface Draft {
  readonly key: string;
  readonly value: unknown;
  /** When it was last touched, as an ISO instant. */
  readonly at: string;
}

/**
 * Where one book is kept. Small on purpose, so that another store can take its place; both
 * stores pass the same acceptance suite.
 */
export interface BookStorage {
  /** Fills an empty store with a book; refused (thrown) where there is one already. */
  fill(book: Book): Promise<void>;
  machines(): Promise<readonly Machine[]>;
  settings(): Promise<Settings>;
  machineBook(id: MachineId): Promise<MachineBook | null>;
  /** The latest entries that stand, over all machines, latest first: neither superseded nor void. */
  latestEntries(limit: number): Promise<readonly Entry[]>;
  /** The whole book, as it would be written to a file. */
  everything(): Promise<Book>;
  /** Runs a command against what is stored and writes its change with its journal line, all or nothing. Resolves when durable. */
  perform<Issue>(
    machine: MachineId,
    command: MachineCommand<Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | MachineMissing>>;
  /** The number of the last change, 0 before the first. */
  lastSeq(): Promise<number>;
  /** The changes after `seq`, or null where the journal no longer goes back that far. */
  changesAfter(seq: number): Promise<readonly JournalLine[] | null>;
  draft(key: string): Promise<Draft | null>;
  keepDraft(draft: Draft): Promise<void>;
  dropDraft(key: string): Promise<void>;
  /** The number of the last change that an export held, and when; null before the first. */
  lastExport(): Promise<ExportNote | null>;
  noteExport(note: ExportNote): Promise<void>;
  close(): void;
}

/** When the book was last written to a file. */
export interface ExportNote {
  readonly seq: number;
  readonly at: string;
}
