import type { Task } from "../book/records/task.js";
import type { LimitDue, NthContext } from "./limits/due.js";
import { nthLimitDue } from "./limits/kinds.js";
import type { MachineState } from "./machineState.js";
import { completionsOf, inServiceDay, ownLimitsDue } from "./taskDue.js";

type Nth = NonNullable<Task["nth"]>;

/** Where a task that comes with every n-th turn of another is due, limit by limit of the other (due rules §5). */
export function nthDue(task: Task, nth: Nth, state: MachineState): LimitDue[] {
  const other = state.tasks.get(nth.of);
  if (other === undefined) return [];
  const last = completionsOf(state, task.id).at(-1) ?? null;
  const turns = completionsOf(state, nth.of).filter(
    (completion) => last === null || completion.day > last.day,
  );
  const context: NthContext = { nth, last, turns, inService: inServiceDay(state.machine) };
  return ownLimitsDue(other, state).map((borrowed) => nthLimitDue(borrowed, context));
}
