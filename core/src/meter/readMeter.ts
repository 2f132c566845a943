import { applyChange, put, type RecordChange } from "../book/change.js";
import type { CommandContext, CommandResult } from "../book/command.js";
import type { MeterChangeId, MeterId, ReadingId } from "../book/ids.js";
import type { MachineBook } from "../book/machineBook.js";
import { recordsByMachine } from "../book/machineRecords.js";
import type { Reading } from "../book/reading.js";
import { failure, success } from "../book/result.js";
import { DEFAULT_SETTINGS } from "../book/settings.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { contradictedPoints, figureDoubt, type FigureDoubt } from "./figureDoubt.js";
import { dialOn, lifeOfFigure } from "./dials.js";
import { makeRoom } from "./makeRoom.js";
import { reckonMeters, type MeterReckoning } from "./reckonMeter.js";

/** What the person says of a figure that does not agree with the others; null before being asked. Figures in the meter's unit. */
export type FigureAnswer =
  /** The meter was replaced or reset on `day`: where the old dial ended, where the new one began, what was run unmetered. */
  | {
      readonly code: "replaced";
      readonly day: DayNumber;
      readonly oldFinal: number;
      readonly newStart: number;
      readonly lost: number;
    }
  /** The dial passed its highest figure on `day` and began again at 0. */
  | { readonly code: "rolled-over"; readonly day: DayNumber; readonly at: number }
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
  /** Even with the change recorded the figure disagrees. */
  | { readonly code: "still-in-doubt"; readonly doubt: FigureDoubt }
  /** The meter was already changed that day; two changes of one day cannot be told apart. */
  | { readonly code: "changed-that-day"; readonly day: DayNumber }
  /** A meter change stands in the way: only a correction of that can mend it. */
  | { readonly code: "change-in-the-way"; readonly day: DayNumber };

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
  const repairs = repair(book, reckoning, input, doubt, context);
  if (repairs === null) {
    const day = doubt?.against.day ?? input.day;
    return failure([{ code: "change-in-the-way", day }]);
  }
  const issue = changeIssue(book, reckoning, input, repairs, context.today);
  if (issue !== null) return failure([issue]);
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

/** The records that let the figure stand, or null where a meter change is in the way. */
function repair(
  book: MachineBook,
  reckoning: MeterReckoning,
  input: ReadMeterInput,
  doubt: FigureDoubt | null,
  context: CommandContext,
): RecordChange[] | null {
  const { answer, meter, day, value } = input;
  const contradicted = contradictedPoints(reckoning, day, value);
  if (doubt === null || answer === null) {
    return makeRoom(
      book,
      meter,
      contradicted.filter((point) => point.estimated),
      context,
    );
  }
  switch (answer.code) {
    case "replaced":
      return [newChange(book, meter, answer, context)];
    case "rolled-over":
      return [
        newChange(
          book,
          meter,
          { day: answer.day, oldFinal: answer.at, newStart: 0, lost: 0 },
          context,
        ),
      ];
    case "right":
      return makeRoom(book, meter, contradicted, context);
  }
}

function newChange(
  book: MachineBook,
  meter: MeterId,
  dials: { day: DayNumber; oldFinal: number; newStart: number; lost: number },
  context: CommandContext,
): RecordChange {
  return put("meterChanges", {
    id: context.newId() as MeterChangeId,
    seq: context.nextSeq(),
    machine: book.machines[0].id,
    meter,
    date: formatDay(dials.day),
    oldFinal: dials.oldFinal,
    newStart: dials.newStart,
    lost: dials.lost,
  });
}

/** What is wrong with a change the person has described, seen beside the figure; null where it settles the doubt. */
function changeIssue(
  book: MachineBook,
  reckoning: MeterReckoning,
  input: ReadMeterInput,
  repairs: readonly RecordChange[],
  today: DayNumber,
): ReadMeterIssue | null {
  const { answer, meter, day, value } = input;
  if (answer === null || answer.code === "right") return null;
  if (answer.day > today) return { code: "day-in-future" };
  if (reckoning.dials.some((change) => change.day === answer.day)) {
    return { code: "changed-that-day", day: answer.day };
  }
  const after = meterReckoningOf(
    applyChange(book, { command: "read-meter", records: repairs }),
    meter,
    today,
  );
  const doubt = after === null ? null : figureDoubt(after, day, value);
  if (doubt !== null) return { code: "still-in-doubt", doubt };
  // On the very day of the change a figure nearer the old dial's end is taken for the old dial, where it still goes back.
  const before = figureDoubt(reckoning, day, value);
  const isOnOldDial =
    after !== null && lifeOfFigure(after.dials, value, day).dial < dialOn(after.dials, day);
  return isOnOldDial && before !== null ? { code: "still-in-doubt", doubt: before } : null;
}
