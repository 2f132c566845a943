import {
  bookFileText,
  describeIssue,
  planMerge,
  readBookFile,
  recordCount,
  settleMerge,
  success,
  type DayNumber,
  type Digested,
  type MergePlan,
  type Result,
  type Side,
} from "@yonderfell/core";
import { withStorage } from "../data/withStorage.js";
import type { BookStorage } from "../data/bookStorage.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { bookOfZip, isZip, zipOfBook, type OnLooked, type UnpackedBook } from "./bookZip.js";
import { summaryOf, type BookSummary } from "@yonderfell/core";
import { shrinkPicture } from "./shrinkPicture.js";
import { takenPictures, type BookWithPictures, type Shrink } from "./takenPictures.js";
import type { HandOverRefusal } from "../data/takenIn.js";

/** Larger files are refused before they are read: they would not fit into memory as a book. */
const MOST_BYTES = 128 * 1024 * 1024;
const MEGABYTE = 1024 * 1024;

/** A book compared with one handed over. */
export interface Comparison {
  readonly plan: MergePlan;
  /** Whether the two hold any machine in common: else the file is hardly a copy of this book. */
  readonly isRelated: boolean;
}

/** What a hand-over did. */
export interface HandedOver {
  readonly seq: number;
  readonly records: number;
}

/** A book as it was read from a file, with the pictures that came beside it. */
export interface BookInFile extends BookWithPictures {
  /** What was changed in the file since it was written. */
  readonly changed: readonly Digested[];
}

/** How a file is looked through. */
interface Looking {
  readonly onLooked: OnLooked;
  readonly shrink: Shrink;
}

/** The book of a file, or why there is none. */
async function bookOfFile(
  file: Blob,
  { onLooked, shrink }: Looking,
): Promise<Result<BookInFile, string>> {
  if (file.size > MOST_BYTES) {
    const has = Math.round(file.size / MEGABYTE);
    const issue = `(the file): expected a book of at most ${MOST_BYTES / MEGABYTE} MB (it has ${has} MB)`;
    return { ok: false, issues: [issue] };
  }
  const start = new Uint8Array(await file.slice(0, 4).arrayBuffer());
  const unpacked: Result<UnpackedBook, string> = isZip(start)
    ? await bookOfZip(file, onLooked)
    : success({ book: new Uint8Array(await file.arrayBuffer()), pictures: [] });
  if (!unpacked.ok) return unpacked;
  const { pictures } = unpacked.value;
  const hashes = pictures.map(({ hash }) => hash);
  const read = readBookFile(unpacked.value.book, hashes);
  if (!read.ok) return { ok: false, issues: read.issues.map(describeIssue) };
  const { book, changed } = read.value;
  const taken = await takenPictures(book, pictures, new Date().toISOString(), shrink);
  return taken.ok ? success({ ...taken.value, changed }) : taken;
}

/**
 * Files in and out, away from the page: reading, checking, comparing and writing a large book take
 * seconds. Holds the last file looked at, so that what is kept is what was shown.
 */
export class Exchange {
  private looked: BookInFile | null = null;
  private isStopped = false;

  constructor(
    private readonly open: (database: string) => BookStorage,
    private readonly shrink: Shrink = shrinkPicture,
  ) {}

  /** Reads a file and says what it holds; refused with every place that is wrong. */
  async look(
    file: Blob,
    today: DayNumber,
    onLooked: OnLooked = () => undefined,
  ): Promise<Result<BookSummary, string>> {
    this.looked = null;
    const read = await bookOfFile(file, { onLooked, shrink: this.shrink });
    if (!read.ok) return read;
    this.looked = read.value;
    const { book, changed } = read.value;
    return { ok: true, value: { ...summaryOf(book, today), changed } };
  }

  /**
   * Stores the file looked at in a new database, and tells as it goes which share of its records and pictures is
   * written. Answers whether it is kept: not where it was stopped; its database is to be deleted then.
   */
  async keep(database: string, onProgress: (share: number) => void): Promise<boolean> {
    const { book, pictures } = this.found();
    const records = recordCount(book);
    const note = (written: number): void => {
      if (this.isStopped) throw new Error("stopped");
      onProgress(written / (records + pictures.length));
    };
    this.isStopped = false;
    try {
      await withStorage(this.open, database, async (storage) => {
        await storage.fill(book, note);
        for (const [at, picture] of pictures.entries()) {
          await storage.keepPicture(picture);
          note(records + at + 1);
        }
      });
      return true;
    } catch (error) {
      if (this.isStopped) return false;
      throw error;
    }
  }

  /** Stops the keeping that is under way. */
  stop(): void {
    this.isStopped = true;
  }

  /** What handing the file looked at over to a stored book would do. */
  async compare(database: string): Promise<Comparison> {
    const { book: theirs } = this.found();
    return withStorage(this.open, database, async (storage) => {
      const ours = await storage.everything();
      const known = new Set((ours.machines ?? []).map((machine) => machine.id));
      const isRelated =
        known.size === 0 || (theirs.machines ?? []).some((machine) => known.has(machine.id));
      return { plan: planMerge(ours, theirs), isRelated };
    });
  }

  /** Hands the file looked at over to a stored book, with the person's choices. */
  async handOver(
    database: string,
    choices: ReadonlyMap<string, Side>,
    now: string,
  ): Promise<Result<HandedOver, HandOverRefusal>> {
    const { book: theirs, pictures } = this.found();
    return withStorage(this.open, database, async (storage) => {
      const ours = await storage.everything();
      const change = settleMerge(ours, theirs, choices, await storage.copy());
      if (!change.ok) return change;
      // Before the records that refer to them: cut short in between, there is no record without its picture.
      for (const picture of pictures) await storage.keepPicture(picture);
      const saved = await storage.apply(change.value, now);
      if (!saved.ok) return saved;
      const records = saved.value.change.records.length;
      return { ok: true, value: { seq: saved.value.seq, records } };
    });
  }

  /** A stored book as a file, and up to which change it holds it. */
  async file(
    database: string,
    name: string,
  ): Promise<{ readonly seq: number; readonly file: Blob; readonly isZip: boolean }> {
    return withStorage(this.open, database, async (storage) => {
      // Read first: a change made while reading may or may not be in the file.
      const seq = await storage.lastSeq();
      const book = await storage.everything();
      const pictures = await storage.picturesInUse();
      const hashes = pictures.map(({ hash }) => hash);
      const text = bookFileText(book, name, hashes);
      const hasPictures = pictures.length > 0;
      const file = hasPictures
        ? new Blob([zipOfBook(text, pictures)], { type: "application/zip" })
        : new Blob([text], { type: "application/json" });
      return { seq, file, isZip: hasPictures };
    });
  }

  /** Copies a stored book into a new database. */
  async duplicate(from: string, to: string): Promise<void> {
    const [book, pictures] = await withStorage(this.open, from, (storage) =>
      Promise.all([storage.everything(), storage.picturesInUse()]),
    );
    await withStorage(this.open, to, async (storage) => {
      await storage.fill(book);
      for (const picture of pictures) await storage.keepPicture(picture);
    });
  }

  private found(): BookInFile {
    if (this.looked === null) throw new Error("no file has been looked at");
    return this.looked;
  }
}

/** The exchange over the browser's databases. */
export const dexieExchange = (): Exchange => new Exchange((name) => new DexieStorage(name));
