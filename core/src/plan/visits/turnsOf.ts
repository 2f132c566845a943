import type { MeterId, TaskId } from "../../book/records/ids.js";
import type { Planning, Settings } from "../../book/records/settings.js";
import type { Task } from "../../book/records/task.js";
import { governingLimit, likelyDay } from "../../board/governing.js";
import { addDays, daysBetween, type DayNumber } from "../../calendar/dayNumber.js";
import { dayCountedFrom, graceEnd, limitDays } from "../../schedule/limits/kinds.js";
import { reckonTask, type TaskReckoning } from "../../schedule/reckonTask.js";
import type { MachineState } from "../../schedule/machineState.js";
import { completionsOf, inServiceDay } from "../../schedule/taskDue.js";
import { taskNeeds, type NeedsSource, type TaskNeeds } from "../../stores/taskNeeds.js";
import { occurrences, type LimitDay, type Occurrence } from "../occurrences.js";
import type { Turn } from "./turn.js";

/** Why a task is not a matter for a visit. */
type NotPlanned =
  /** It comes round too often. */
  | "routine"
  /** It has no date, for want of a record or a limit. */
  | "no-date"
  /** It follows other work that is not done yet. */
  | "follows"
  /** Done with each use. */
  | "each-use";

/** The turns of a machine's tasks within a time, and why some tasks have none of theirs among them. */
export interface MachineTurns {
  readonly turns: readonly Turn[];
  readonly left: readonly { readonly task: TaskId; readonly because: NotPlanned }[];
}

/** The interval where nothing tells one, in days. */
const USUAL_INTERVAL = 365;
/** A turn may be brought forward by this share of its interval, and put off by it. */
const HALF = 0.5;
/** On a fixed grid a turn counts for a point only within this share of the interval before it (due rules §5). */
const GRID_SHARE = 0.25;

/**
 * The turns of a machine's tasks up to and with `until`, as visits weigh them. The next turn of each
 * stands where the board has it (the likely date; a hard limit by meter at its early one), the later
 * ones where they would fall were each done when due. Left out: what comes round within
 * `leastDays`, what is done with each use, what has no date, and what follows work still to be done.
 */
export function turnsOf(
  state: MachineState,
  settings: Settings,
  planning: Planning,
  source: NeedsSource,
  until: DayNumber,
): MachineTurns {
  const left: { task: TaskId; because: NotPlanned }[] = [];
  const reckoned = new Map<TaskId, TaskReckoning>();
  for (const task of state.tasks.values()) {
    const reckoning = reckonTask(task, state, settings);
    const because = notPlanned(task, reckoning, state, planning);
    if (because !== null) left.push({ task: task.id, because });
    else reckoned.set(task.id, reckoning);
  }
  const tasks = new Map([...state.tasks].filter(([id]) => isNeeded(id, reckoned)));
  const byTask = new Map<TaskId, Occurrence[]>();
  for (const turn of occurrences({ ...state, tasks }, until)) {
    byTask.set(turn.task, [...(byTask.get(turn.task) ?? []), turn]);
  }
  const turns = [...reckoned].flatMap(([id, reckoning]) =>
    turnsOfTask(reckoning, byTask.get(id) ?? [], state, { planning, source, until }),
  );
  turns.sort((one, other) => one.due - other.due || one.number - other.number);
  return { turns, left };
}

/** Whether a task has turns of its own, or others have theirs by it. */
function isNeeded(id: TaskId, reckoned: ReadonlyMap<TaskId, TaskReckoning>): boolean {
  if (reckoned.has(id)) return true;
  return [...reckoned.values()].some(({ task }) => task.nth?.of === id);
}

function notPlanned(
  task: Task,
  { status, governs, limits }: TaskReckoning,
  state: MachineState,
  { leastDays }: Planning,
): NotPlanned | null {
  if (task.eachUse && limits.length === 0) return "each-use";
  if (status === "finished") return task.follows ? "follows" : "no-date";
  if (likelyDay({ governs, limits }) === null) return "no-date";
  const days = daysOfInterval(task, limits, state);
  // What follows other work comes once, however soon after it.
  return !task.follows && days !== null && days < leastDays ? "routine" : null;
}

/** The shortest interval of a task's limits in days; null where none has one. */
export function daysOfInterval(
  task: Task,
  limits: TaskReckoning["limits"],
  state: MachineState,
): number | null {
  const paceOf = (meter: MeterId): number | null | undefined =>
    state.meters.get(meter)?.rate.perDay;
  const lengths = limits.flatMap(({ limit }) => limitDays(limit, paceOf) ?? []);
  return lengths.length === 0 ? null : Math.min(...lengths) * (task.nth?.every ?? 1);
}

/** What a turn of a task is worth, in the book's money: what it takes, and never less than the least. */
export function valueOfTurn(
  { parts, fluids, labour }: Pick<TaskNeeds, "parts" | "fluids" | "labour">,
  { leastTurnValue }: Pick<Planning, "leastTurnValue">,
): number {
  return Math.max(parts + fluids + labour, leastTurnValue);
}

interface Around {
  readonly planning: Planning;
  readonly source: NeedsSource;
  readonly until: DayNumber;
}

function turnsOfTask(
  reckoning: TaskReckoning,
  found: readonly Occurrence[],
  state: MachineState,
  { planning, source, until }: Around,
): Turn[] {
  const { task } = reckoning;
  const dates = [nextDates(reckoning), ...found.slice(1).map((turn) => laterDates(turn, task))];
  const shown = task.follows ? dates.slice(0, 1) : dates;
  const needs = taskNeeds(task, source);
  const own = {
    task: task.id,
    value: valueOfTurn(needs, planning),
    access: task.access ?? null,
    minutes: needs.minutes,
    ...((task.needs ?? []).length > 0 ? { needs: task.needs ?? [] } : {}),
    isOutside: (task.outside ?? null) !== null,
  };
  const isGrid = onGrid(task);
  const ownInterval = daysOfInterval(task, reckoning.limits, state);
  let before = dayBefore(reckoning, state);
  return shown.flatMap((date, index): Turn[] => {
    // A hard limit by meter may end before the likely date.
    if (date === null || Math.min(date.due, date.hardEnd ?? date.due) > until) return [];
    const length = Math.min(
      before === null ? USUAL_INTERVAL : Math.max(1, daysBetween(before, date.due)),
      isGrid && index > 0 ? (ownInterval ?? Infinity) : Infinity,
    );
    // What is overdue is done from today on, and the next turn counted from then.
    before = isGrid ? date.due : (Math.max(date.due, state.today) as DayNumber);
    const forward = addDays(date.due, -Math.floor(length * (isGrid ? GRID_SHARE : HALF)));
    const ends = [halfWay(date, shown[index + 1] ?? null, state.today), date.hardEnd];
    const known = ends.filter((day) => day !== null);
    const parted = halfWay(shown[index - 1] ?? null, date, state.today);
    return [
      {
        ...own,
        ...date,
        number: index + 1,
        earliest: parted === null ? forward : (Math.max(forward, addDays(parted, 1)) as DayNumber),
        latest: known.length === 0 ? null : (Math.min(...known) as DayNumber),
        interval: isGrid ? null : length,
      },
    ];
  });
}

const onGrid = (task: Task): boolean => task.anchor === "grid" && !task.nth && !task.follows;

/** The last day on which the earlier of two turns of a task is done, so that no visit does both; null where there is only one. */
function halfWay(one: Dates | null, next: Dates | null, today: DayNumber): DayNumber | null {
  if (one === null || next === null) return null;
  // What is overdue is done from today on, and the next turn counted from then.
  const from = Math.max(one.due, today);
  return Math.floor(from + (next.due - from) * HALF) as DayNumber;
}

/** The day from which the next turn counts: the point of its grid, or when it was last done, else when the machine went into service. */
function dayBefore(reckoning: TaskReckoning, state: MachineState): DayNumber | null {
  const { task } = reckoning;
  const limit = governingLimit(reckoning);
  const point = limit === null || !onGrid(task) ? null : dayCountedFrom(limit);
  if (point !== null) return point;
  return completionsOf(state, task.id).at(-1)?.day ?? inServiceDay(state.machine);
}

type Dates = Pick<Turn, "due" | "graceEnd" | "hardEnd">;

/** The dates of the next turn, as the board has them. */
function nextDates({ task, governs, limits }: TaskReckoning): Dates | null {
  const due = likelyDay({ governs, limits });
  if (due === null) return null;
  const ends = limits.flatMap((limit) => {
    if (limit.forecast === null) return [];
    const { likely, early } = limit.forecast;
    const hard = limit.limit.hard ? early : null;
    return [{ grace: limit.graceUntil ?? likely, hard }];
  });
  return datesOf(task, due, ends);
}

/** The dates of a later turn. */
function laterDates({ day, limits }: Occurrence, task: Task): Dates {
  const ends = limits.map(({ due, day: on }: LimitDay) => {
    const grace = graceEnd(due, on) ?? on;
    return { grace, hard: due.limit.hard ? on : null };
  });
  return datesOf(task, day, ends);
}

function datesOf(
  { combine }: Task,
  due: DayNumber,
  ends: readonly { readonly grace: DayNumber; readonly hard: DayNumber | null }[],
): Dates {
  const isLast = combine === "last";
  const graces = ends.map(({ grace }) => grace);
  const hards = ends.flatMap(({ hard }) => hard ?? []);
  const pick = isLast ? Math.max : Math.min;
  const graceEnd = graces.length === 0 ? due : (Math.max(due, pick(...graces)) as DayNumber);
  // Of limits that must all be reached, a hard one binds only once they are.
  const hardEnd = hards.length === 0 ? null : isLast ? due : (Math.min(...hards) as DayNumber);
  return { due, graceEnd, hardEnd };
}
