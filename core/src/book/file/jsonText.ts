import { visit, type JSONVisitor } from "jsonc-parser";
import { failure, success, type Result } from "../change/result.js";
import { lookThrough } from "./bounds.js";
import type { BookIssue } from "./issue.js";

/** So many issues say enough of a broken file. */
const MOST_ISSUES = 100;

const TOO_DEEP = "a book as JSON (it is nested too deeply)";

interface Place {
  readonly line: number;
  readonly column: number;
}

const placeWords = ({ line, column }: Place): string => `line ${line}, column ${column}`;

/** Looks through JSON as it is written; answers nothing where it is nested deeper than can be looked through. */
function looked(text: string, visitor: JSONVisitor): void {
  try {
    visit(text, visitor, { disallowComments: true });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
}

/** Where text stops being JSON; null where that cannot be told. */
function firstBreak(text: string): Place | null {
  const breaks: Place[] = [];
  looked(text, {
    onError: (_code, _offset, _length, line, column) => {
      if (breaks.length === 0) breaks.push({ line: line + 1, column: column + 1 });
    },
  });
  return breaks[0] ?? null;
}

function breakIssue(text: string): BookIssue {
  if (text.trim() === "") {
    return { code: "not-json", path: [], expected: "a book as JSON (the file is empty)" };
  }
  const place = firstBreak(text);
  const where = place === null ? "" : ` (it breaks at ${placeWords(place)})`;
  return { code: "not-json", path: [], expected: `a book as JSON${where}` };
}

/** Keys that stand twice in one object: readers of JSON take the last and say nothing. */
function doubledKeys(text: string): BookIssue[] {
  const issues: BookIssue[] = [];
  const open: Set<string>[] = [];
  looked(text, {
    onObjectBegin: () => {
      open.push(new Set());
    },
    onObjectEnd: () => {
      open.pop();
    },
    onObjectProperty: (key, _offset, _length, line, column, pathTo) => {
      const known = open.at(-1);
      if (known?.has(key) === true && issues.length < MOST_ISSUES) {
        const place = placeWords({ line: line + 1, column: column + 1 });
        const expected = `this key once (it stands there again at ${place})`;
        issues.push({ code: "doubled-key", path: [...pathTo(), key], expected });
      }
      known?.add(key);
    },
  });
  return issues;
}

const BACKSLASH = 92;
const COLON = 58;
const SPACE = 32;

/** Where a text in quotes ends that begins before `from`. */
function endOfQuoted(text: string, from: number): number {
  let end = text.indexOf('"', from);
  for (;;) {
    let before = end - 1;
    while (text.charCodeAt(before) === BACKSLASH) before -= 1;
    // An even number of backslashes are themselves quoted.
    if ((end - before) % 2 === 1) return end;
    end = text.indexOf('"', end + 1);
  }
}

/** How many keys stand in a text that is JSON. */
function keysIn(text: string): number {
  let count = 0;
  for (let at = text.indexOf('"'); at >= 0; at = text.indexOf('"', at)) {
    at = endOfQuoted(text, at + 1) + 1;
    while (text.charCodeAt(at) <= SPACE) at += 1;
    if (text.charCodeAt(at) === COLON) count += 1;
  }
  return count;
}

/** JSON as it was read. */
export interface ParsedJson {
  readonly value: unknown;
  /** What is past all bounds in it. */
  readonly past: readonly BookIssue[];
}

/**
 * What JSON says. Refused, with the place: text that is no JSON, and a key that stands twice in one
 * object (RFC 8259 leaves open which one is meant).
 */
export function parseJson(text: string): Result<ParsedJson, BookIssue> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    if (error instanceof SyntaxError) return failure([breakIssue(text)]);
    if (!(error instanceof RangeError)) throw error;
    return failure([{ code: "not-json", path: [], expected: TOO_DEEP }]);
  }
  const { issues: past, keys } = lookThrough(value);
  // Of a key that stands twice only the last is held: looked for only where keys are missing.
  const doubled = past.length > 0 || keys === keysIn(text) ? [] : doubledKeys(text);
  return doubled.length > 0 ? failure(doubled) : success({ value, past });
}
