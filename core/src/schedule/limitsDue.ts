import type { Task } from "../book/records/task.js";
import { followsDue } from "./follows.js";
import { nthDue } from "./nth.js";
import { testedDue, testInEffect } from "./setAside.js";
import type { LimitDue } from "./limits/due.js";
import type { MachineState } from "./machineState.js";
import { ownLimitsDue } from "./taskDue.js";

/** Where its limits are due; those of a task tested sound are set aside but for the hard ones (due rules §11). */
export function limitsDue(task: Task, state: MachineState): LimitDue[] {
  const test = testInEffect(task, state);
  const own = limitsWithoutTest(task, state);
  const isFinished = own.length > 0 && own.every(({ due }) => due.state === "finished");
  if (test === null || isFinished) return own;
  return [...testedDue(test, state), ...own.filter(({ limit }) => limit.hard)];
}

function limitsWithoutTest(task: Task, state: MachineState): LimitDue[] {
  if (task.nth) return nthDue(task, task.nth, state);
  if (task.follows) return followsDue(task, task.follows, state);
  return ownLimitsDue(task, state);
}
