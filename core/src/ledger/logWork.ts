import { applyChange, put, type RecordChange } from "../book/change.js";
import type { CommandContext, CommandResult } from "../book/command.js";
import type { Entry } from "../book/entry.js";
import type { EntryId, MeterId, TaskId } from "../book/ids.js";
import type { MachineBook } from "../book/machineBook.js";
import { recordsByMachine } from "../book/machineRecords.js";
import { failure, success } from "../book/result.js";
import { DEFAULT_SETTINGS } from "../book/settings.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { contradictedPoints, figureDoubt, type FigureDoubt } from "../meter/figureDoubt.js";
import { makeRoom } from "../meter/makeRoom.js";
import { reckonMeters, type MeterReckoning } from "../meter/reckonMeter.js";

/** What a dial showed at the work, in the meter's own unit. */
export interface WorkFigure {
  readonly meter: MeterId;
  readonly value: number;
  /** Reckoned and accepted untouched, not read. */
  readonly estimated: boolean;
}

/** Work done on a machine on a day. */
export interface LogWorkInput {
  readonly day: DayNumber;
  readonly tasks: readonly TaskId[];
  readonly figures: readonly WorkFigure[];
  readonly note: string;
  /** The person has looked at figures in doubt and says they are right. */
  readonly figuresAreRight: boolean;
}

/** What stands in the way of logging work. */
export type LogWorkIssue =
  | { readonly code: "nothing-done" }
  | { readonly code: "task-not-found"; readonly task: TaskId }
  | { readonly code: "day-in-future" }
  | { readonly code: "meter-not-found"; readonly meter: MeterId }
  | { readonly code: "figure-not-a-number"; readonly meter: MeterId }
  | { readonly code: "change-in-the-way" }
  | { readonly code: "figure-in-doubt"; readonly meter: MeterId; readonly doubt: FigureDoubt };

/**
 * Logs work: one entry of the log. Refused: neither task nor note, a task that is not the machine's,
 * a day after today, a figure that is not a number of at least 0, and a figure that disagrees with
 * the others unless the person has said that it is right.
 */
export function logWork(
  book: MachineBook,
  input: LogWorkInput,
  context: CommandContext,
): CommandResult<LogWorkIssue> {
  const issues = workIssues(book, input, context.today);
  if (issues.length > 0) return failure(issues);
  const room = roomForFigures(book, input, context);
  if (room === null) return failure([{ code: "change-in-the-way" }]);
  const entry = put("entries", entryOf(book, input, context));
  return success({ command: "log-work", records: [...room, entry] });
}

/** Sets aside what the figures contradict: figures that were only reckoned, and all others once the person has said these are right. */
export function roomForFigures(
  book: MachineBook,
  input: LogWorkInput,
  context: CommandContext,
): RecordChange[] | null {
  let current = book;
  const changes: RecordChange[] = [];
  for (const { meter, value, estimated } of input.figures) {
    const reckoning = metersOf(current, context.today).get(meter);
    if (reckoning === undefined || estimated) continue;
    const contradicted = contradictedPoints(reckoning, input.day, value);
    const wrong = contradicted.filter((point) => input.figuresAreRight || point.estimated);
    const room = makeRoom(current, meter, wrong, context);
    if (room === null) return null;
    changes.push(...room);
    current = applyChange(current, { command: "log-work", records: room });
  }
  return changes;
}

function metersOf(book: MachineBook, today: DayNumber): Map<MeterId, MeterReckoning> {
  const records = recordsByMachine(book).get(book.machines[0].id);
  return records === undefined
    ? new Map<MeterId, MeterReckoning>()
    : reckonMeters(records, DEFAULT_SETTINGS, today);
}

/** The entry that logged work leaves. */
export function entryOf(book: MachineBook, input: LogWorkInput, context: CommandContext): Entry {
  const note = input.note.trim();
  return {
    id: context.newId() as EntryId,
    seq: context.nextSeq(),
    machine: book.machines[0].id,
    date: formatDay(input.day),
    meters: Object.fromEntries(input.figures.map(({ meter, value }) => [meter, value])),
    estimatedMeters: input.figures.filter((figure) => figure.estimated).map(({ meter }) => meter),
    tasks: [...input.tasks],
    ...(note === "" ? {} : { note }),
    ...(input.figuresAreRight ? { confirmed: true } : {}),
  };
}

/** What stands in the way, in the order of the form. */
export function workIssues(
  book: MachineBook,
  input: LogWorkInput,
  today: DayNumber,
): LogWorkIssue[] {
  const issues: LogWorkIssue[] = [];
  if (input.tasks.length === 0 && input.note.trim() === "") issues.push({ code: "nothing-done" });
  const tasks = new Set(book.tasks.map((task) => task.id));
  for (const task of input.tasks) {
    if (!tasks.has(task)) issues.push({ code: "task-not-found", task });
  }
  if (input.day > today) issues.push({ code: "day-in-future" });
  return [...issues, ...figureIssues(book, input, today)];
}

function figureIssues(book: MachineBook, input: LogWorkInput, today: DayNumber): LogWorkIssue[] {
  const meters = metersOf(book, today);
  return input.figures.flatMap(({ meter, value, estimated }): LogWorkIssue[] => {
    const reckoning = meters.get(meter);
    if (reckoning === undefined) return [{ code: "meter-not-found", meter }];
    if (!Number.isFinite(value) || value < 0) return [{ code: "figure-not-a-number", meter }];
    if (input.figuresAreRight || estimated) return [];
    const doubt = figureDoubt(reckoning, input.day, value);
    return doubt === null ? [] : [{ code: "figure-in-doubt", meter, doubt }];
  });
}
