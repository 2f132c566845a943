import { applyChange, put, type Change, type RecordChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { Entry } from "../book/records/entry.js";
import type { EntryId, MachineId, TaskId } from "../book/records/ids.js";
import type { MachineBook } from "../book/slice/slice.js";
import { recordsByMachine, type MachineRecords } from "../book/slice/machineRecords.js";
import { settingsOf } from "../book/records/settings.js";
import type { Task } from "../book/records/task.js";
import { addDays, formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { hasReached } from "../meter/life.js";
import { dayReached } from "../meter/lifeLine.js";
import { completionLife, type Completion } from "../schedule/completion.js";
import { followsDue } from "../schedule/follows.js";
import { machineState } from "../schedule/reckonMachine.js";
import type { MachineState } from "../schedule/machineState.js";
import { completionsOf } from "../schedule/taskDue.js";

/** A follow-up that work of an earlier day has left to be done, and the day on which it may have been done with it. */
export interface OwedFollowUp {
  readonly task: TaskId;
  /** When its whole span was through, or else half of it: earlier it would not count (due rules §5). */
  readonly day: DayNumber;
}

/**
 * The follow-ups that logging an entry of a day before `today` leaves to be done, though enough has been run or has
 * passed since for them to have been done with it. Not among them: what is not armed by this entry, and what
 * cannot be told for want of a meter's life.
 */
export function followUpsOwed(
  book: MachineBook,
  logged: Change,
  entry: EntryId,
  today: DayNumber,
): OwedFollowUp[] {
  const after = applyChange(book, logged);
  const records = recordsByMachine(after).get(after.machines[0].id);
  return records === undefined ? [] : followUpsOwedBy(records, new Set([entry]), today);
}

/** The same of several entries of one machine, by its records with those entries among them. */
export function followUpsOwedBy(
  records: MachineRecords,
  entries: ReadonlySet<string>,
  today: DayNumber,
): OwedFollowUp[] {
  const state = machineState(records, settingsOf({}), today);
  return [...state.tasks.values()].flatMap((task) => {
    const day = dayDone(task, entries, state);
    return day === null ? [] : [{ task: task.id, day }];
  });
}

function dayDone(task: Task, entries: ReadonlySet<string>, state: MachineState): DayNumber | null {
  const { follows } = task;
  if (!follows) return null;
  const armedBy = completionsOf(state, follows.task).at(-1) ?? null;
  if (armedBy === null || !entries.has(armedBy.record.id) || armedBy.day >= state.today)
    return null;
  const [owed] = followsDue(task, follows, state);
  if (owed?.due.state !== "set") return null;
  const { days } = follows;
  if (days) {
    const ends = [days, Math.ceil(days / 2)].map((span) => addDays(armedBy.day, span));
    return ends.find((day) => day <= state.today) ?? null;
  }
  switch (owed.kind) {
    case "meter":
      return dayRun(armedBy, follows.amount ?? 0, owed.reckoning, state);
    case "calendar":
    case "measured":
      return null;
  }
}

/** The day by which a meter has run an amount past a completion, else half of it. */
function dayRun(
  armedBy: Completion,
  amount: number,
  reckoning: Parameters<typeof completionLife>[1],
  { today }: MachineState,
): DayNumber | null {
  const { life, kept, rate, running } = reckoning;
  const from = completionLife(armedBy, reckoning);
  if (from === null || life === null) return null;
  const target = [from + amount, from + amount / 2].find((one) => hasReached(life, one));
  if (target === undefined) return null;
  const day = dayReached(kept, rate.perDay, target, today, running);
  return day > armedBy.day ? day : addDays(armedBy.day, 1);
}

/** Entries, one a day, that take follow-ups as done with the work they follow: assumed, not read or seen. */
export function assumedFollowUps(
  machine: MachineId,
  owed: readonly OwedFollowUp[],
  context: Pick<CommandContext, "newId" | "nextSeq">,
): RecordChange<"entries">[] {
  const days = [...new Set(owed.map(({ day }) => day))].sort((one, other) => one - other);
  return days.map((day) => {
    const entry: Entry = {
      id: context.newId() as EntryId,
      seq: context.nextSeq(),
      machine,
      date: formatDay(day),
      meters: {},
      estimatedMeters: [],
      tasks: owed.filter((one) => one.day === day).map(({ task }) => task),
      assumed: true,
    };
    return put("entries", entry);
  });
}
