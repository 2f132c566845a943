import { isEqual } from "es-toolkit";
import type { Change, RecordChange } from "../../book/change/change.js";
import type { ChangedElsewhere, CommandContext, CommandResult } from "../../book/change/command.js";
import { failure, success } from "../../book/change/result.js";
import type { MachineId, TaskId, VisitId } from "../../book/records/ids.js";
import type { Quote, Visit } from "../../book/records/visit.js";
import type { Slice } from "../../book/slice/slice.js";
import { formatDay, type DayNumber } from "../../calendar/dayNumber.js";
import type { Turn } from "./turn.js";

/** What every change to the visits of a machine reads. */
export const VISIT_NEEDS = ["tasks", "visits"] as const;

type VisitSlice = Slice<(typeof VISIT_NEEDS)[number]>;

/** What stands in the way of a change to visits. */
export type VisitIssue =
  | ChangedElsewhere
  | { readonly code: "task-not-found"; readonly task: TaskId }
  /** Split, one of the two visits would be left without work. */
  | { readonly code: "nothing-to-split" };

/** What a change to visits is told of the world. */
export interface VisitContext extends Pick<CommandContext, "today" | "newId"> {
  /** The number of the last record of the machine's log as the person saw it, null where it has none. */
  readonly since: number | null;
}

function edited(before: Visit | null, after: Visit | null): RecordChange<"visits"> {
  return { section: "visits", id: (after ?? before)?.id ?? "", before, after };
}

const changeOf = (command: string, ...records: RecordChange<"visits">[]): Change => ({
  command,
  records,
});

/** What no longer lets a visit be changed as it was seen, or work be put into one; empty where nothing does. */
function issuesOf(
  { tasks, visits }: VisitSlice,
  seen: Visit | null,
  wanted: readonly TaskId[],
): VisitIssue[] {
  const id = seen?.id;
  if (id !== undefined && !isEqual(visits.find((visit) => visit.id === id) ?? null, seen)) {
    return [{ code: "changed-elsewhere", section: "visits", id }];
  }
  const strange = wanted.find((task) => !tasks.some((one) => one.id === task));
  return strange === undefined ? [] : [{ code: "task-not-found", task: strange }];
}

/** Changes a visit as long as it stands as it was seen. */
function changed(
  slice: VisitSlice,
  seen: Visit,
  command: string,
  after: Visit | null,
): CommandResult<VisitIssue> {
  const issues = issuesOf(slice, seen, []);
  return issues.length > 0 ? failure(issues) : success(changeOf(command, edited(seen, after)));
}

/** A turn of a task by its number from today. */
export type TurnName = Pick<Turn, "task" | "number">;

/** A visit that is decided on: work on a machine on a day. */
export interface NewVisit {
  readonly day: DayNumber;
  readonly tasks: readonly TaskId[];
  /** Which turns of its tasks are meant, counted from today; of a task that is not named, the turn of the day. */
  readonly turns?: readonly TurnName[];
  readonly without?: readonly TaskId[];
  readonly isPinned?: boolean;
}

function visitOf(
  machine: MachineId,
  visit: NewVisit,
  { today, newId, since }: VisitContext,
): Visit {
  const { day, tasks, turns = [], without = [], isPinned = false } = visit;
  const named = turns.filter(({ task }) => tasks.includes(task));
  return {
    id: newId() as VisitId,
    machine,
    date: formatDay(day),
    tasks: [...tasks],
    ...(named.length > 0 ? { turns: named.map(({ task, number }) => ({ task, number })) } : {}),
    accepted: formatDay(today),
    ...(since === null ? {} : { since }),
    ...(isPinned ? { pinned: true } : {}),
    ...(without.length > 0 ? { without: [...without] } : {}),
  };
}

/** Accepts visits of a machine that were proposed, or makes them up. Refused: a task the machine no longer has. */
export function acceptVisits(
  slice: VisitSlice,
  visits: readonly NewVisit[],
  context: VisitContext,
): CommandResult<VisitIssue> {
  const wanted = visits.flatMap(({ tasks, without = [] }) => [...tasks, ...without]);
  const issues = issuesOf(slice, null, wanted);
  if (issues.length > 0) return failure(issues);
  const [machine] = slice.machines;
  const records = visits.map((visit) => edited(null, visitOf(machine.id, visit, context)));
  return success(changeOf("accept-visit", ...records));
}

/** Moves a visit to another day. Refused: one that was changed since it was `seen`. */
export function moveVisit(
  slice: VisitSlice,
  seen: Visit,
  day: DayNumber,
): CommandResult<VisitIssue> {
  return changed(slice, seen, "move-visit", { ...seen, date: formatDay(day) });
}

/**
 * Moves a visit to a day, where it is not on it yet, and takes turns into it, those counted from today. Refused: a visit that
 * was changed since it was `seen`, a task the machine no longer has.
 */
export function settleVisit(
  slice: VisitSlice,
  seen: Visit,
  day: DayNumber,
  added: readonly TurnName[],
  { today, since }: Pick<VisitContext, "today" | "since">,
): CommandResult<VisitIssue> {
  const wanted = added.map(({ task }) => task);
  const issues = issuesOf(slice, seen, wanted);
  if (issues.length > 0) return failure(issues);
  const others = withTasks(
    seen,
    seen.tasks.filter((one) => !wanted.includes(one)),
  );
  const chosen = added.map(({ task, number }) => ({
    ...{ task, number, accepted: formatDay(today) },
    ...(since === null ? {} : { since }),
  }));
  const turns = [...(others.turns ?? []), ...chosen];
  const after = {
    ...others,
    date: formatDay(day),
    tasks: [...others.tasks, ...wanted],
    ...(turns.length > 0 ? { turns } : {}),
  };
  return success(changeOf("move-visit", edited(seen, after)));
}

/** Settles the day of a visit, or leaves it open again. Refused: one that was changed since it was `seen`. */
export function pinVisit(
  slice: VisitSlice,
  seen: Visit,
  isPinned: boolean,
): CommandResult<VisitIssue> {
  return changed(slice, seen, "pin-visit", { ...seen, pinned: isPinned });
}

/** Says something of a visit; empty for nothing. Refused: one that was changed since it was `seen`. */
export function noteVisit(slice: VisitSlice, seen: Visit, note: string): CommandResult<VisitIssue> {
  return changed(slice, seen, "note-visit", { ...seen, note: note.trim() || null });
}

/** Writes down what a workshop asks for the work of a visit; null takes it out again. Refused: one that was changed since it was `seen`. */
export function quoteVisit(
  slice: VisitSlice,
  seen: Visit,
  quote: Quote | null,
): CommandResult<VisitIssue> {
  return changed(slice, seen, "quote-visit", { ...seen, quote });
}

/** A visit with some tasks only, in their order, and the turns that are meant of these. */
function withTasks(visit: Visit, tasks: readonly TaskId[]): Visit {
  const { turns, ...rest } = visit;
  const named = (turns ?? []).filter(({ task }) => tasks.includes(task));
  return { ...rest, tasks: [...tasks], ...(named.length > 0 ? { turns: named } : {}) };
}

/**
 * Takes a task into a visit: the turn of that number from today, or with none the turn of the day. Refused: a visit
 * that was changed since it was `seen`, a task the machine no longer has.
 */
export function addToVisit(
  slice: VisitSlice,
  seen: Visit,
  task: TaskId,
  number: number | null,
  { today, since }: Pick<VisitContext, "today" | "since">,
): CommandResult<VisitIssue> {
  const issues = issuesOf(slice, seen, [task]);
  if (issues.length > 0) return failure(issues);
  const others = withTasks(
    seen,
    seen.tasks.filter((one) => one !== task),
  );
  const without = (seen.without ?? []).filter((one) => one !== task);
  // Counted from now, not from when the visit was decided on.
  const chosen = number === null ? [] : [{ task, number, accepted: formatDay(today), since }];
  const turns = [...(others.turns ?? []), ...chosen];
  const tasks = [...others.tasks, task];
  const after = { ...others, tasks, ...(turns.length > 0 ? { turns } : {}), without };
  return success(changeOf("add-to-visit", edited(seen, after)));
}

/** Leaves a task out of a visit; it is not proposed for it again. A visit left without any is dropped. Refused: one that was changed since it was `seen`. */
export function leaveOut(slice: VisitSlice, seen: Visit, task: TaskId): CommandResult<VisitIssue> {
  const tasks = seen.tasks.filter((one) => one !== task);
  if (tasks.length === 0) return dropVisit(slice, seen);
  const without = [...(seen.without ?? []).filter((one) => one !== task), task];
  return changed(slice, seen, "leave-out-of-visit", { ...withTasks(seen, tasks), without });
}

/** Moves some tasks of a visit into one of their own on another day. Refused: where one of the two would have none, and a visit that was changed since it was `seen`. */
export function splitVisit(
  slice: VisitSlice,
  seen: Visit,
  tasks: readonly TaskId[],
  day: DayNumber,
  context: VisitContext,
): CommandResult<VisitIssue> {
  const stays = seen.tasks.filter((one) => !tasks.includes(one));
  const goes = seen.tasks.filter((one) => tasks.includes(one));
  if (stays.length === 0 || goes.length === 0) return failure([{ code: "nothing-to-split" }]);
  const issues = issuesOf(slice, seen, []);
  if (issues.length > 0) return failure(issues);
  const parted = visitOf(seen.machine, { day, tasks: goes }, context);
  const { turns } = withTasks(seen, goes);
  const own = {
    ...parted,
    ...(turns === undefined ? {} : { turns }),
    accepted: seen.accepted,
    ...("since" in seen ? { since: seen.since } : {}),
  };
  return success(changeOf("split-visit", edited(seen, withTasks(seen, stays)), edited(null, own)));
}

/** Drops a visit from the book: its tasks are proposed anew. Refused: one that was changed since it was `seen`. */
export function dropVisit(slice: VisitSlice, seen: Visit): CommandResult<VisitIssue> {
  return changed(slice, seen, "drop-visit", null);
}
