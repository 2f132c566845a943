import type { Book } from "@yonderfell/core";
import { DexieStorage, laterCode } from "../dexieStorage.js";
import type { BookStorage, JournalLine } from "../bookStorage.js";
import type { Moment } from "./traceFormat.js";

/** What a database says of a change and of what came after it. */
export interface Since {
  /** Which copy of the book it is. */
  readonly copy: string;
  /** The change itself; null where the journal does not know it. */
  readonly line: JournalLine | null;
  /** The changes after it; null where the journal does not go back so far. */
  readonly lines: readonly JournalLine[] | null;
}

/** What a trace is written from, and what is written from it where the database has lost changes. */
export interface TraceSource extends Pick<BookStorage, "apply" | "picture"> {
  /** What the database says of a change and what came after it; null where the book is gone. */
  readonly since: (seq: number) => Promise<Since | null>;
  /** The book whole; null where it is gone. */
  readonly whole: () => Promise<{ readonly book: Book; readonly moment: Moment } | null>;
}

/** A book in the browser's database, to be traced. */
export class DexieTraceSource extends DexieStorage implements TraceSource {
  async since(seq: number): Promise<Since | null> {
    const { facts, journal } = this.database;
    return this.database.transaction("r", [facts, journal], async () => {
      const copy = await this.copy();
      if (copy === "") return null;
      const line = (await journal.get(seq)) ?? null;
      return { copy, line, lines: await this.changesAfter(seq) };
    });
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
