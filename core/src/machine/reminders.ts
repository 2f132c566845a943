import { byDate, currentRecords, type CurrentRecord } from "../book/slice/currentRecords.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { Entry, ReminderFactCode } from "../book/records/entry.js";
import type { TaskId } from "../book/records/ids.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { Reminder } from "../book/records/reminder.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { logWork, type LogWorkIssue } from "../ledger/logWork.js";

/** A task a reminder asked for, and when the log has it done since; null where not. */
interface AskedTask {
  readonly task: TaskId;
  readonly loggedOn: DayNumber | null;
}

/**
 * What has become of a reminder code of the machine since it was last raised: raised, done, logged and
 * reset are facts of their own, and any may be missing.
 */
export interface ReminderState {
  readonly code: string;
  /** What the code means on this machine; null for one that was raised and is not written down. */
  readonly reminder: Reminder | null;
  readonly raisedOn: DayNumber | null;
  /** When somebody said that it was done, whatever the log has. */
  readonly doneOn: DayNumber | null;
  readonly tasks: readonly AskedTask[];
  readonly resetOn: DayNumber | null;
  /** Whether anything is still open: a task not logged since, or the code not reset. */
  readonly isOpen: boolean;
}

type Said = CurrentRecord<Entry>;

function lastSaid(entries: readonly Said[], code: string, fact: ReminderFactCode): Said | null {
  const said = ({ record }: Said): boolean =>
    (record.reminders ?? []).some((one) => one.code === code && one.fact === fact);
  return entries.findLast(said) ?? null;
}

/** What became of the reminder codes of a machine up to `today`, those it has written down first. */
export function reminderStates(book: MachineBook, today: DayNumber): ReminderState[] {
  const [machine] = book.machines;
  const entries = currentRecords(book.entries)
    .filter(({ record, day }) => record.machine === machine.id && day <= today)
    .sort(byDate);
  const known = machine.reminders ?? [];
  const raised = entries.flatMap(({ record }) => (record.reminders ?? []).map(({ code }) => code));
  const codes = new Set([...known.map(({ code }) => code), ...raised]);
  return [...codes].map((code) => stateOf(code, known, entries));
}

function stateOf(
  code: string,
  known: readonly Reminder[],
  entries: readonly Said[],
): ReminderState {
  const reminder = known.find((one) => one.code === code) ?? null;
  const raised = lastSaid(entries, code, "raised");
  const since = (said: Said | null): DayNumber | null =>
    said === null || (raised !== null && byDate(said, raised) < 0) ? null : said.day;
  const tasks = (reminder?.tasks ?? []).map((task) => ({
    task,
    loggedOn: since(entries.findLast(({ record }) => (record.tasks ?? []).includes(task)) ?? null),
  }));
  const doneOn = since(lastSaid(entries, code, "done"));
  const resetOn = since(lastSaid(entries, code, "reset"));
  const isOpen =
    raised !== null && (resetOn === null || tasks.some(({ loggedOn }) => loggedOn === null));
  return { code, reminder, raisedOn: raised?.day ?? null, doneOn, tasks, resetOn, isOpen };
}

/** Notes what became of a reminder code on a day: an entry of its own. Refused: a day to come. */
export function noteReminder(
  book: MachineBook,
  code: string,
  fact: ReminderFactCode,
  day: DayNumber,
  context: CommandContext,
): CommandResult<LogWorkIssue> {
  const input = { day, tasks: [], figures: [], note: "", reminders: [{ code, fact }] };
  const result = logWork(book, input, context);
  return result.ok ? { ...result, value: { ...result.value, command: "note-reminder" } } : result;
}
