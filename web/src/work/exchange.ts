import {
  BOOK_FORMAT,
  BOOK_VERSION,
  describeIssue,
  planMerge,
  readBook,
  settleMerge,
  type Book,
  type DayNumber,
  type MergeIssue,
  type MergePlan,
  type Result,
  type Side,
} from "@yonderfell/core";
import type { BookStorage, ChangeRefusal } from "../data/bookStorage.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { summaryOf, type BookSummary } from "./bookSummary.js";

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

/** Why a hand-over was not made. */
export type HandOverRefusal = MergeIssue | ChangeRefusal;

/** The book of a file, or why there is none. */
export async function bookOfFile(file: Blob): Promise<Result<Book, string>> {
  if (file.size > MOST_BYTES) {
    const has = Math.round(file.size / MEGABYTE);
    const issue = `(the file): expected a book of at most ${MOST_BYTES / MEGABYTE} MB (it has ${has} MB)`;
    return { ok: false, issues: [issue] };
  }
  const read = readBook((await file.text()).replace(/^\uFEFF/, ""));
  return read.ok ? read : { ok: false, issues: read.issues.map(describeIssue) };
}

/** The book as the text of its file, under the name it goes by here. */
export function textOfBook(book: Book, name: string): string {
  const { format: _format, version: _version, name: _name, ...rest } = book;
  const named = { format: BOOK_FORMAT, version: BOOK_VERSION, name, ...rest };
  return `${JSON.stringify(named, null, 1)}\n`;
}

/**
 * Files in and out, away from the page: reading, checking, comparing and writing a large book take
 * seconds. Holds the last file looked at, so that what is kept is what was shown.
 */
export class Exchange {
  private looked: Book | null = null;

  constructor(private readonly open: (database: string) => BookStorage) {}

  /** Reads a file and says what it holds; refused with every place that is wrong. */
  async look(file: Blob, today: DayNumber): Promise<Result<BookSummary, string>> {
    this.looked = null;
    const read = await bookOfFile(file);
    if (!read.ok) return read;
    this.looked = read.value;
    return { ok: true, value: summaryOf(read.value, today) };
  }

  /** Stores the file looked at in a new database. */
  async keep(database: string): Promise<void> {
    const book = this.found();
    await this.with(database, (storage) => storage.fill(book));
  }

  /** What handing the file looked at over to a stored book would do. */
  async compare(database: string): Promise<Comparison> {
    const theirs = this.found();
    return this.with(database, async (storage) => {
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
    const theirs = this.found();
    return this.with(database, async (storage) => {
      const ours = await storage.everything();
      const change = settleMerge(ours, theirs, choices, await storage.copy());
      if (!change.ok) return change;
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
  ): Promise<{ readonly seq: number; readonly file: Blob }> {
    return this.with(database, async (storage) => {
      // Read first: a change made while reading may or may not be in the file.
      const seq = await storage.lastSeq();
      const text = textOfBook(await storage.everything(), name);
      return { seq, file: new Blob([text], { type: "application/json" }) };
    });
  }

  /** Copies a stored book into a new database. */
  async duplicate(from: string, to: string): Promise<void> {
    const book = await this.with(from, (storage) => storage.everything());
    await this.with(to, (storage) => storage.fill(book));
  }

  private found(): Book {
    if (this.looked === null) throw new Error("no file has been looked at");
    return this.looked;
  }

  private async with<Value>(
    database: string,
    run: (storage: BookStorage) => Promise<Value>,
  ): Promise<Value> {
    const storage = this.open(database);
    try {
      return await run(storage);
    } finally {
      storage.close();
    }
  }
}

/** The exchange over the browser's databases. */
export const dexieExchange = (): Exchange => new Exchange((name) => new DexieStorage(name));
