import type { VisitIssue } from "@yonderfell/core";

/** What stands in the way of a change to visits, in words; what is common to all changes is worded with them. */
export function visitIssueWords(issue: VisitIssue): string {
  switch (issue.code) {
    case "changed-elsewhere":
      return "";
    case "task-not-found":
      return "Not saved: one of its tasks is no longer on the machine.";
    case "nothing-to-split":
      return "Not saved: one of the two visits would be left without work.";
  }
}
