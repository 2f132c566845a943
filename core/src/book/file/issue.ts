/** A place in a book file: keys and positions from the root, as in `["machines", 0, "meters"]`. */
export type IssuePath = readonly (string | number)[];

/** One thing wrong with a book, as data: what was expected at which place. The wording of the sentence around it lives with the reader. */
export interface BookIssue {
  readonly code:
    | "not-utf-8"
    | "not-json"
    | "doubled-key"
    | "broken-text"
    | "too-long"
    | "too-deep"
    | "not-a-book"
    | "newer-version"
    | "wrong-shape"
    | "reference-to-nothing"
    | "duplicate-id"
    | "wrong-order"
    | "contradiction";
  readonly path: IssuePath;
  /** What should have stood there, as the end of "expected …". */
  readonly expected: string;
}

const PLAIN_KEY = /^[A-Za-z_][A-Za-z0-9_]*$/;

/** A path in the usual notation, `tasks[3].regimes["hard use"][0].every`; the root is `(the file)`. */
export function formatPath(path: IssuePath): string {
  if (path.length === 0) return "(the file)";
  return path
    .map((step, position) => {
      if (typeof step === "number") return `[${step}]`;
      if (!PLAIN_KEY.test(step)) return `[${JSON.stringify(step)}]`;
      return position === 0 ? step : `.${step}`;
    })
    .join("");
}
