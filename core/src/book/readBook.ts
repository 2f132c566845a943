import { bookSchema, type Book } from "./book.js";
import { BOOK_FORMAT, BOOK_VERSION } from "./sections.js";
import type { BookIssue } from "./issue.js";
import { MIGRATIONS, migrateForward } from "./migrations.js";
import { prototypeKeyIssues } from "./prototypeKeys.js";
import { referenceIssues } from "./references.js";
import { failure, success, type Result } from "./result.js";

/**
 * A book from the text of a `.yonderfell.json` file. Refused: text that is not JSON, another format,
 * a version newer than this program, and all that due rules §1 lists. Nothing is repaired and nothing
 * dropped: unknown fields and sections stay as they stand.
 */
export function readBook(text: string): Result<Book, BookIssue> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    const expected = text.trim() === "" ? "a book as JSON (the file is empty)" : "a book as JSON";
    return failure([{ code: "not-json", path: [], expected }]);
  }
  return readBookData(data);
}

/** A book from parsed JSON; see {@link readBook}. */
export function readBookData(data: unknown): Result<Book, BookIssue> {
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
  return checkBook(migrateForward(fields, version, MIGRATIONS));
}

function checkBook(data: Readonly<Record<string, unknown>>): Result<Book, BookIssue> {
  const shape = bookSchema.safeParse(data);
  if (!shape.success) {
    return failure(
      shape.error.issues.map((issue) => ({
        code: "wrong-shape",
        path: issue.path.map((step) => (typeof step === "symbol" ? String(step) : step)),
        expected: issue.message,
      })),
    );
  }
  // The schema only looks: the book handed on is the data as it was read, unknown fields and all.
  const book = data as unknown as Book;
  const hidden = prototypeKeyIssues(book);
  const issues = hidden.length > 0 ? hidden : referenceIssues(book);
  return issues.length > 0 ? failure(issues) : success(book);
}
