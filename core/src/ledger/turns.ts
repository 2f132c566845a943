import type { Entry } from "../book/records/entry.js";
import type { Settings } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import type { CurrentRecord } from "../book/slice/currentRecords.js";
import type { MachineRecords } from "../book/slice/machineRecords.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";
import { isBelow } from "../meter/life.js";
import { isLater, type Completion } from "../schedule/completion.js";
import type { LimitReckoning } from "../schedule/limitReckoning.js";
import type { MachineState } from "../schedule/machineState.js";
import { pastStates } from "../schedule/pastStates.js";
import { reckonTask } from "../schedule/reckonTask.js";

/**
 * Whether a turn was in time: within its limit, past it but within the grace, or past both. `unknown` where the rules
 * could not say on that day when it was due, or the book saw it for the first time and does not go back to the
 * machine's beginning; `no limit` where the task has none.
 */
export type InTime = "in time" | "within grace" | "late" | "unknown" | "no limit";

/** A task that was done, beside how it stood on that day just before. */
export interface TurnDone {
  readonly task: Task;
  readonly entry: Entry;
  readonly day: DayNumber;
  readonly inTime: InTime;
  /** As the rules reckoned them on that day, this turn left out; the one at `governs` decided. */
  readonly limits: readonly LimitReckoning[];
  readonly governs: number | null;
}

/** The book tells of a machine's beginning where its first record is of the year after it came into service. */
const FIRST_YEAR_DAYS = 365;

/**
 * Whether the records of a machine go back to its beginning: where they do not, a task that the book never saw done
 * may have been done all the same, and nobody can say that it was late.
 */
function beginsWithMachine({ machine, ...records }: MachineRecords): boolean {
  if (!machine.inService) return false;
  const first = Math.min(
    ...records.readings.map(({ date }) => dayOf(date)),
    ...records.entries.map(({ day }) => day),
    ...records.rounds.map(({ day }) => day),
  );
  return first <= dayOf(machine.inService) + FIRST_YEAR_DAYS;
}

function inTimeOf(
  limits: readonly LimitReckoning[],
  governs: number | null,
  status: LimitReckoning["status"],
): InTime {
  if (limits.length === 0) return "no limit";
  const deciding = governs === null ? undefined : limits[governs];
  const remaining = deciding?.remaining ?? null;
  if (remaining === null) return "unknown";
  if (status === "overdue") return "late";
  return isBelow(remaining, 0) ? "within grace" : "in time";
}

/** A turn of a task beside the state of its machine on that day. */
function turnOf(
  task: Task,
  done: Completion,
  { state, settings, isWhole }: { state: MachineState; settings: Settings; isWhole: boolean },
): TurnDone {
  const all = state.completions.get(task.id) ?? [];
  const before = all.filter((one) => isLater(done, one));
  const then = { ...state, completions: new Map(state.completions).set(task.id, before) };
  const { limits, governs, status } = reckonTask(task, then, settings);
  const basis = governs === null ? null : (limits[governs]?.basis.code ?? null);
  const isUnseen = basis === "never-done" && !isWhole;
  const inTime = isUnseen ? "unknown" : inTimeOf(limits, governs, status);
  return { task, entry: done.record, day: done.day, inTime, limits, governs };
}

/**
 * The turns of a machine's tasks dated from one day to another (both included), the earliest first: each as the due
 * rules see its task on that day by what is dated up to it, the turn itself left out, and figures of dials that are known by now to be at fault. What is only assumed is no
 * turn. The limits, the regime and the grace are those the book has now: it keeps no earlier ones.
 */
export function turnsDone(
  records: MachineRecords,
  settings: Settings,
  from: DayNumber,
  to: DayNumber,
): TurnDone[] {
  const tasks = new Map(records.tasks.map((task) => [task.id, task]));
  const done = records.entries
    .filter(({ day, record }) => day >= from && day <= to && record.assumed !== true)
    .filter(({ record }) => (record.tasks ?? []).length > 0)
    .toSorted((one, other) => (isLater(one, other) ? 1 : -1));
  const isWhole = beginsWithMachine(records);
  const stateOn = pastStates(records, settings, to);
  let state: MachineState | null = null;
  return done.flatMap((completion: CurrentRecord<Entry>) => {
    if (state?.today !== completion.day) state = stateOn(completion.day);
    const known = state;
    return [...new Set(completion.record.tasks)].flatMap((id) => {
      const task = tasks.get(id);
      return task === undefined
        ? []
        : [turnOf(task, completion, { state: known, settings, isWhole })];
    });
  });
}
