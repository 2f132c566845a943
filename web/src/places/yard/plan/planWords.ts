import type { ApplyPlanIssue, Machine, NotApplicable, Plan, PlanOffer } from "@yonderfell/core";

/** What a plan copied from another machine is called. */
export function sisterWords(machine: Machine): string {
  return `copied from ${machine.tag} ${machine.name}, ${machine.kind}`;
}

/** Why a task of a plan cannot be put on the machine. */
export function notApplicableWords(issue: NotApplicable, offers: readonly PlanOffer[]): string {
  return words(issue, (key) => offers.find(({ task }) => task.key === key)?.task.name ?? key);
}

function words(issue: NotApplicable, nameOf: (key: string) => string): string {
  switch (issue.code) {
    case "no-meter":
      return issue.measure === "hours"
        ? "It counts hours, and the machine has no hour meter."
        : "It counts distance, and the machine has no odometer.";
    case "leans-on":
      return `It goes with ${nameOf(issue.key)}, which is not taken.`;
  }
}

/** What stands in the way of taking tasks from a plan. */
export function applyIssueWords(
  issue: ApplyPlanIssue | { readonly code: "machine-missing" },
  plan: Plan,
): string {
  switch (issue.code) {
    case "nothing-chosen":
      return "choose a task.";
    case "not-applicable": {
      const nameOf = (key: string): string =>
        plan.tasks.find((one) => one.key === key)?.name ?? key;
      return `${issue.task}: ${words(issue.why, nameOf)}`;
    }
    case "machine-missing":
      return "the machine is no longer in the book.";
  }
}
