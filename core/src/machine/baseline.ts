import type { RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { TaskId } from "../book/records/ids.js";
import type { Machine } from "../book/records/machine.js";
import type { MachineBook, Slice } from "../book/slice/slice.js";
import { failure, success } from "../book/change/result.js";
import { DEFAULT_SETTINGS } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { logWork, type LogWorkIssue, type WorkFigure } from "../ledger/logWork.js";
import { reckonMachineBook } from "../board/board.js";
import { inServiceDay } from "../schedule/taskDue.js";

/** What was decided of a task of a machine that came without records. */
export type BaselineAnswer =
  /** Nothing yet. */
  | { readonly code: "open" }
  | { readonly code: "do-now"; readonly since: DayNumber }
  /** Done, by a record or by the work itself. */
  | { readonly code: "done"; readonly on: DayNumber }
  /** Not due yet: counted from when the machine was new, assumed. */
  | { readonly code: "from-new"; readonly on: DayNumber }
  /** Judged sound: counted from here, assumed. */
  | { readonly code: "judged-sound"; readonly on: DayNumber }
  /** Tested sound: to be looked at again, which puts off when it is due. */
  | { readonly code: "look-again"; readonly on: DayNumber }
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
  const [machine] = book.machines;
  const left = machine.baseline?.left ?? [];
  return book.tasks.filter(needsStart).map((task) => {
    const done = entries.findLast(({ record }) => (record.tasks ?? []).includes(task.id));
    const wanted = entries.findLast(({ record }) => (record.wanted ?? []).includes(task.id));
    const tested = entries.findLast(({ record }) =>
      (record.lookAgain ?? []).some((one) => one.task === task.id),
    );
    const answer: BaselineAnswer =
      done !== undefined
        ? { code: codeOf(done.record, machine), on: done.day }
        : wanted !== undefined && wanted.day >= (tested?.day ?? wanted.day)
          ? { code: "do-now", since: wanted.day }
          : tested !== undefined
            ? { code: "look-again", on: tested.day }
            : { code: left.includes(task.id) ? "left-unknown" : "open" };
    return { task, answer };
  });
}

function codeOf(
  { assumed, date }: Entry,
  { inService }: Machine,
): "done" | "from-new" | "judged-sound" {
  if (assumed !== true) return "done";
  return date === inService ? "from-new" : "judged-sound";
}

/**
 * The tasks of a machine with a known history that were never done as far as the book tells, though the machine
 * is past their first turn: they count from when it was new, and are overdue for want of a record.
 */
export function tasksWithoutStart(book: MachineBook, today: DayNumber): Task[] {
  return reckonMachineBook(book, DEFAULT_SETTINGS, today).tasks.flatMap(({ task, limits }) => {
    if (!needsStart(task)) return [];
    const isPast = limits.some(({ basis, remaining }) => {
      const isNever =
        basis.code === "never-done" ||
        ((basis.code === "grid" || basis.code === "nth") && basis.last === null);
      return isNever && remaining !== null && remaining < 0;
    });
    return isPast ? [task] : [];
  });
}

/** A machine that is taken on: what its tasks start from is decided one by one, and nothing is overdue for want of a record. */
export function begunBaseline(machine: Machine, today: DayNumber): RecordChange[] {
  const { finished: _, ...baseline } = machine.baseline ?? { begun: formatDay(today) };
  return changeOf(machine, { ...machine, history: "unknown", baseline });
}

/** What a person decides of a task. */
export type BaselineDecision =
  /** `note`: how, and what shows it. */
  | { readonly code: "do-now"; readonly note?: string }
  /** Left as it is: tested sound with what was seen, to be looked at again after so many months. */
  | { readonly code: "look-again"; readonly months: number; readonly note: string }
  | {
      readonly code: "done";
      readonly day: DayNumber;
      readonly figures: readonly WorkFigure[];
      readonly note: string;
      /** What follows it was done too, taken as assumed. */
      readonly followUpsDone?: boolean;
    }
  | {
      readonly code: "judged-sound";
      readonly figures: readonly WorkFigure[];
      readonly note: string;
    }
  /** Not due yet: it counts from when the machine went into service, on dials that stood at 0 then. */
  | { readonly code: "from-new"; readonly note: string }
  | { readonly code: "leave-unknown" };

/** What stands in the way of a decision. */
export type BaselineIssue =
  | LogWorkIssue
  /** It is not recorded when the machine went into service. */
  | { readonly code: "in-service-missing" };

/**
 * Decides on what some tasks of a machine without records start from, all of them alike. Each decision is a change of
 * its own, so that it can be put down at any time and gone on with. Refused: what {@link logWork} refuses, and
 * counting from new where it is not recorded when the machine went into service.
 */
export function decideBaseline(
  book: MachineBook,
  tasks: readonly TaskId[],
  decision: BaselineDecision,
  context: CommandContext,
): CommandResult<BaselineIssue> {
  const strange = tasks.find((task) => !book.tasks.some((one) => one.id === task));
  if (strange !== undefined) return failure([{ code: "task-not-found", task: strange }]);
  const { today } = context;
  const work = workOf(book, tasks, decision, today);
  if (work === "in-service-missing") return failure([{ code: work }]);
  const logged = work === null ? null : logWork(book, work, context);
  if (logged !== null && !logged.ok) return logged;
  const [machine] = book.machines;
  const before = machine.baseline ?? { begun: formatDay(today) };
  const others = (before.left ?? []).filter((one) => !tasks.includes(one));
  const left = decision.code === "leave-unknown" ? [...others, ...tasks] : others;
  const noted = changeOf(machine, { ...machine, baseline: { ...before, left } });
  return success({
    command: "decide-baseline",
    records: [...noted, ...(logged?.value.records ?? [])],
  });
}

function workOf(
  book: MachineBook,
  tasks: readonly TaskId[],
  decision: BaselineDecision,
  today: DayNumber,
): Parameters<typeof logWork>[1] | null | "in-service-missing" {
  const shared = { day: today, tasks: [], figures: [], note: "" };
  switch (decision.code) {
    case "do-now":
      return { ...shared, wanted: tasks, note: decision.note ?? "" };
    case "look-again": {
      const { months, note } = decision;
      const lookAgain = tasks.map((task) => ({ task, months, ...(note ? { found: note } : {}) }));
      return { ...shared, lookAgain };
    }
    case "done": {
      const { day, figures, note, followUpsDone = false } = decision;
      return { day, tasks, figures, note, followUpsDone };
    }
    case "judged-sound": {
      const { figures, note } = decision;
      return { ...shared, tasks, figures, note, assumed: true };
    }
    case "from-new": {
      const [machine] = book.machines;
      const day = inServiceDay(machine);
      if (day === null) return "in-service-missing";
      const { note } = decision;
      return { day, tasks, figures: figuresWhenNew(book), note, assumed: true };
    }
    case "leave-unknown":
      return null;
  }
}

/** What the dials of a machine stood at when it was new; not of those that were changed since, whose offset would count. */
function figuresWhenNew({ machines: [machine], meterChanges }: MachineBook): WorkFigure[] {
  const changed = new Set(meterChanges.map(({ meter }) => meter));
  return (machine.meters ?? [])
    .filter(({ id }) => !changed.has(id))
    .map(({ id }) => ({ meter: id, value: 0, estimated: true, answer: null }));
}

function changeOf(before: Machine, after: Machine): RecordChange[] {
  if (JSON.stringify(before) === JSON.stringify(after)) return [];
  return [{ section: "machines", id: before.id, before, after }];
}

/** Begins to take on a machine: what its tasks start from is to be said, and nothing is overdue for want of a record. */
export function takeOnMachine(book: Slice, { today }: CommandContext): CommandResult<never> {
  const records = begunBaseline(book.machines[0], today);
  return success({ command: "take-on-machine", records });
}

/** Says that the machine has been taken on; what is still open stays unknown, and can be decided later. */
export function finishBaseline(book: Slice, context: CommandContext): CommandResult<never> {
  const [machine] = book.machines;
  const finished = formatDay(context.today);
  const begun = machine.baseline?.begun ?? finished;
  const after = { ...machine, baseline: { ...machine.baseline, begun, finished } };
  return success({ command: "finish-baseline", records: changeOf(machine, after) });
}
