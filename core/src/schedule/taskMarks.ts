import { byDate, type CurrentRecord } from "../book/slice/currentRecords.js";
import type { Entry, LookAgain } from "../book/records/entry.js";
import type { TaskId } from "../book/records/ids.js";
import type { Reminder } from "../book/records/reminder.js";
import type { DayNumber } from "../calendar/dayNumber.js";

/** A task tested sound, and the entry that says so. */
export interface SoundTest {
  readonly by: CurrentRecord<Entry>;
  readonly lookAgain: LookAgain;
}

/** A task wanted at once, by which entry, and by which code of the machine's own, null where a person wants it. */
export interface Call {
  readonly by: CurrentRecord<Entry>;
  readonly code: string | null;
}

/** What entries say of tasks beside that they were done. */
export interface TaskMarks {
  /** The latest test of each task up to `today`. */
  readonly tests: ReadonlyMap<TaskId, SoundTest>;
  /** The latest call for each task up to `today`. */
  readonly calls: ReadonlyMap<TaskId, Call>;
}

/** What the entries up to `today` say of tasks beside that they were done (due rules §§11, 12). */
export function taskMarks(
  entries: readonly CurrentRecord<Entry>[],
  reminders: readonly Reminder[],
  today: DayNumber,
): TaskMarks {
  const tests = new Map<TaskId, SoundTest>();
  const calls = new Map<TaskId, Call>();
  const said = entries.filter(({ record, day }) => day <= today && saysMore(record));
  for (const by of said.sort(byDate)) {
    for (const lookAgain of by.record.lookAgain ?? []) tests.set(lookAgain.task, { by, lookAgain });
    for (const task of by.record.wanted ?? []) calls.set(task, { by, code: null });
    for (const { code, fact } of by.record.reminders ?? []) {
      if (fact !== "raised") continue;
      const asked = reminders.filter((one) => one.code === code);
      for (const task of asked.flatMap((one) => one.tasks ?? [])) calls.set(task, { by, code });
    }
  }
  return { tests, calls };
}

/** Whether an entry says something of a task beside that it was done. */
export const saysMore = ({ lookAgain, wanted, reminders }: Entry): boolean =>
  lookAgain !== undefined || wanted !== undefined || reminders !== undefined;
