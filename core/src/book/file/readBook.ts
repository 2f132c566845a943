import type { Book } from "./book.js";
import { bookText } from "./bookText.js";
import { lookThrough } from "./bounds.js";
import { changedSince, type Digested } from "./digests.js";
import { parseJson, type ParsedJson } from "./jsonText.js";
import { BOOK_FORMAT, BOOK_VERSION } from "../records/sections.js";
import type { BookIssue } from "./issue.js";
import { MIGRATIONS, migrateForward } from "./migrations.js";
import { withoutAbout } from "./writeBook.js";
import { shapeIssues } from "../records/shape.js";
import { prototypeKeyIssues } from "./prototypeKeys.js";
import { referenceIssues } from "../references/references.js";
import { failure, success, type Result } from "../change/result.js";

/**
 * A book from the text of a `.yonderfell.json` file. Refused: text that is not JSON, a key that stands
 * twice, what is past all bounds, another format, a version newer than this program, and all that due
 * rules §1 lists. Nothing is repaired and nothing dropped: unknown fields and sections stay as they
 * stand.
 */
export function readBook(text: string): Result<Book, BookIssue> {
  const parsed = parseJson(text);
  return parsed.ok ? readParsed(parsed.value) : parsed;
}

/** A book as its file gives it. */
export interface BookFile {
  readonly book: Book;
  /** What was changed in the file since it was written; empty as well where it carries no digests. */
  readonly changed: readonly Digested[];
}

/**
 * The book of a file's bytes, with what was changed in it since it was written.
 *
 * @param pictures the hashes of the pictures that stand in the file beside it.
 */
export function readBookFile(
  bytes: Uint8Array,
  pictures: readonly string[],
): Result<BookFile, BookIssue> {
  const text = bookText(bytes);
  if (!text.ok) return text;
  const parsed = parseJson(text.value);
  if (!parsed.ok) return parsed;
  const read = readParsed(parsed.value);
  if (!read.ok) return read;
  // The digests are of what was written, whatever version that was.
  const changed = changedSince(parsed.value.value as Book, pictures);
  return success({ book: withoutAbout(read.value), changed });
}

/** A book from parsed JSON; see {@link readBook}. */
export function readBookData(data: unknown): Result<Book, BookIssue> {
  return readParsed({ value: data, past: lookThrough(data).issues });
}

function readParsed({ value: data, past }: ParsedJson): Result<Book, BookIssue> {
  if (typeof data !== "object" || data === null || Array.isArray(data)) {
    return failure([
      { code: "not-a-book", path: [], expected: "a book: an object with format and version" },
    ]);
  }
  const fields = data as Readonly<Record<string, unknown>>;
  if (fields["format"] !== BOOK_FORMAT) {
    return failure([{ code: "not-a-book", path: ["format"], expected: `"${BOOK_FORMAT}"` }]);
  }
  const version = fields["version"];
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1) {
    return failure([
      {
        code: "wrong-shape",
        path: ["version"],
        expected: `a whole number from 1 to ${BOOK_VERSION}`,
      },
    ]);
  }
  if (version > BOOK_VERSION) {
    const expected = `version ${BOOK_VERSION} or older (version ${version} was written by a newer program; open it with that one)`;
    return failure([{ code: "newer-version", path: ["version"], expected }]);
  }
  if (past.length > 0) return failure(past);
  return checkBook(migrateForward(fields, version, MIGRATIONS));
}

function checkBook(data: Readonly<Record<string, unknown>>): Result<Book, BookIssue> {
  const shape = shapeIssues(data);
  if (shape.length > 0) return failure(shape);
  // The schema only looks: the book handed on is the data as it was read, unknown fields and all.
  const book = data as unknown as Book;
  const hidden = prototypeKeyIssues(book);
  const issues = hidden.length > 0 ? hidden : referenceIssues(book);
  return issues.length > 0 ? failure(issues) : success(book);
}
