import { put, type RecordChange } from "../book/change.js";
import type { CommandContext, CommandResult } from "../book/command.js";
import { supersededIds } from "../book/currentRecords.js";
import type { Entry } from "../book/entry.js";
import type { EntryId, MeterChangeId, ReadingId } from "../book/ids.js";
import type { MachineBook } from "../book/machineBook.js";
import type { MeterChange } from "../book/meterChange.js";
import type { Reading } from "../book/reading.js";
import { failure, success } from "../book/result.js";
import type { DatedSection } from "../book/sections.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { contradictedPoints, figureDoubt, type FigureDoubt } from "../meter/figureDoubt.js";
import { makeRoom } from "../meter/makeRoom.js";
import { meterReckoningOf } from "../meter/readMeter.js";
import {
  entryOf,
  roomForFigures,
  workIssues,
  type LogWorkInput,
  type LogWorkIssue,
} from "./logWork.js";

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
function without(book: MachineBook, section: DatedSection, id: string): MachineBook {
  const records = (book[section] as readonly { readonly id: string }[]).map((record) =>
    record.id === id ? { ...record, void: true } : record,
  );
  return { ...book, [section]: records };
}

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
  const rest = without(book, "entries", id);
  const issues = workIssues(rest, input, context.today);
  if (issues.length > 0) return failure(issues);
  const room = roomForFigures(rest, input, context);
  if (room === null) return failure([{ code: "change-in-the-way" }]);
  const { note: _note, confirmed: _confirmed, ...kept } = old;
  const entry = put("entries", { ...kept, ...entryOf(book, input, context), replaces: old.id });
  return success({ command: "correct-entry", records: [...room, entry] });
}

/** A reading as it should have been, in the meter's own unit. */
export interface ReadingCorrection {
  readonly day: DayNumber;
  readonly value: number;
  /** The person has looked at a figure in doubt and says it is right. */
  readonly figureIsRight: boolean;
}

/** What stands in the way of correcting a figure. */
export type FigureIssue =
  | { readonly code: "day-in-future" }
  | { readonly code: "figure-not-a-number" }
  | { readonly code: "figure-in-doubt"; readonly doubt: FigureDoubt }
  | { readonly code: "change-in-the-way" }
  | { readonly code: "changed-that-day" };

/** Corrects a reading: a new one takes its place. Refused as for a reading, and where it has been corrected already. */
export function correctReading(
  book: MachineBook,
  id: ReadingId,
  input: ReadingCorrection,
  context: CommandContext,
): CommandResult<FigureIssue | NotCorrectable> {
  const old = standing(book.readings, id);
  if (typeof old === "string") return failure([{ code: old }]);
  if (input.day > context.today) return failure([{ code: "day-in-future" }]);
  if (!Number.isFinite(input.value) || input.value < 0)
    return failure([{ code: "figure-not-a-number" }]);
  const rest = without(book, "readings", id);
  const reckoning = meterReckoningOf(rest, old.meter, context.today);
  if (reckoning === null) return failure([{ code: "record-not-found" }]);
  const doubt = figureDoubt(reckoning, input.day, input.value);
  if (doubt !== null && !input.figureIsRight) return failure([{ code: "figure-in-doubt", doubt }]);
  const contradicted = contradictedPoints(reckoning, input.day, input.value);
  const wrong = contradicted.filter((point) => input.figureIsRight || point.estimated);
  const room = makeRoom(rest, old.meter, wrong, context);
  if (room === null) return failure([{ code: "change-in-the-way" }]);
  const { confirmed: _confirmed, estimated: _estimated, ...kept } = old;
  const reading: Reading = {
    ...kept,
    id: context.newId() as ReadingId,
    seq: context.nextSeq(),
    replaces: old.id,
    date: formatDay(input.day),
    value: input.value,
    ...(doubt?.code === "impossible-rise" ? { confirmed: true } : {}),
  };
  return success({ command: "correct-reading", records: [...room, put("readings", reading)] });
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
  const rest = meterReckoningOf(without(book, "meterChanges", id), old.meter, context.today);
  if (rest?.dials.some((change) => change.day === day) === true)
    return failure([{ code: "changed-that-day" }]);
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
  section: DatedSection,
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
