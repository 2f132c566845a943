import { BOOK_FORMAT, BOOK_VERSION } from "../records/sections.js";
import type { Book } from "./book.js";
import { digestsOf } from "./digests.js";
import { PROGRAM } from "./program.js";

/** What a file says of itself to whoever finds it. */
const ABOUT = {
  what: `A book of machines and their maintenance, written by ${PROGRAM.name}. It is JSON (RFC 8259) in UTF-8.`,
  program: `${PROGRAM.name} ${PROGRAM.version}`,
  format:
    "Written down in docs/formats/book.md and docs/formats/book.schema.json of the program's source.",
  digests:
    "The SHA-256 of each section: its records by id, keys sorted, no white space, revision left out.",
} as const;

/** A book without what its file tells of itself. */
export function withoutAbout(book: Book): Book {
  const { about: _about, digests: _digests, ...rest } = book;
  return rest;
}

/**
 * A book as the text of its file, under a name. It says in itself what it is, which version, where its
 * format is written down, and the digests of what it holds.
 *
 * @param pictures the hashes of the pictures that stand in the file beside it.
 */
export function bookFileText(book: Book, name: string, pictures: readonly string[]): string {
  const { format: _format, version: _version, name: _name, ...rest } = withoutAbout(book);
  const head = { format: BOOK_FORMAT, version: BOOK_VERSION } as const;
  const digests = digestsOf({ ...head, name, ...rest }, pictures);
  const whole = { ...head, about: ABOUT, digests, name, ...rest };
  return `${JSON.stringify(whole, null, 1)}\n`;
}
