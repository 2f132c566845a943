import type { RecordChange } from "../book/change.js";
import type { CommandContext, CommandResult } from "../book/command.js";
import { currentRecords } from "../book/currentRecords.js";
import type { TaskId } from "../book/ids.js";
import type { Machine } from "../book/machine.js";
import type { MachineBook } from "../book/machineBook.js";
import { failure, success } from "../book/result.js";
import type { Task } from "../book/task.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { logWork, type LogWorkIssue, type WorkFigure } from "../ledger/logWork.js";

/** What was decided of a task of a machine that came without records. */
export type BaselineAnswer =
  /** Nothing yet. */
  | { readonly code: "open" }
  | { readonly code: "do-now"; readonly since: DayNumber }
  /** Done, by a record or by the work itself. */
  | { readonly code: "done"; readonly on: DayNumber }
  /** Judged sound: counted from here, assumed. */
  | { readonly code: "judged-sound"; readonly on: DayNumber }
  | { readonly code: "left-unknown" };

/** A task beside what was decided of it. */
export interface BaselineTask {
  readonly task: Task;
  readonly answer: BaselineAnswer;
}

/** Whether a task needs a starting point: it counts from a time before, and is not tied to each use or to other work. */
function needsStart({ follows, regimes, nth }: Task): boolean {
  const hasLimits = Object.values(regimes ?? {}).some((limits) => limits.length > 0);
  return !follows && (hasLimits || (nth ?? null) !== null);
}

/** The tasks of a machine that need a starting point, each with what was decided of it by `today`. */
export function baselineTasks(book: MachineBook, today: DayNumber): BaselineTask[] {
  const entries = currentRecords(book.entries).filter(({ day }) => day <= today);
  const left = book.machines[0].baseline?.left ?? [];
  return book.tasks.filter(needsStart).map((task) => {
    const done = entries.findLast(({ record }) => (record.tasks ?? []).includes(task.id));
    const wanted = entries.findLast(({ record }) => (record.wanted ?? []).includes(task.id));
    const answer: BaselineAnswer =
      done !== undefined
        ? { code: done.record.assumed === true ? "judged-sound" : "done", on: done.day }
        : wanted !== undefined
          ? { code: "do-now", since: wanted.day }
          : { code: left.includes(task.id) ? "left-unknown" : "open" };
    return { task, answer };
  });
}

/** What a person decides of a task. */
export type BaselineDecision =
  | { readonly code: "do-now" }
  | {
      readonly code: "done";
      readonly day: DayNumber;
      readonly figures: readonly WorkFigure[];
      readonly note: string;
    }
  | {
      readonly code: "judged-sound";
      readonly figures: readonly WorkFigure[];
      readonly note: string;
    }
  | { readonly code: "leave-unknown" };

/**
 * Decides on what a task of a machine without records starts from. Each decision is a change of its own,
 * so that it can be put down at any time and gone on with. Refused: what {@link logWork} refuses.
 */
export function decideBaseline(
  book: MachineBook,
  task: TaskId,
  decision: BaselineDecision,
  context: CommandContext,
): CommandResult<LogWorkIssue> {
  if (!book.tasks.some((one) => one.id === task)) {
    return failure([{ code: "task-not-found", task }]);
  }
  const { today } = context;
  const work = workOf(task, decision, today);
  const logged = work === null ? null : logWork(book, work, context);
  if (logged !== null && !logged.ok) return logged;
  const [machine] = book.machines;
  const before = machine.baseline ?? { begun: formatDay(today) };
  const others = (before.left ?? []).filter((one) => one !== task);
  const left = decision.code === "leave-unknown" ? [...others, task] : others;
  const noted = changeOf(machine, { ...machine, baseline: { ...before, left } });
  return success({
    command: "decide-baseline",
    records: [...noted, ...(logged?.value.records ?? [])],
  });
}

function workOf(
  task: TaskId,
  decision: BaselineDecision,
  today: DayNumber,
): Parameters<typeof logWork>[1] | null {
  const shared = { day: today, tasks: [], figures: [], note: "" };
  switch (decision.code) {
    case "do-now":
      return { ...shared, wanted: [task] };
    case "done": {
      const { day, figures, note } = decision;
      return { day, tasks: [task], figures, note };
    }
    case "judged-sound": {
      const { figures, note } = decision;
      return { ...shared, tasks: [task], figures, note, assumed: true };
    }
    case "leave-unknown":
      return null;
  }
}

function changeOf(before: Machine, after: Machine): RecordChange[] {
  if (JSON.stringify(before) === JSON.stringify(after)) return [];
  return [{ section: "machines", id: before.id, before, after }];
}

/** Says that the machine has been taken on; what is still open stays unknown, and can be decided later. */
export function finishBaseline(book: MachineBook, context: CommandContext): CommandResult<never> {
  const [machine] = book.machines;
  const finished = formatDay(context.today);
  const begun = machine.baseline?.begun ?? finished;
  const after = { ...machine, baseline: { ...machine.baseline, begun, finished } };
  return success({ command: "finish-baseline", records: changeOf(machine, after) });
}
