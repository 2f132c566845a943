import type { Task } from "../book/records/task.js";
import { addDays, type DayNumber } from "../calendar/dayNumber.js";
import { everyInterval, everySoMuch } from "../limit/limit.js";
import { hasReached } from "../meter/life.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";
import {
  completionFact,
  completionLife,
  datedFact,
  isLater,
  type Completion,
} from "./completion.js";
import type { Due, LimitDue } from "./limits/due.js";
import type { MachineState } from "./machineState.js";
import { completionsOf } from "./taskDue.js";

type Follows = NonNullable<Task["follows"]>;

/** Where a task that follows another is due: armed by the other's latest completion (due rules §5). */
export function followsDue(task: Task, follows: Follows, state: MachineState): LimitDue[] {
  const armedBy = completionsOf(state, follows.task).at(-1) ?? null;
  const later =
    armedBy === null
      ? []
      : completionsOf(state, task.id).filter((completion) => isLater(completion, armedBy));
  const days = follows.days ?? null;
  if (days !== null) {
    const limit = everyInterval({ days });
    return [{ kind: "calendar", limit, due: byDays(follows, days, armedBy, later) }];
  }
  const meter = follows.meter ?? null;
  const reckoning = meter === null ? undefined : state.meters.get(meter);
  if (meter === null || reckoning === undefined) return [];
  const amount = follows.amount ?? 0;
  return [
    {
      kind: "meter",
      limit: everySoMuch(meter, amount),
      reckoning,
      due: byMeter(follows, amount, armedBy, later, reckoning),
    },
  ];
}

function byDays(
  follows: Follows,
  days: number,
  armedBy: Completion | null,
  later: readonly Completion[],
): Due<DayNumber> {
  const { task } = follows;
  if (armedBy === null) return { state: "finished", basis: { code: "follows-waiting", task } };
  const by = datedFact(armedBy);
  const enough = armedBy.day + Math.ceil(days / 2);
  const done = later.find((completion) => completion.day >= enough);
  if (done !== undefined) {
    const last = datedFact(done);
    return { state: "finished", basis: { code: "follows-done", task, by, last } };
  }
  const due = addDays(armedBy.day, days);
  return { state: "set", due, from: armedBy.day, basis: { code: "follows-armed", task, by } };
}

function byMeter(
  follows: Follows,
  amount: number,
  armedBy: Completion | null,
  later: readonly Completion[],
  reckoning: MeterReckoning,
): Due<number> {
  const { task } = follows;
  if (armedBy === null) return { state: "finished", basis: { code: "follows-waiting", task } };
  const by = completionFact(armedBy, reckoning);
  const from = completionLife(armedBy, reckoning);
  if (from === null) return { state: "unknown", basis: { code: "life-unknown-then", last: by } };
  const done = later.find((completion) => {
    const life = completionLife(completion, reckoning);
    return life !== null && hasReached(life, from + amount / 2);
  });
  if (done !== undefined) {
    const last = completionFact(done, reckoning);
    return { state: "finished", basis: { code: "follows-done", task, by, last } };
  }
  return { state: "set", due: from + amount, from, basis: { code: "follows-armed", task, by } };
}
