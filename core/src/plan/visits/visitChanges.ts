import type { Change, RecordChange } from "../../book/change/change.js";
import type { MachineId, TaskId, VisitId } from "../../book/records/ids.js";
import type { Visit } from "../../book/records/visit.js";
import { formatDay, type DayNumber } from "../../calendar/dayNumber.js";
import type { Turn } from "./turn.js";

/** What a change to visits is told of the world. */
export interface VisitContext {
  readonly today: DayNumber;
  readonly newId: () => string;
  /** The number of the last record of the machine's log, null where it has none. */
  readonly since: number | null;
}

function edited(before: Visit | null, after: Visit | null): RecordChange<"visits"> {
  return { section: "visits", id: (after ?? before)?.id ?? "", before, after };
}

const changeOf = (command: string, ...records: RecordChange<"visits">[]): Change => ({
  command,
  records,
});

/** A turn of a task by its number from today. */
type TurnName = Pick<Turn, "task" | "number">;

/** A visit that is decided on: work on a machine on a day. */
export interface NewVisit {
  readonly machine: MachineId;
  readonly day: DayNumber;
  readonly tasks: readonly TaskId[];
  /** Which turns of its tasks are meant, counted from today; of a task that is not named, the turn of the day. */
  readonly turns?: readonly TurnName[];
  readonly without?: readonly TaskId[];
  readonly isPinned?: boolean;
}

function visitOf(visit: NewVisit, { today, newId, since }: VisitContext): Visit {
  const { machine, day, tasks, turns = [], without = [], isPinned = false } = visit;
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

/** Accepts visits that were proposed, or makes them up. */
export function acceptVisits(visits: readonly NewVisit[], context: VisitContext): Change {
  const records = visits.map((visit) => edited(null, visitOf(visit, context)));
  return changeOf("accept-visit", ...records);
}

/** Moves a visit to another day. */
export function moveVisit(visit: Visit, day: DayNumber): Change {
  return changeOf("move-visit", edited(visit, { ...visit, date: formatDay(day) }));
}

/** Settles the day of a visit, or leaves it open again. */
export function pinVisit(visit: Visit, isPinned: boolean): Change {
  return changeOf("pin-visit", edited(visit, { ...visit, pinned: isPinned }));
}

/** Says something of a visit; empty for nothing. */
export function noteVisit(visit: Visit, note: string): Change {
  return changeOf("note-visit", edited(visit, { ...visit, note: note.trim() || null }));
}

/** A visit with some tasks only, in their order, and the turns that are meant of these. */
function withTasks(visit: Visit, tasks: readonly TaskId[]): Visit {
  const { turns, ...rest } = visit;
  const named = (turns ?? []).filter(({ task }) => tasks.includes(task));
  return { ...rest, tasks: [...tasks], ...(named.length > 0 ? { turns: named } : {}) };
}

/** Takes a task into a visit: the turn of that number from today, or with none the turn of the day. */
export function addToVisit(
  visit: Visit,
  task: TaskId,
  number: number | null,
  { today, since }: Pick<VisitContext, "today" | "since">,
): Change {
  const others = withTasks(
    visit,
    visit.tasks.filter((one) => one !== task),
  );
  const without = (visit.without ?? []).filter((one) => one !== task);
  // Counted from now, not from when the visit was decided on.
  const chosen = number === null ? [] : [{ task, number, accepted: formatDay(today), since }];
  const turns = [...(others.turns ?? []), ...chosen];
  const tasks = [...others.tasks, task];
  const after = { ...others, tasks, ...(turns.length > 0 ? { turns } : {}), without };
  return changeOf("add-to-visit", edited(visit, after));
}

/** Leaves a task out of a visit; it is not proposed for it again. A visit left without any is dropped. */
export function leaveOut(visit: Visit, task: TaskId): Change {
  const tasks = visit.tasks.filter((one) => one !== task);
  if (tasks.length === 0) return dropVisit(visit);
  const without = [...(visit.without ?? []).filter((one) => one !== task), task];
  return changeOf("leave-out-of-visit", edited(visit, { ...withTasks(visit, tasks), without }));
}

/** Moves some tasks of a visit into one of their own on another day. */
export function splitVisit(
  visit: Visit,
  tasks: readonly TaskId[],
  day: DayNumber,
  context: VisitContext,
): Change {
  const stays = visit.tasks.filter((one) => !tasks.includes(one));
  const goes = visit.tasks.filter((one) => tasks.includes(one));
  if (stays.length === 0 || goes.length === 0) return changeOf("split-visit");
  const parted = visitOf({ machine: visit.machine, day, tasks: goes }, context);
  const { turns } = withTasks(visit, goes);
  const own = {
    ...parted,
    ...(turns === undefined ? {} : { turns }),
    accepted: visit.accepted,
    ...("since" in visit ? { since: visit.since } : {}),
  };
  return changeOf("split-visit", edited(visit, withTasks(visit, stays)), edited(null, own));
}

/** Drops a visit from the book: its tasks are proposed anew. */
export function dropVisit(visit: Visit): Change {
  return changeOf("drop-visit", edited(visit, null));
}
