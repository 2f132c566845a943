import type {
  ChangeCardIssue,
  GiveUpIssue,
  JobState,
  JobStep,
  OpenJobIssue,
  Person,
  RejectedCode,
  TapIssue,
  Task,
} from "@yonderfell/core";
import { findingTitle } from "../../words/findingWords.js";
import { formatted } from "../shared/atTheMachine/figures.js";
import type { ShownJob } from "./useBench.js";

/** What a job is called. */
export function jobTitle({
  job,
  tasks,
  findings,
}: Pick<ShownJob, "job" | "tasks" | "findings">): string {
  const named = [job.name ?? "", ...tasks.map(({ name }) => name), ...findings.map(findingTitle)];
  return named.filter((words) => words !== "").join(" · ") || "A job";
}

/** Somebody by name; words stay as they are. */
export function personWords(who: string | null | undefined, people: readonly Person[]): string {
  return people.find(({ id }) => id === who)?.name ?? who ?? "";
}

/** Whose a job is: the last who took it up, else who opened it. */
export function whoseIs({ job, run }: Pick<ShownJob, "job" | "run">): string {
  return run.told().findLast((event) => event.do === "take")?.by ?? job.by ?? "";
}

/** How far a job is: `12 of 33 steps`. */
export function farWords({ steps }: JobState): string {
  const closed = steps.filter(({ state }) => state === "done" || state === "skipped").length;
  return `${closed} of ${steps.length} steps`;
}

/** What went out and in, system by system: `engine: 11.9 L out, 3 L in`. */
export function balanceWords({ systems }: JobState, nameOf: (id: string) => string): string[] {
  return systems
    .filter((one) => one.out !== 0 || one.in !== 0)
    .map((one) => `${nameOf(one.system)}: ${formatted(one.out)} L out, ${formatted(one.in)} L in`);
}

/** The one large action of a step. */
export function actionWords({ kind }: JobStep): string {
  switch (kind) {
    case "do":
      return "Done";
    case "caution":
      return "It is so";
    case "open":
      return "It is loose";
    case "drain":
      return "It has drained";
    case "close":
      return "It is shut";
    case "fill":
      return "It is filled";
    case "passes":
      return "Enough passes";
    case "measure":
      return "That is all of it";
    case "look":
      return "Looked at";
    case "torque":
      return "Tight";
    case "fit":
      return "Fitted";
    case "wait":
      return "Waited";
    case "run":
      return "It runs as it should";
    case "reset":
      return "Reset";
  }
}

/** Why something told of a step was not taken. */
function rejectedWords(code: RejectedCode): string {
  switch (code) {
    case "held":
      return "Something else comes first: it is named on the step.";
    case "already-closed":
      return "This step is closed. Open it again first.";
    case "cannot-skip":
      return "This cannot be left out now: the system is open, or the caution still holds for work to come.";
    case "no-reason":
      return "Say why.";
    case "no-amount":
      return "Give an amount above 0.";
    case "not-at-the-mark":
      return "Read the level first: it must be on the mark.";
    case "nothing-in":
      return "Nothing is told to be in yet.";
    case "pass-open":
      return "A pass is open: what came out is not yet in again.";
    case "no-pass":
      return "No pass is made yet.";
    case "no-reading":
      return "There is no reading yet.";
    case "read-again":
      return "That is too close to call: read it again, three times in all.";
    case "not-started":
      return "The time is not started.";
    case "not-waited":
      return "The time is not over.";
    case "nothing-to-release":
      return "Nothing here says stop.";
    case "not-closed":
      return "This step is open already.";
    case "already-ticked":
      return "That one is ticked already.";
    case "cannot-undo":
      return "There is nothing to take back.";
    case "which-point":
      return "Say which one.";
    case "no-such-step":
    case "not-for-this-step":
    case "no-such-level":
    case "no-value":
    case "no-such-verdict":
    case "no-such-point":
    case "no-such-event":
      return "That does not fit this step.";
  }
}

/** What stands in the way of something told of a job. */
export function tapIssueWords(issue: TapIssue): string {
  switch (issue.code) {
    case "job-missing":
      return "The job is not in the book any more.";
    case "job-finished":
      return "The job is finished; what it came to stands in the log.";
    case "rejected":
      return rejectedWords(issue.why);
    case "why-missing":
      return "Say who or why.";
  }
}

/** What keeps a job from being finished, with the step it is about. */
export function unfinishedWords(code: JobState["unfinished"][number]["code"]): string {
  switch (code) {
    case "pass-open":
      return "a pass is open: what came out is not in again";
    case "unequal-passes":
      return "more or less went in than came out, and no level was read since";
    case "drained-not-filled":
      return "drained and not filled to its end";
    case "opened-not-closed":
      return "opened and not shut";
    case "half-tight":
      return "only some are tight";
    case "not-fitted":
      return "not fitted";
    case "stop-found":
      return "says stop: release it with what was done";
  }
}

/** What stands in the way of opening a job. */
export function openIssueWords(issue: OpenJobIssue, tasks: readonly Task[]): string {
  switch (issue.code) {
    case "card-issues":
      return "The card cannot be worked by: something would be drained that cannot be filled or shut again. The steps in question are marked.";
    case "nothing-to-do":
      return "Say what is to be done: choose a task, or give the job a name.";
    case "task-not-found":
      return "A task of it is not in the book any more.";
    case "on-another-job":
      return `${tasks.find(({ id }) => id === issue.task)?.name ?? "A task"} is on another job that is on the go. Go on with that one, or leave the task out here.`;
  }
}

/** What stands in the way of another card. */
export function changeIssueWords(issue: ChangeCardIssue): string {
  switch (issue.code) {
    case "card-issues":
      return "The card cannot be changed so: something would be drained that cannot be filled or shut again.";
    case "amounts-told":
      return `“${issue.name}” must stay: litres were told there, and what went out and in is always counted.`;
    case "job-missing":
    case "job-finished":
    case "rejected":
    case "why-missing":
      return tapIssueWords(issue);
  }
}

/** What stands in the way of giving a job up. */
export function giveUpIssueWords(issue: GiveUpIssue): string {
  switch (issue.code) {
    case "something-done":
      return "Something was done: finish the job, so that the log tells it. What is not done stays due.";
    case "unfinished":
      return "Something is left open: see what keeps it from being finished.";
    case "job-missing":
    case "job-finished":
      return tapIssueWords(issue);
  }
}
