import type { BookIssue } from "./issue.js";
import { formatPath } from "./issue.js";

/** A book issue as one line: where, and what was expected. */
export function describeIssue(issue: BookIssue): string {
  return `${formatPath(issue.path)}: expected ${issue.expected}`.replaceAll(
    /[\r\n\u2028\u2029]+/g,
    " ",
  );
}
