import { put, type RecordChange } from "../book/change/change.js";
import type { CommandContext, CommandResult } from "../book/change/command.js";
import { supersededIds } from "../book/slice/currentRecords.js";
import type { Entry } from "../book/records/entry.js";
import type { EntryId, MeterChangeId, ReadingId } from "../book/records/ids.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { MeterChange } from "../book/records/meterChange.js";
import type { Reading } from "../book/records/reading.js";
import { failure, success } from "../book/change/result.js";
import type { LogSection } from "../book/records/sections.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import {
  meterReckoningOf,
  settleFigure,
  type FigureAnswer,
  type FigureIssue,
} from "../meter/settleFigure.js";
import {
  entryOf,
  settleWork,
  TOOK_FIELDS,
  type LogWorkInput,
  type LogWorkIssue,
} from "./logWork.js";

const RIGHT: FigureAnswer = { code: "right" };

/** What stands in the way of any correction. */
export type NotCorrectable =
  | { readonly code: "record-not-found" }
  /** Another record already stands in its place; that one is to be corrected. */
  | { readonly code: "already-corrected" };

/** A record of a machine that still stands, or why it cannot be corrected. */
function standing<T extends Reading | MeterChange | Entry>(
  records: readonly T[],
  id: string,
): T | NotCorrectable["code"] {
  const record = records.find((candidate) => candidate.id === id);
  if (record === undefined) return "record-not-found";
  const isReplaced = supersededIds(records).has(id) || record.void === true;
  return isReplaced ? "already-corrected" : record;
}

/** The book as if a record counted for nothing; what it replaced stays replaced. */
export function bookWithout(book: MachineBook, section: LogSection, id: string): MachineBook {
  const records = (book[section] as readonly { readonly id: string }[]).map((record) =>
    record.id === id ? { ...record, void: true } : record,
  );
  return { ...book, [section]: records };
}

const SAID_ANEW = ["lookAgain", "wanted", "reminders", "assumed"] as const;

/**
 * Corrects an entry: a new one takes its place and keeps what it does not name. Refused: what
 * {@link logWork} refuses, an entry that is not there, and one that has been corrected already.
 */
export function correctEntry(
  book: MachineBook,
  id: EntryId,
  input: LogWorkInput,
  context: CommandContext,
): CommandResult<LogWorkIssue | NotCorrectable> {
  const old = standing(book.entries, id);
  if (typeof old === "string") return failure([{ code: old }]);
  const work = settleWork(bookWithout(book, "entries", id), input, context);
  if (!work.ok) return work;
  const { note: _note, confirmed: _confirmed, ...kept } = old;
  // What the input speaks of anew takes the place of what stood there, also where that is nothing.
  const anew = [
    ...SAID_ANEW.filter((key) => input[key] !== undefined),
    ...(input.took === undefined ? [] : TOOK_FIELDS),
  ];
  for (const key of anew) delete kept[key];
  const corrected = entryOf(book, input, work.value.isConfirmed, context);
  const entry = put("entries", { ...kept, ...corrected, replaces: old.id });
  return success({ command: "correct-entry", records: [...work.value.records, entry] });
}

/** A reading as it should have been, in the meter's own unit. */
export interface ReadingCorrection {
  readonly day: DayNumber;
  readonly value: number;
  /** The person has looked at a figure in doubt and says it is right. */
  readonly figureIsRight: boolean;
}

/** Corrects a reading: a new one takes its place. Refused as for a reading, and where it has been corrected already. */
export function correctReading(
  book: MachineBook,
  id: ReadingId,
  input: ReadingCorrection,
  context: CommandContext,
): CommandResult<FigureIssue | NotCorrectable> {
  const old = standing(book.readings, id);
  if (typeof old === "string") return failure([{ code: old }]);
  const { day, value, figureIsRight } = input;
  const figure = { meter: old.meter, day, value, answer: figureIsRight ? RIGHT : null };
  const settled = settleFigure(bookWithout(book, "readings", id), figure, context);
  if (!settled.ok) return settled;
  const { confirmed: _confirmed, estimated: _estimated, ...kept } = old;
  const reading: Reading = {
    ...kept,
    id: context.newId() as ReadingId,
    seq: context.nextSeq(),
    replaces: old.id,
    date: formatDay(day),
    value,
    ...(settled.value.isConfirmed ? { confirmed: true } : {}),
  };
  const records = [...settled.value.records, put("readings", reading)];
  return success({ command: "correct-reading", records });
}

/** A meter change as it should have been, in the meter's own unit. */
export interface ChangeCorrection {
  readonly day: DayNumber;
  readonly oldFinal: number;
  readonly newStart: number;
  readonly lost: number;
}

/** Corrects a meter change: a new one takes its place. Refused: figures that are no numbers of at least 0, a day to come, a second change of one day. */
export function correctMeterChange(
  book: MachineBook,
  id: MeterChangeId,
  input: ChangeCorrection,
  context: CommandContext,
): CommandResult<FigureIssue | NotCorrectable> {
  const old = standing(book.meterChanges, id);
  if (typeof old === "string") return failure([{ code: old }]);
  const { day, oldFinal, newStart, lost } = input;
  if (day > context.today) return failure([{ code: "day-in-future" }]);
  const areFigures = [oldFinal, newStart, lost].every(
    (value) => Number.isFinite(value) && value >= 0,
  );
  if (!areFigures) return failure([{ code: "figure-not-a-number" }]);
  const rest = meterReckoningOf(bookWithout(book, "meterChanges", id), old.meter, context.today);
  if (rest?.dials.some((change) => change.day === day) === true) {
    return failure([{ code: "changed-that-day", day }]);
  }
  const change: MeterChange = {
    ...old,
    ...{ oldFinal, newStart, lost },
    id: context.newId() as MeterChangeId,
    seq: context.nextSeq(),
    replaces: old.id,
    date: formatDay(day),
  };
  return success({ command: "correct-meter-change", records: [put("meterChanges", change)] });
}

/** Withdraws a record: a void one takes its place, and the old one stays in the history. */
export function withdrawRecord(
  book: MachineBook,
  section: LogSection,
  id: string,
  context: CommandContext,
): CommandResult<NotCorrectable> {
  const old = standing<Reading | MeterChange | Entry>(book[section], id);
  if (typeof old === "string") return failure([{ code: old }]);
  const record = {
    ...old,
    id: context.newId(),
    seq: context.nextSeq(),
    replaces: old.id,
    void: true,
  };
  return success({
    command: "withdraw-record",
    records: [{ section, id: record.id, before: null, after: record } as unknown as RecordChange],
  });
}
