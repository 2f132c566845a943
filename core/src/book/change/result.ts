/** What may fail as expected: a value, or the issues that stood in the way. */
export type Result<Value, Issue> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** A result that holds a value. */
export function success<Value>(value: Value): { readonly ok: true; readonly value: Value } {
  return { ok: true, value };
}

/** A result that holds what stood in the way. */
export function failure<Issue>(issues: readonly Issue[]): {
  readonly ok: false;
  readonly issues: readonly Issue[];
} {
  return { ok: false, issues };
}
