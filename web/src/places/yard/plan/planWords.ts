import type {
  ApplyPlanIssue,
  Machine,
  NotApplicable,
  Plan,
  PlanOffer,
  Task,
} from "@yonderfell/core";
import { isEqual } from "es-toolkit";

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
export function applyIssueWords(issue: ApplyPlanIssue, plan: Plan): string {
  switch (issue.code) {
    case "nothing-chosen":
      return "choose a task.";
    case "not-applicable": {
      const nameOf = (key: string): string =>
        plan.tasks.find((one) => one.key === key)?.name ?? key;
      return `${issue.task}: ${words(issue.why, nameOf)}`;
    }
  }
}

/** In what a task of the machine differs from the plan's, school by school where both read alike in the machine's own. */
export function differenceHere(
  own: Task,
  candidate: Task,
  sentence: (task: Task) => string,
): string {
  if (sentence(own) !== sentence(candidate)) return `here it reads: ${sentence(own)}`;
  const [here, there] = [own.regimes ?? {}, candidate.regimes ?? {}];
  const schools = [...new Set([...Object.keys(here), ...Object.keys(there)])].filter(
    (school) => !isEqual(here[school], there[school]),
  );
  if (schools.length === 0) return "here its details differ";
  const of = (task: Task, school: string): string =>
    Object.hasOwn(task.regimes ?? {}, school)
      ? sentence({ ...task, regime: school }).replace(/\.$/, "")
      : "nothing of its own";
  return schools
    .map((school) => `${school}: here ${of(own, school)}, there ${of(candidate, school)}`)
    .join("; ");
}
