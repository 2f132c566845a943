import type { BookIssue } from "./issue.js";

/** Lists and objects in one another. */
const MOST_LEVELS = 64;
/** The longest text, in bytes of UTF-8. */
const MOST_TEXT = 64 * 1024;
/** A character takes at most so many bytes for each of its units. */
const MOST_BYTES_A_UNIT = 3;
/** So many issues say enough of a broken file. */
const MOST_ISSUES = 100;

const TOO_DEEP = {
  code: "too-deep",
  expected: `at most ${MOST_LEVELS} lists and objects in one another`,
} as const;
const NOT_FINITE = { code: "wrong-shape", expected: "a finite number" } as const;

function textProblem(text: string): Omit<BookIssue, "path"> | null {
  if (!text.isWellFormed()) {
    return { code: "broken-text", expected: "text of whole characters (half of one stands in it)" };
  }
  const mayBeLong = text.length * MOST_BYTES_A_UNIT > MOST_TEXT;
  if (!mayBeLong || new TextEncoder().encode(text).length <= MOST_TEXT) return null;
  return { code: "too-long", expected: `text of at most ${MOST_TEXT / 1024} kB` };
}

/** What a look through all values of a book finds. */
export interface LookedThrough {
  /** What is past all bounds. */
  readonly issues: readonly BookIssue[];
  /** How many keys all its objects have together. */
  readonly keys: number;
}

/** Looks through what no reader can be asked to take, wherever it stands in a book. */
class Look {
  readonly issues: BookIssue[] = [];
  keys = 0;
  private readonly path: (string | number)[] = [];

  value(value: unknown, depth: number): void {
    if (typeof value === "string") this.note(textProblem(value), depth);
    else if (typeof value === "number") {
      if (!Number.isFinite(value)) this.note(NOT_FINITE, depth);
    } else if (typeof value === "object" && value !== null) {
      if (this.issues.length >= MOST_ISSUES) return;
      if (depth >= MOST_LEVELS) this.note(TOO_DEEP, depth);
      else if (Array.isArray(value)) this.list(value, depth);
      else this.object(value as Readonly<Record<string, unknown>>, depth);
    }
  }

  private list(list: readonly unknown[], depth: number): void {
    for (let at = 0; at < list.length; at += 1) {
      this.path[depth] = at;
      this.value(list[at], depth + 1);
    }
  }

  private object(object: Readonly<Record<string, unknown>>, depth: number): void {
    const keys = Object.keys(object);
    this.keys += keys.length;
    for (const key of keys) {
      this.path[depth] = key;
      this.note(textProblem(key), depth + 1);
      this.value(object[key], depth + 1);
    }
  }

  private note(problem: Omit<BookIssue, "path"> | null, depth: number): void {
    if (problem !== null) this.issues.push({ ...problem, path: this.path.slice(0, depth) });
  }
}

/**
 * What is past all bounds in a book, known fields or not: more than 64 levels, a text over 64 kB, half
 * a character (a surrogate alone), a number that is not finite.
 */
export function lookThrough(data: unknown): LookedThrough {
  const look = new Look();
  look.value(data, 0);
  return look;
}
