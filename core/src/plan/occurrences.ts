import type { CurrentRecord } from "../book/slice/currentRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { EntryId, TaskId } from "../book/records/ids.js";
import type { Task } from "../book/records/task.js";
import { addDays, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { hasReached } from "../meter/life.js";
import type { MeterReckoning } from "../meter/reckonMeter.js";
import type { Completion } from "../schedule/completion.js";
import { limitsDue } from "../schedule/limitsDue.js";
import type { LimitDue } from "../schedule/limits/due.js";
import type { MachineState } from "../schedule/machineState.js";

/** A turn of a task that is to come. */
export interface Occurrence {
  readonly task: TaskId;
  readonly day: DayNumber;
  /** The limits that ask for it and have a day, each with its own. */
  readonly limits: readonly LimitDay[];
}

/** A limit and the day by which it is reckoned to fall due. */
export interface LimitDay {
  readonly due: LimitDue;
  readonly day: DayNumber;
}

/** More turns than this of one machine are not reckoned: something is due many times a day. */
const MOST_OCCURRENCES = 50_000;
/** Absorbs the last digit of a division before it is rounded up to a whole day. */
const WHOLE_DAY_TOLERANCE = 1e-9;

/** The first day from a day on by which a meter has reached, or is reckoned to reach, a life in its unit; null where it never does. */
export type Reach = (reckoning: MeterReckoning, due: number, from: DayNumber) => DayNumber | null;

/** As the machine is reckoned to run on from today. */
function reachAhead(
  { life, rate, running }: MeterReckoning,
  due: number,
  today: DayNumber,
): DayNumber | null {
  if (life === null) return null;
  if (hasReached(life, due)) return today;
  const { perDay } = rate;
  if (perDay === null || perDay <= 0) return null;
  return running.after(today, Math.ceil((due - life) / perDay - WHOLE_DAY_TOLERANCE));
}

function dayOfLimit(limit: LimitDue, today: DayNumber, reach: Reach): DayNumber | null {
  switch (limit.kind) {
    case "meter":
    case "measured":
      return limit.due.state === "set" ? reach(limit.reckoning, limit.due.due, today) : null;
    case "calendar":
      return limit.due.state === "set" ? limit.due.due : null;
  }
}

/** When a task falls due next, all limits taken together; null where it has no day. */
function nextTurn(task: Task, state: MachineState, reach: Reach): Omit<Occurrence, "task"> | null {
  const dues = limitsDue(task, state).filter(({ due }) => due.state !== "finished");
  const limits = dues.flatMap((due): LimitDay[] => {
    const day = dayOfLimit(due, state.today, reach);
    return day === null ? [] : [{ due, day }];
  });
  if (limits.length === 0) return null;
  const days = limits.map(({ day }) => day);
  if ((task.combine ?? "first") === "first") return { day: Math.min(...days) as DayNumber, limits };
  return limits.length === dues.length ? { day: Math.max(...days) as DayNumber, limits } : null;
}

/** A task done on a day to come, after all that is in the book (`order` tells several apart). */
export function completionOn(task: Task, day: DayNumber, order: number): Completion {
  const record = {
    id: `turn ${order}` as EntryId,
    machine: task.machine,
    date: formatDay(day),
    tasks: [task.id],
  } as unknown as Entry;
  return { record, day, order } satisfies CurrentRecord<Entry>;
}

/** A task that leans on no other comes first, so that what goes with it finds it done. */
const leans = (task: Task): number =>
  Number((task.nth ?? null) !== null) + 2 * Number((task.follows ?? null) !== null);

/**
 * The turns of a machine's tasks from `state.today` on, earliest first, were each done on the very day
 * it falls due and the machine to run on at its present pace. What is due already is done today. Tasks
 * without a date have no turns. By the due rules, one turn after the other; it ends where nothing is to
 * come, else never.
 */
function* turnsAhead(
  state: MachineState,
  reach: Reach = reachAhead,
): Generator<Occurrence, void, undefined> {
  const completions = new Map<TaskId, Completion[]>();
  for (const [task, list] of state.completions) completions.set(task, [...list]);
  const ahead: MachineState = { ...state, completions };
  const tasks = [...state.tasks.values()].sort((one, other) => leans(one) - leans(other));
  const last = new Map<TaskId, DayNumber>();
  const next = new Map<TaskId, Occurrence>();
  const look = (task: Task): void => {
    const turn = nextTurn(task, ahead, reach);
    const done = last.get(task.id);
    const earliest = done === undefined ? state.today : addDays(done, 1);
    if (turn === null) next.delete(task.id);
    else {
      const day = turn.day > earliest ? turn.day : earliest;
      next.set(task.id, { task: task.id, day, limits: turn.limits });
    }
  };
  for (const task of tasks) look(task);
  for (let count = 1; ; count += 1) {
    const first = earliestOf(tasks, next);
    if (first === null) return;
    const { task, turn } = first;
    const { day } = turn;
    yield turn;
    last.set(task.id, day);
    // Numbered after all that is in the book.
    const done = completionOn(task, day, Number.MAX_SAFE_INTEGER / 2 + count);
    completions.set(task.id, [...(completions.get(task.id) ?? []), done]);
    for (const other of tasks) if (leansOn(other, task.id)) look(other);
  }
}

function earliestOf(
  tasks: readonly Task[],
  next: ReadonlyMap<TaskId, Occurrence>,
): { readonly task: Task; readonly turn: Occurrence } | null {
  let first: { readonly task: Task; readonly turn: Occurrence } | null = null;
  for (const task of tasks) {
    const turn = next.get(task.id);
    if (turn !== undefined && (first === null || turn.day < first.turn.day)) first = { task, turn };
  }
  return first;
}

const leansOn = (task: Task, id: TaskId): boolean =>
  task.id === id || task.nth?.of === id || task.follows?.task === id;

/** The turns of {@link turnsAhead} up to and with `until`; as the machine is reckoned to run on, where nothing else says when it reaches a life. */
export function occurrences(state: MachineState, until: DayNumber, reach?: Reach): Occurrence[] {
  const found: Occurrence[] = [];
  for (const turn of turnsAhead(state, reach)) {
    if (turn.day > until || found.length >= MOST_OCCURRENCES) break;
    found.push(turn);
  }
  return found;
}

/** The next turns of one task up to and with `until`, at most so many. */
export function nextTurns(
  state: MachineState,
  task: Task,
  most: number,
  until: DayNumber,
): DayNumber[] {
  const needed = [task.id, task.nth?.of, task.follows?.task];
  const tasks = new Map([...state.tasks].filter(([id]) => needed.includes(id)));
  const days: DayNumber[] = [];
  for (const turn of turnsAhead({ ...state, tasks })) {
    if (turn.day > until || days.length >= most) break;
    if (turn.task === task.id) days.push(turn.day);
  }
  return days;
}
