import type { Book } from "@yonderfell/core";
import { DexieStorage, laterCode } from "../dexieStorage.js";
import type { BookStorage, JournalLine } from "../bookStorage.js";
import type { Moment } from "./traceFormat.js";

/** What a trace is written from, and what is written from it where the database has lost changes. */
export interface TraceSource extends Pick<BookStorage, "lastSeq" | "apply" | "picture"> {
  /** Which copy it is, and the changes after one; those null where the journal does not go back so far. Null where the book is gone. */
  readonly since: (
    seq: number,
  ) => Promise<{ readonly copy: string; readonly lines: readonly JournalLine[] | null } | null>;
  /** A change by its number; null where it is not known. */
  readonly line: (seq: number) => Promise<JournalLine | null>;
  /** The book whole; null where it is gone. */
  readonly whole: () => Promise<{ readonly book: Book; readonly moment: Moment } | null>;
}

/** A book in the browser's database, to be traced. */
export class DexieTraceSource extends DexieStorage implements TraceSource {
  async since(
    seq: number,
  ): Promise<{ readonly copy: string; readonly lines: readonly JournalLine[] | null } | null> {
    const { facts, journal } = this.database;
    return this.database.transaction("r", [facts, journal], async () => {
      const copy = await this.copy();
      if (copy === "") return null;
      return { copy, lines: await this.changesAfter(seq) };
    });
  }

  async line(seq: number): Promise<JournalLine | null> {
    return (await this.database.journal.get(seq)) ?? null;
  }

  async whole(): Promise<{ readonly book: Book; readonly moment: Moment } | null> {
    const { database } = this;
    const { wholeBook } = await laterCode();
    return database.transaction("r", [...this.records(), database.journal], async () => {
      const copy = await this.copy();
      if (copy === "") return null;
      const last = await database.journal.orderBy("seq").last();
      const book = await wholeBook(database);
      return { book, moment: { copy, seq: last?.seq ?? 0, at: last?.at ?? "" } };
    });
  }
}
