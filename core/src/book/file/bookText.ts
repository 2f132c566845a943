import { failure, success, type Result } from "../change/result.js";
import type { BookIssue } from "./issue.js";

const LINE_END = 10;

/** A text, or null where the bytes are no UTF-8. */
function decoded(bytes: Uint8Array): string | null {
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch (error) {
    if ((error as Partial<Error>).name !== "TypeError") throw error;
    return null;
  }
}

/** Where bytes are first no UTF-8: no character has a line end in its midst. */
function firstBroken(bytes: Uint8Array): { readonly line: number; readonly column: number } {
  for (let [line, from] = [1, 0]; ; line += 1) {
    const end = bytes.indexOf(LINE_END, from);
    const own = bytes.subarray(from, end < 0 ? bytes.length : end);
    if (decoded(own) === null || end < 0) {
      const column = new TextDecoder("utf-8").decode(own).indexOf("\uFFFD") + 1;
      return { line, column };
    }
    from = end + 1;
  }
}

/**
 * The text of a book file. A mark of Unicode at its beginning is passed over. Refused, with the place:
 * bytes that are no UTF-8, since what they were meant to say can only be guessed.
 */
export function bookText(bytes: Uint8Array): Result<string, BookIssue> {
  // The decoder passes the mark over.
  const text = decoded(bytes);
  if (text !== null) return success(text);
  const { line, column } = firstBroken(bytes);
  const expected = `text in UTF-8 (it is in another encoding from line ${line}, column ${column} on; save it as UTF-8)`;
  return failure([{ code: "not-utf-8", path: [], expected }]);
}
