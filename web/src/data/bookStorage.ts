import type {
  BoardMachine,
  Book,
  BookIssue,
  Change,
  ChangedElsewhere,
  CommandContext,
  CommandResult,
  DayNumber,
  Entry,
  Machine,
  MachineBook,
  MachineId,
  MachinePlate,
  Need,
  OwnedSection,
  RecordOf,
  Result,
  Section,
  Settings,
  SharedBook,
  SharedSlice,
  Slice,
} from "@yonderfell/core";

import type { StoredPicture } from "./picture.js";

/** One line of the journal: a change that was made, in the order it was made. */
export interface JournalLine {
  /** Grows by one with each change. */
  readonly seq: number;
  /** When it was made, as an ISO instant. */
  readonly at: string;
  readonly change: Change;
  /** The machines whose reckoning it may move. */
  readonly machines: readonly MachineId[];
}

/** What a command needs of the world outside the book. */
export type Surroundings = Pick<CommandContext, "today" | "newId"> & { readonly now: string };

/** A command on one machine, or several: a pure function of the core, of what it has declared it reads. */
export type Command<Given, Issue> = (given: Given, context: CommandContext) => CommandResult<Issue>;

/** A command on one machine that logs: of all that reckoning reads. */
export type MachineCommand<Issue> = Command<MachineBook, Issue>;

/** A change that is durable. */
export interface Saved {
  readonly seq: number;
  readonly change: Change;
  /** It stands in the database alone: its second trace could not be written, which has been told. */
  readonly isDoubtful?: true;
}

/** What came of a command on each of several machines. */
export interface SavedEach<Issue> {
  /** Null where nothing was left to write. */
  readonly saved: Saved | null;
  readonly refused: ReadonlyMap<MachineId, Issue | MachineMissing>;
}

/** Told, while a change is being made, how many of its records are written. */
export type OnWritten = (records: number) => void;

/** What stands in the way of a change, whoever made it up. */
export type ChangeRefusal =
  | ChangedElsewhere
  /** Without what it takes away the book would contradict itself. */
  | { readonly code: "still-needed"; readonly issue: BookIssue };

/** What stands in the way of taking a change back. */
export type TakeBackRefusal = ChangeRefusal | { readonly code: "no-longer-known" };

/** The board as it was last reckoned, in the order it is shown. */
export interface StoredBoard {
  readonly seq: number;
  readonly today: DayNumber;
  /** Which program reckoned it; another may reckon otherwise. */
  readonly program: string;
  readonly machines: readonly BoardMachine[];
}

/** Why a command on a machine cannot be run. */
export interface MachineMissing {
  readonly code: "machine-missing";
}

/** What a command may meet beside its own issues. */
export type CommonRefusal = MachineMissing | ChangeRefusal;

/** Something begun and not yet saved, kept with each keystroke. */
export interface Draft {
  readonly key: string;
  readonly value: unknown;
  /** When it was last touched, as an ISO instant. */
  readonly at: string;
}

/** What the board of a book is reckoned from, and where it is stored. */
export interface BoardSource {
  machines(): Promise<readonly Machine[]>;
  settings(): Promise<Settings>;
  /** The parts of several machines, read together; those that are not there are left out. */
  machineBooks(ids: readonly MachineId[]): Promise<readonly MachineBook[]>;
  /** The records of one section, in their order. */
  list<S extends Section>(section: S): Promise<readonly RecordOf[S][]>;
  /** The number of the last change, 0 before the first. */
  lastSeq(): Promise<number>;
  /** The changes after `seq`, or null where the journal no longer goes back that far. */
  changesAfter(seq: number): Promise<readonly JournalLine[] | null>;
  /** The board as last stored, or only its first machines; null before the first. */
  storedBoard(most?: number): Promise<StoredBoard | null>;
  /**
   * Stores a whole board (`from` null), or the machines of one that have changed since change
   * number `from`; the latter only where the board stored is of just that number, that day and that
   * program, as another tab may have stored its own in between. A board left behind is caught up later.
   */
  storeBoard(board: StoredBoard, from: number | null): Promise<void>;
}

/**
 * Where one book is kept. Small on purpose, so that another store can take its place; both
 * stores pass the same acceptance suite.
 */
export interface BookStorage extends BoardSource {
  /**
   * Fills an empty store with a book, all or nothing; refused (thrown) where there is one already. `onWritten` is told
   * how many records are written as it goes; where it throws, nothing is.
   */
  fill(book: Book, onWritten?: OnWritten): Promise<void>;
  /** The settings as the file has them, without defaults. */
  ownSettings(): Promise<Book["settings"]>;
  machineBook(id: MachineId): Promise<MachineBook | null>;
  /** What belongs in and on a machine; empty where nothing is recorded. */
  plate(id: MachineId): Promise<MachinePlate>;
  /** The records of some sections that belong to a machine. */
  ofMachine<S extends OwnedSection>(
    id: MachineId,
    sections: readonly S[],
  ): Promise<{ readonly [K in S]: readonly RecordOf[K][] }>;
  /** What belongs to no one machine, and the machines. */
  shared(): Promise<SharedBook>;
  /** How many records each section holds. */
  counts(): Promise<Readonly<Record<Section, number>>>;
  /** What this copy of the book is called in the counts of changes. */
  copy(): Promise<string>;
  /** The latest entries that stand, over all machines, latest first: neither superseded nor void. */
  latestEntries(limit: number): Promise<readonly Entry[]>;
  /** The whole book, as it would be written to a file. */
  everything(): Promise<Book>;
  /**
   * Runs a command on a machine against what is stored of what it needs, and writes its change with its
   * journal line, all or nothing: only where the book stays whole. Resolves when durable.
   */
  perform<Needed extends Need, Issue>(
    machine: MachineId,
    needs: readonly Needed[],
    command: Command<Slice<Needed>, Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | CommonRefusal>>;
  /** The same for one command on several machines at once: all of it or nothing. They are given in the order asked for. */
  performOn<Needed extends Need, Issue>(
    machines: readonly MachineId[],
    needs: readonly Needed[],
    command: Command<readonly Slice<Needed>[], Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | CommonRefusal>>;
  /**
   * Runs a command that logs on each of several machines and writes all that they answer as one change under a
   * name. A machine whose command is refused is left out, and nothing of it is written.
   */
  performEach<Issue>(
    commands: ReadonlyMap<MachineId, MachineCommand<Issue>>,
    name: string,
    surroundings: Surroundings,
  ): Promise<SavedEach<Issue>>;
  /** The same as {@link perform} for a command on whole sections of the book. */
  performShared<Needed extends Section, Issue>(
    needs: readonly Needed[],
    command: Command<SharedSlice<Needed>, Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | ChangeRefusal>>;
  /**
   * Makes a change that was made up beforehand, all or nothing, counted as changed in this copy where
   * `isNew`: only while everything it changes still stands as it did, and only where the book stays
   * whole. `onWritten` is told how many records are written as it goes; where it throws, nothing is.
   */
  apply(
    change: Change,
    now: string,
    isNew?: boolean,
    onWritten?: OnWritten,
  ): Promise<Result<Saved, ChangeRefusal>>;
  /** Takes back the change of a journal line, by a change of its own. */
  takeBack(seq: number, now: string): Promise<Result<Saved, TakeBackRefusal>>;
  /** Keeps a picture under its hash; one that is there already stays. */
  keepPicture(picture: StoredPicture): Promise<void>;
  picture(hash: string): Promise<StoredPicture | null>;
  /** The pictures that records refer to, as far as they are here. */
  picturesInUse(): Promise<readonly StoredPicture[]>;
  /** Drops the pictures that nothing refers to any more, neither records nor what can be undone nor drafts, and that were kept before an instant. Answers how many. */
  dropUnusedPictures(keptBefore: string): Promise<number>;
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
  /** The name of the file; absent where an earlier version of the program noted it. */
  readonly file?: string;
}
