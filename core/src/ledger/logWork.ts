import { applyChange, put, type Change, type RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import type { Entry, LookAgain, ReminderFact } from "../book/records/entry.js";
import type { EntryId, MeterId, TaskId } from "../book/records/ids.js";
import type { LimitRecord } from "../book/records/limitRecord.js";
import { limitOf, limitsOfKind } from "../limit/limit.js";
import type { MachineBook } from "../book/slice/slice.js";
import { failure, success, type Result } from "../book/change/result.js";
import type { Task } from "../book/records/task.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { figureDoubt, type FigureDoubt } from "../meter/figureDoubt.js";
import {
  meterReckoningOf,
  settleFigure,
  type FigureAnswer,
  type FigureIssue,
  type SettledFigure,
} from "../meter/settleFigure.js";
import { assumedFollowUps, followUpsOwed } from "./followUps.js";

/** What a dial showed at the work, in the meter's own unit. */
export interface WorkFigure {
  readonly meter: MeterId;
  readonly value: number;
  /** Reckoned and accepted untouched, not read. */
  readonly estimated: boolean;
  /** What the person says of it where it does not agree with the others. */
  readonly answer: FigureAnswer | null;
}

/** Work done on a machine on a day. */
export interface LogWorkInput {
  readonly day: DayNumber;
  readonly tasks: readonly TaskId[];
  readonly figures: readonly WorkFigure[];
  readonly note: string;
  /** Tasks tested sound instead, and when to look again. */
  readonly lookAgain?: readonly LookAgain[];
  /** Tasks that are wanted at once. */
  readonly wanted?: readonly TaskId[];
  /** What became of reminder codes of the machine. */
  readonly reminders?: readonly ReminderFact[];
  /** Taken as done without a record of it. */
  readonly assumed?: boolean;
  /** Until when papers say that a task on fixed dates holds, such as a roadworthiness test: its dates are fixed by it. */
  readonly validUntil?: readonly ValidUntil[];
  /** What it took; where a correction does not say it, what stood there stays. */
  readonly took?: WorkTook;
  /** Whether what follows work of an earlier day was done with it ({@link followUpsOwed}); else it is still to be done. */
  readonly followUpsDone?: boolean;
}

/** What work took beside tasks and figures, as an entry carries it (records §1): empty lists are left out. */
export type WorkTook = Pick<
  Entry,
  | ("fluids" | "parts" | "work" | "costs" | "closes" | "measures" | "isTopUp" | "warranty")
  | ("torques" | "met" | "left" | "pictures" | "job")
>;

/** The fields of {@link WorkTook}. */
export const TOOK_FIELDS = [
  ...(["fluids", "parts", "work", "costs", "closes", "measures"] as const),
  ...(["isTopUp", "warranty"] as const),
] as const satisfies readonly (keyof WorkTook)[];

/** What a job adds to them: a correction that does not name it leaves it as it is. */
const JOB_FIELDS = ["torques", "met", "left", "pictures", "job"] as const;

/** A day up to which a task that has been done holds. */
interface ValidUntil {
  readonly task: TaskId;
  readonly day: DayNumber;
}

/** What stands in the way of logging work. */
export type LogWorkIssue =
  | { readonly code: "nothing-done" }
  | { readonly code: "task-not-found"; readonly task: TaskId }
  | { readonly code: "day-in-future" }
  /** A task cannot be done and tested sound by one entry. */
  | { readonly code: "done-and-tested"; readonly task: TaskId }
  /** Look again after how much: a number above 0. */
  | { readonly code: "look-again-missing"; readonly task: TaskId }
  /** What is done holds longer than to the day it was done. */
  | { readonly code: "valid-until-early"; readonly task: TaskId }
  | { readonly code: "figure-refused"; readonly meter: MeterId; readonly issue: FigureIssue };

/**
 * Logs work: one entry of the log, with what lets its figures stand, and where it is so said the follow-ups
 * that were done with it. Refused: neither task nor note nor anything that went in, was paid or is closed, a task that is not the machine's, a day after today, a
 * paper that ends before it begins, and figures that {@link settleFigure} refuses.
 */
export function logWork(
  book: MachineBook,
  input: LogWorkInput,
  context: CommandContext,
): CommandResult<LogWorkIssue> {
  const work = settleWork(book, input, context);
  if (!work.ok) return work;
  const entry = put("entries", entryOf(book, input, work.value.isConfirmed, context));
  const records = [...work.value.records, entry, ...fixedDates(book, input)];
  const logged: Change = { command: "log-work", records };
  if (input.followUpsDone !== true) return success(logged);
  const owed = followUpsOwed(book, logged, entry.id as EntryId, context.today);
  return success({
    ...logged,
    records: [...records, ...assumedFollowUps(book.machines[0].id, owed, context)],
  });
}

/** The tasks whose fixed dates are counted from what papers say from now on. */
function fixedDates(book: MachineBook, { validUntil }: LogWorkInput): RecordChange<"tasks">[] {
  return (validUntil ?? []).flatMap(({ task: id, day }) => {
    const task = book.tasks.find((one) => one.id === id);
    if (task === undefined) return [];
    const regimes = Object.entries(task.regimes ?? {}).map(([name, limits]) => [
      name,
      limits.map((limit) => countedFrom(limit, day)),
    ]);
    const after = { ...task, regimes: Object.fromEntries(regimes) as Task["regimes"] };
    return [{ section: "tasks", id, before: task, after }];
  });
}

/** A limit with its fixed points counted from a day, where it is one that has such. */
function countedFrom(limit: LimitRecord, day: DayNumber): LimitRecord {
  switch (limitOf(limit).kind) {
    case "meter":
    case "measured":
      return limit;
    case "calendar":
      return { ...limit, from: formatDay(day) };
  }
}

/** Whether papers may say until when a task that is done holds: it is on fixed dates of the calendar. */
export function mayHoldUntil({ anchor, regimes }: Pick<Task, "anchor" | "regimes">): boolean {
  const limits = Object.values(regimes ?? {}).flat();
  return anchor === "grid" && limitsOfKind(limits.map(limitOf), "calendar").length > 0;
}

/** Checks work, and settles its figures one after the other, each beside what the ones before have changed. */
export function settleWork(
  book: MachineBook,
  input: LogWorkInput,
  context: CommandContext,
): Result<SettledFigure, LogWorkIssue> {
  const issues = workIssues(book, input, context.today);
  const records: RecordChange[] = [];
  let isConfirmed = false;
  let current = book;
  for (const { meter, value, estimated, answer } of input.figures) {
    if (input.day > context.today) break;
    const settled = settleOne(
      current,
      { meter, day: input.day, value, answer },
      estimated,
      context,
    );
    if (!settled.ok) {
      issues.push(
        ...settled.issues.map((issue) => ({ code: "figure-refused" as const, meter, issue })),
      );
      continue;
    }
    records.push(...settled.value.records);
    isConfirmed ||= settled.value.isConfirmed;
    current = applyChange(current, { command: "log-work", records: settled.value.records });
  }
  return issues.length > 0 ? failure(issues) : success({ records, isConfirmed });
}

/** A figure that was only reckoned contradicts nothing; it must still be a figure of a meter there is. */
function settleOne(
  book: MachineBook,
  input: Parameters<typeof settleFigure>[1],
  isEstimated: boolean,
  context: CommandContext,
): Result<SettledFigure, FigureIssue> {
  const settled = settleFigure(book, input, context);
  const isDoubt = !settled.ok && settled.issues[0]?.code === "figure-in-doubt";
  if (isEstimated && (settled.ok || isDoubt)) return success({ records: [], isConfirmed: false });
  return settled;
}

/** The entry that logged work leaves. */
export function entryOf(
  book: MachineBook,
  input: LogWorkInput,
  isConfirmed: boolean,
  context: CommandContext,
): Entry {
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
    ...(isConfirmed ? { confirmed: true } : {}),
    ...given("lookAgain", input.lookAgain),
    ...given("wanted", input.wanted),
    ...given("reminders", input.reminders),
    ...(input.assumed === true ? { assumed: true } : {}),
    ...tookOf(input.took ?? {}),
  };
}

/** What work took, without what is empty or not so. */
function tookOf(took: WorkTook): WorkTook {
  const said = [...TOOK_FIELDS, ...JOB_FIELDS].filter((field) => {
    const value = took[field];
    return Array.isArray(value) ? value.length > 0 : value === true || typeof value === "string";
  });
  return Object.fromEntries(said.map((field) => [field, took[field]]));
}

/** A list under its name, nothing where it is empty. */
function given<Name extends string, T>(
  name: Name,
  list: readonly T[] | undefined,
): Partial<Record<Name, T[]>> {
  return list === undefined || list.length === 0
    ? {}
    : ({ [name]: [...list] } as Partial<Record<Name, T[]>>);
}

/** The tasks that work names in any way. */
function tasksNamed({ tasks, lookAgain, wanted }: LogWorkInput): TaskId[] {
  return [...tasks, ...(lookAgain ?? []).map(({ task }) => task), ...(wanted ?? [])];
}

const isAmount = (value: number | null | undefined): boolean =>
  Number.isFinite(value ?? 0) && (value ?? 1) > 0;

function testIssues({ tasks, lookAgain }: LogWorkInput): LogWorkIssue[] {
  return (lookAgain ?? []).flatMap((one): LogWorkIssue[] => {
    const { task, months, days, meter, amount } = one;
    if (tasks.includes(task)) return [{ code: "done-and-tested", task }];
    const isWhole = [months, days].every((span) => Number.isInteger(span ?? 1));
    const isSaid = (months ?? days ?? (meter ? amount : null) ?? null) !== null;
    return isSaid && isWhole && [months, days, amount].every(isAmount)
      ? []
      : [{ code: "look-again-missing", task }];
  });
}

function paperIssues({ validUntil, day }: LogWorkInput): LogWorkIssue[] {
  return (validUntil ?? [])
    .filter((one) => one.day <= day)
    .map(({ task }) => ({ code: "valid-until-early", task }));
}

function workIssues(book: MachineBook, input: LogWorkInput, today: DayNumber): LogWorkIssue[] {
  const issues: LogWorkIssue[] = [];
  const named = tasksNamed(input);
  const { fluids, parts, costs, closes, measures } = input.took ?? {};
  const said = [named, input.reminders, fluids, parts, costs, closes, measures];
  const isNothing = said.every((list) => (list ?? []).length === 0);
  if (isNothing && input.note.trim() === "") issues.push({ code: "nothing-done" });
  issues.push(...testIssues(input), ...paperIssues(input));
  const tasks = new Set(book.tasks.map((task) => task.id));
  for (const task of named) {
    if (!tasks.has(task)) issues.push({ code: "task-not-found", task });
  }
  if (input.day > today) issues.push({ code: "day-in-future" });
  return issues;
}

/** The figures of work that do not agree with the others, by meter, whatever has been answered. */
export function workDoubts(
  book: MachineBook,
  input: LogWorkInput,
  today: DayNumber,
): Map<MeterId, FigureDoubt> {
  const doubts = new Map<MeterId, FigureDoubt>();
  for (const { meter, value, estimated } of input.figures) {
    const reckoning = estimated ? null : meterReckoningOf(book, meter, today);
    const doubt = reckoning === null ? null : figureDoubt(reckoning, input.day, value);
    if (doubt !== null) doubts.set(meter, doubt);
  }
  return doubts;
}
