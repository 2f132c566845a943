import type { Book } from "./book.js";
import type { RecordOf } from "../records/recordSchemas.js";
import type { DatedRecord } from "../slice/dated.js";
import { DATED_SECTIONS, SECTIONS, type Section } from "../records/sections.js";

/** All sections of a book, none missing. */
export type Sections = { readonly [S in Section]: readonly RecordOf[S][] };

/** A book taken apart for storing. */
export interface NumberedBook {
  readonly sections: Sections;
  /** Everything of the file that is not a section of records. */
  readonly head: Omit<Book, Section>;
  /** The highest `seq` in use. */
  readonly lastRecordSeq: number;
}

/**
 * A book taken apart, every dated record with a `seq`: where a section has none, the place in
 * the file takes its part (due rules §1), so that records added later come after it.
 */
export function numbered(book: Book): NumberedBook {
  const head = Object.fromEntries(
    Object.entries(book).filter(([key]) => !(SECTIONS as readonly string[]).includes(key)),
  ) as unknown as Omit<Book, Section>;
  const sections: Record<string, readonly unknown[]> = {};
  let lastRecordSeq = 0;
  for (const section of SECTIONS) sections[section] = book[section] ?? [];
  for (const section of DATED_SECTIONS) {
    const records = (book[section] ?? []) as readonly DatedRecord[];
    const withSeq = records.map((record, index) => ({ ...record, seq: record.seq ?? index + 1 }));
    sections[section] = withSeq;
    for (const { seq } of withSeq) lastRecordSeq = Math.max(lastRecordSeq, seq);
  }
  return { sections: sections as unknown as Sections, head, lastRecordSeq };
}

/** How many records a book holds, in all its sections together. */
export function recordCount(book: Partial<Sections>): number {
  return SECTIONS.reduce((sum, section) => sum + (book[section]?.length ?? 0), 0);
}
