import { put, type RecordChange } from "../book/change.js";
import type { CommandContext, CommandResult } from "../book/command.js";
import type { MeterChangeId, MeterId, ReadingId } from "../book/ids.js";
import type { MachineBook } from "../book/machineBook.js";
import { recordsByMachine } from "../book/machineRecords.js";
import type { Reading } from "../book/reading.js";
import { failure, success } from "../book/result.js";
import { DEFAULT_SETTINGS } from "../book/settings.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { figureDoubt, type FigureDoubt } from "./figureDoubt.js";
import { hasReached } from "./life.js";
import { lifeOfFigure } from "./dials.js";
import { reckonMeters, type MeterReckoning } from "./reckonMeter.js";

/** What the person says of a figure that does not agree with the others; null before being asked. Figures in the meter's unit. */
export type FigureAnswer =
  /** The meter was replaced or reset: where the old dial ended, where the new one began, what was run unmetered. */
  | {
      readonly code: "replaced";
      readonly oldFinal: number;
      readonly newStart: number;
      readonly lost: number;
    }
  /** The dial passed its highest figure and began again at 0. */
  | { readonly code: "rolled-over"; readonly at: number }
  /** Right as it is: a rise is confirmed; where it goes back, the readings above it are withdrawn. */
  | { readonly code: "right" };

/** A dial read on a day, in the meter's own unit. */
export interface ReadMeterInput {
  readonly meter: MeterId;
  readonly day: DayNumber;
  readonly value: number;
  readonly answer: FigureAnswer | null;
}

/** What stands in the way of a reading. */
export type ReadMeterIssue =
  | { readonly code: "meter-not-found" }
  | { readonly code: "day-in-future" }
  | { readonly code: "figure-not-a-number" }
  | { readonly code: "figure-in-doubt"; readonly doubt: FigureDoubt }
  /** A figure in the way stands in an entry of the log or a meter change, where only a correction of that can mend it. */
  | { readonly code: "stands-in-the-log"; readonly doubt: FigureDoubt };

/** The reckoning of one meter of a machine's book on `today`. */
export function meterReckoningOf(
  book: MachineBook,
  meter: MeterId,
  today: DayNumber,
): MeterReckoning | null {
  const records = recordsByMachine(book).get(book.machines[0].id);
  if (records === undefined) return null;
  return reckonMeters(records, DEFAULT_SETTINGS, today).get(meter) ?? null;
}

/**
 * Records a reading. Refused: an unknown meter, a day after today, a figure that is not a number of
 * at least 0, and a figure that disagrees with the others until the person has said what it means.
 */
export function readMeter(
  book: MachineBook,
  input: ReadMeterInput,
  context: CommandContext,
): CommandResult<ReadMeterIssue> {
  const reckoning = meterReckoningOf(book, input.meter, context.today);
  if (reckoning === null) return failure([{ code: "meter-not-found" }]);
  if (input.day > context.today) return failure([{ code: "day-in-future" }]);
  if (!Number.isFinite(input.value) || input.value < 0)
    return failure([{ code: "figure-not-a-number" }]);
  const doubt = figureDoubt(reckoning, input.day, input.value);
  if (doubt !== null && input.answer === null) return failure([{ code: "figure-in-doubt", doubt }]);
  const repairs = doubt === null ? [] : repair(book, reckoning, input, doubt, context);
  if (repairs === null) {
    return failure(doubt === null ? [] : [{ code: "stands-in-the-log", doubt }]);
  }
  const confirmed = input.answer?.code === "right" && doubt?.code === "impossible-rise";
  const reading = newReading(book, input, confirmed, context);
  return success({ command: "read-meter", records: [...repairs, put("readings", reading)] });
}

function newReading(
  book: MachineBook,
  input: ReadMeterInput,
  confirmed: boolean,
  context: CommandContext,
): Reading {
  return {
    id: context.newId() as ReadingId,
    seq: context.nextSeq(),
    machine: book.machines[0].id,
    meter: input.meter,
    date: formatDay(input.day),
    value: input.value,
    ...(confirmed ? { confirmed: true } : {}),
  };
}

/** The records that make room for the figure, or null where one in the way is not a reading. */
function repair(
  book: MachineBook,
  reckoning: MeterReckoning,
  input: ReadMeterInput,
  doubt: FigureDoubt,
  context: CommandContext,
): RecordChange[] | null {
  const { answer } = input;
  if (answer === null) return [];
  switch (answer.code) {
    case "replaced":
      return [newChange(book, input, answer.oldFinal, answer.newStart, answer.lost, context)];
    case "rolled-over":
      return [newChange(book, input, answer.at, 0, 0, context)];
    case "right":
      return doubt.code === "impossible-rise" ? [] : withdrawn(book, reckoning, input, context);
  }
}

function newChange(
  book: MachineBook,
  { meter, day }: ReadMeterInput,
  oldFinal: number,
  newStart: number,
  lost: number,
  context: CommandContext,
): RecordChange {
  return put("meterChanges", {
    id: context.newId() as MeterChangeId,
    seq: context.nextSeq(),
    machine: book.machines[0].id,
    meter,
    date: formatDay(day),
    oldFinal,
    newStart,
    lost,
  });
}

/** Every kept reading on the wrong side of the figure, superseded by a void one. */
function withdrawn(
  book: MachineBook,
  { dials, kept }: MeterReckoning,
  { day, value }: ReadMeterInput,
  context: CommandContext,
): RecordChange[] | null {
  const { life } = lifeOfFigure(dials, value, day);
  const wrong = kept.filter((point) =>
    point.day < day
      ? !hasReached(life, point.life)
      : point.day > day && !hasReached(point.life, life),
  );
  const readings = new Map(book.readings.map((reading) => [reading.id as string, reading]));
  const changes: RecordChange[] = [];
  for (const { source } of wrong) {
    const reading = source.section === "readings" ? readings.get(source.id) : undefined;
    if (reading === undefined) return null;
    const id = context.newId() as ReadingId;
    changes.push(
      put("readings", { ...reading, id, seq: context.nextSeq(), replaces: reading.id, void: true }),
    );
  }
  return changes;
}
