import type { BookIssue, IssuePath } from "./issue.js";

/** Lists and objects in one another. */
const MOST_LEVELS = 64;
/** The longest text, in bytes of UTF-8. */
const MOST_TEXT = 64 * 1024;
/** A character takes at most so many bytes for each of its units. */
const MOST_BYTES_A_UNIT = 3;
/** So many issues say enough of a broken file. */
const MOST_ISSUES = 100;

function textProblem(text: string): Omit<BookIssue, "path"> | null {
  if (!text.isWellFormed()) {
    return { code: "broken-text", expected: "text of whole characters (half of one stands in it)" };
  }
  const mayBeLong = text.length * MOST_BYTES_A_UNIT > MOST_TEXT;
  if (!mayBeLong || new TextEncoder().encode(text).length <= MOST_TEXT) return null;
  return { code: "too-long", expected: `text of at most ${MOST_TEXT / 1024} kB` };
}

/** What no reader can be asked to take, wherever it stands in a book. */
class Bounds {
  readonly issues: BookIssue[] = [];
  private readonly path: (string | number)[] = [];

  look(value: unknown): void {
    if (this.issues.length >= MOST_ISSUES) return;
    if (typeof value === "string") this.note(textProblem(value));
    else if (typeof value === "number" && !Number.isFinite(value)) {
      this.note({ code: "wrong-shape", expected: "a finite number" });
    } else if (typeof value === "object" && value !== null) this.within(value);
  }

  private within(value: object): void {
    if (this.path.length >= MOST_LEVELS) {
      const expected = `at most ${MOST_LEVELS} lists and objects in one another`;
      return this.note({ code: "too-deep", expected });
    }
    const isList = Array.isArray(value);
    for (const [key, each] of Object.entries(value)) {
      this.path.push(isList ? Number(key) : key);
      if (!isList) this.note(textProblem(key));
      this.look(each);
      this.path.pop();
    }
    return undefined;
  }

  private note(problem: Omit<BookIssue, "path"> | null): void {
    const path: IssuePath = [...this.path];
    if (problem !== null) this.issues.push({ ...problem, path });
  }
}

/**
 * What is past all bounds in a book, known fields or not: more than 64 levels, a text over 64 kB, half
 * a character (a surrogate alone), a number that is not finite.
 */
export function boundIssues(data: unknown): readonly BookIssue[] {
  const bounds = new Bounds();
  bounds.look(data);
  return bounds.issues;
}
