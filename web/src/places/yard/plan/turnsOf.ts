import {
  addDays,
  applyChange,
  machineState,
  nextTurns,
  reckonTask,
  recordsByMachine,
  settingsOf,
  type Book,
  type DayNumber,
  type MachineBook,
  type RecordChange,
  type Task,
} from "@yonderfell/core";

const TURNS = 5;
/** Nothing further off is shown. */
const FARTHEST_DAYS = 25 * 365;

/** The next turns of a task as it stands in the form, were the book to have it so. */
export function turnsOf(
  task: Task,
  book: MachineBook,
  settings: Book["settings"],
  today: DayNumber,
): readonly DayNumber[] {
  const put = { section: "tasks", id: task.id, before: null, after: task } as RecordChange;
  const changed = applyChange(book, { command: "look-ahead", records: [put] });
  const records = recordsByMachine(changed).get(book.machines[0].id);
  if (records === undefined) return [];
  const state = machineState(records, settingsOf({ settings }), today);
  const [first, ...rest] = nextTurns(state, task, TURNS, addDays(today, FARTHEST_DAYS));
  if (first === undefined) return [];
  // The first as the board has it: the likely date of its forecast.
  const { governs, limits } = reckonTask(task, state, settingsOf({ settings }));
  const likely = limits[governs ?? -1]?.forecast?.likely ?? first;
  return [likely > today ? likely : today, ...rest];
}
