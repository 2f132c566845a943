/** What a book file calls itself in its `format` field. */
export const BOOK_FORMAT = "yonderfell-book";

/** The version this program writes. */
export const BOOK_VERSION = 1;

/** The sections that hold records, in the order of the file. */
export const SECTIONS = ["machines", "readings", "meterChanges", "tasks", "entries"] as const;
export type Section = (typeof SECTIONS)[number];

/** The sections whose records are dated, ordered by `seq` and superseded rather than overwritten. */
export const DATED_SECTIONS = ["readings", "meterChanges", "entries"] as const;
export type DatedSection = (typeof DATED_SECTIONS)[number];
