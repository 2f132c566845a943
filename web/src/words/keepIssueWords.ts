import type { KeepIssue } from "@yonderfell/core";

/** What stands in the way of keeping a record as edited, and where; what was changed elsewhere is said by who asks. */
export function keepIssueWords(issue: KeepIssue): string {
  if (issue.code === "changed-elsewhere") return "";
  const where = issue.path.join(" ");
  return `Not saved: ${where === "" ? "it" : where} must be ${issue.expected}.`;
}
