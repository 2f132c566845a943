import type { Book } from "./book.js";
import { BOOK_FORMAT, BOOK_VERSION } from "../records/sections.js";
import type { BookIssue } from "./issue.js";
import { MIGRATIONS, migrateForward } from "./migrations.js";
import { shapeIssues } from "../records/shape.js";
import { prototypeKeyIssues } from "./prototypeKeys.js";
import { referenceIssues } from "../references/references.js";
import { failure, success, type Result } from "../change/result.js";

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
    if (error instanceof RangeError) return notJson("a book as JSON (it is nested too deeply)");
    if (!(error instanceof SyntaxError)) throw error;
    const isEmpty = text.trim() === "";
    return notJson(
      isEmpty
        ? "a book as JSON (the file is empty)"
        : `a book as JSON${placeIn(text, error.message)}`,
    );
  }
  return readBookData(data);
}

function notJson(expected: string): Result<Book, BookIssue> {
  return failure([{ code: "not-json", path: [], expected }]);
}

/** Where reading JSON stopped, as far as the platform says: ` (it breaks at line 3, column 7)`. */
function placeIn(text: string, message: string): string {
  const position = /position (\d+)/.exec(message)?.[1];
  if (position === undefined) return "";
  const before = text.slice(0, Number(position));
  const line = before.split("\n").length;
  const column = before.length - before.lastIndexOf("\n");
  return ` (it breaks at line ${line}, column ${column})`;
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
  const shape = shapeIssues(data);
  if (shape.length > 0) return failure(shape);
  // The schema only looks: the book handed on is the data as it was read, unknown fields and all.
  const book = data as unknown as Book;
  const hidden = prototypeKeyIssues(book);
  const issues = hidden.length > 0 ? hidden : referenceIssues(book);
  return issues.length > 0 ? failure(issues) : success(book);
}
