import { visit, type JSONVisitor } from "jsonc-parser";
import { failure, success, type Result } from "../change/result.js";
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

/**
 * What JSON says. Refused, with the place: text that is no JSON, and a key that stands twice in one
 * object (RFC 8259 leaves open which one is meant).
 */
export function parseJson(text: string): Result<unknown, BookIssue> {
  try {
    const value: unknown = JSON.parse(text);
    const doubled = doubledKeys(text);
    return doubled.length > 0 ? failure(doubled) : success(value);
  } catch (error) {
    if (error instanceof SyntaxError) return failure([breakIssue(text)]);
    if (!(error instanceof RangeError)) throw error;
    return failure([{ code: "not-json", path: [], expected: TOO_DEEP }]);
  }
}
