import type { Task } from "../book/task.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { addIntervals } from "../calendar/interval.js";
import {
  completionFact,
  completionLife,
  datedFact,
  type Completion,
  type CompletionFact,
} from "./completion.js";
import { intervalOf, type Due } from "./due.js";
import type { Basis } from "./limitReckoning.js";
import {
  completionsOf,
  inServiceDay,
  ownLimitsDue,
  type LimitDue,
  type MachineState,
} from "./taskDue.js";

type Nth = NonNullable<Task["nth"]>;

interface NthContext {
  readonly nth: Nth;
  /** This task's own last completion. */
  readonly last: Completion | null;
  /** The other task's completions on a later date than that, earliest first. */
  readonly turns: readonly Completion[];
  readonly state: MachineState;
}

/** Where a task that comes with every n-th turn of another is due, limit by limit of the other (due rules §5). */
export function nthDue(task: Task, nth: Nth, state: MachineState): LimitDue[] {
  const other = state.tasks.get(nth.of);
  if (other === undefined) return [];
  const last = completionsOf(state, task.id).at(-1) ?? null;
  const turns = completionsOf(state, nth.of).filter(
    (completion) => last === null || completion.day > last.day,
  );
  const context: NthContext = { nth, last, turns, state };
  return ownLimitsDue(other, state).map((borrowed): LimitDue =>
    borrowed.kind === "meter"
      ? { ...borrowed, due: nthMeterDue(borrowed, context) }
      : { ...borrowed, due: nthCalendarDue(borrowed, context) },
  );
}

function nthBasis(
  { nth, turns }: NthContext,
  skippedAt: CompletionFact | null,
  last: CompletionFact | null,
  heldBack: boolean,
): Basis {
  return {
    code: "nth",
    of: nth.of,
    every: nth.every,
    turns: turns.length,
    skippedAt,
    heldBack,
    last,
  };
}

function nthMeterDue(
  borrowed: Extract<LimitDue, { kind: "meter" }>,
  context: NthContext,
): Due<number> {
  const { nth, last, turns } = context;
  const { due: others, limit, reckoning } = borrowed;
  if (others.state !== "set")
    return { state: others.state, basis: { code: "nth-unknown", of: nth.of } };
  const skipped = turns[nth.every - 1] ?? null;
  const every = limit.every ?? 0;
  const reached =
    skipped === null
      ? others.due + (nth.every - 1 - turns.length) * every
      : completionLife(skipped, reckoning);
  const lastFact = last === null ? null : completionFact(last, reckoning);
  const skippedFact = skipped === null ? null : completionFact(skipped, reckoning);
  if (reached === null) {
    const basis: Basis =
      skippedFact === null
        ? { code: "nth-unknown", of: nth.of }
        : { code: "life-unknown-then", last: skippedFact };
    return { state: "unknown", basis };
  }
  const ownLife = last === null ? null : completionLife(last, reckoning);
  const due = ownLife === null ? reached : Math.max(reached, ownLife + every);
  const from = last === null ? 0 : ownLife;
  return {
    state: "set",
    due,
    from,
    basis: nthBasis(context, skippedFact, lastFact, due > reached),
  };
}

function nthCalendarDue(
  borrowed: Extract<LimitDue, { kind: "calendar" }>,
  context: NthContext,
): Due<DayNumber> {
  const { nth, last, turns, state } = context;
  const { due: others, limit } = borrowed;
  if (others.state !== "set")
    return { state: others.state, basis: { code: "nth-unknown", of: nth.of } };
  const interval = intervalOf(limit);
  const skipped = turns[nth.every - 1] ?? null;
  const reached = skipped?.day ?? addIntervals(others.due, interval, nth.every - 1 - turns.length);
  const earliest = last === null ? reached : addIntervals(last.day, interval, 1);
  const due = earliest > reached ? earliest : reached;
  const skippedFact = skipped === null ? null : datedFact(skipped);
  const lastFact = last === null ? null : datedFact(last);
  return {
    state: "set",
    due,
    from: last === null ? inServiceDay(state.machine) : last.day,
    basis: nthBasis(context, skippedFact, lastFact, due > reached),
  };
}
