import { applyChange, put, type RecordChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { MeterChangeId, MeterId } from "../book/records/ids.js";
import type { MachineBook } from "../book/slice/slice.js";
import { recordsByMachine } from "../book/slice/machineRecords.js";
import { failure, success, type Result } from "../book/change/result.js";
import { DEFAULT_SETTINGS } from "../book/records/settings.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { dialOn, lifeOfFigure } from "./dials.js";
import { contradictedPoints, figureDoubt, type FigureDoubt } from "./figureDoubt.js";
import { makeRoom } from "./makeRoom.js";
import { reckonMeters, type MeterReckoning } from "./reckonMeter.js";

/** What the person says of a figure that does not agree with the others. Figures in the meter's unit. */
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

/** A figure read from a dial, in the meter's own unit; `answer` is null before the person has been asked. */
export interface DialFigureInput {
  readonly meter: MeterId;
  readonly day: DayNumber;
  readonly value: number;
  readonly answer: FigureAnswer | null;
  /** Not read from the dial but reckoned or guessed. */
  readonly isEstimated?: boolean;
}

/** What stands in the way of a figure. */
export type FigureIssue =
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

/** A figure that may stand: the records that make it so, and whether it is to be marked as confirmed. */
export interface SettledFigure {
  readonly records: readonly RecordChange[];
  readonly isConfirmed: boolean;
}

/** The reckoning of one meter of a machine's book on `today`; null where it has no such meter. */
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
 * What lets a figure stand beside the others. Refused: an unknown meter, a day after today, a figure
 * that is not a number of at least 0, and one that disagrees with the others until the person has
 * said what it means. Figures that were only estimated give way without a question.
 */
export function settleFigure(
  book: MachineBook,
  input: DialFigureInput,
  context: CommandContext,
): Result<SettledFigure, FigureIssue> {
  const { meter, day, value, answer } = input;
  const reckoning = meterReckoningOf(book, meter, context.today);
  if (reckoning === null) return failure([{ code: "meter-not-found" }]);
  if (day > context.today) return failure([{ code: "day-in-future" }]);
  if (!Number.isFinite(value) || value < 0) return failure([{ code: "figure-not-a-number" }]);
  const doubt = figureDoubt(reckoning, day, value);
  if (doubt !== null && answer === null) return failure([{ code: "figure-in-doubt", doubt }]);
  const records = repair(book, reckoning, input, doubt, context);
  if (records === null) {
    return failure([{ code: "change-in-the-way", day: doubt?.against.day ?? day }]);
  }
  const issue = doubt === null ? null : changeIssue(book, reckoning, input, records, context.today);
  if (issue !== null) return failure([issue]);
  const isConfirmed = answer?.code === "right" && doubt?.code === "impossible-rise";
  return success({ records, isConfirmed });
}

/** The records that let the figure stand, or null where a meter change is in the way. */
function repair(
  book: MachineBook,
  reckoning: MeterReckoning,
  { answer, meter, day, value }: DialFigureInput,
  doubt: FigureDoubt | null,
  context: CommandContext,
): RecordChange[] | null {
  const contradicted = contradictedPoints(reckoning, day, value);
  if (doubt === null || answer === null) {
    const estimated = contradicted.filter((point) => point.estimated);
    return makeRoom(book, meter, estimated, context);
  }
  switch (answer.code) {
    case "replaced":
      return [newChange(book, meter, answer, context)];
    case "rolled-over": {
      const dials = { day: answer.day, oldFinal: answer.at, newStart: 0, lost: 0 };
      return [newChange(book, meter, dials, context)];
    }
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
  { answer, meter, day, value }: DialFigureInput,
  repairs: readonly RecordChange[],
  today: DayNumber,
): FigureIssue | null {
  if (answer === null || answer.code === "right") return null;
  if (answer.day > today) return { code: "day-in-future" };
  if (reckoning.dials.some((change) => change.day === answer.day)) {
    return { code: "changed-that-day", day: answer.day };
  }
  const changed = applyChange(book, { command: "settle-figure", records: repairs });
  const after = meterReckoningOf(changed, meter, today);
  const doubt = after === null ? null : figureDoubt(after, day, value);
  if (doubt !== null) return { code: "still-in-doubt", doubt };
  // On the very day of the change a figure nearer the old dial's end is taken for the old dial, where it still goes back.
  const before = figureDoubt(reckoning, day, value);
  const isOnOldDial =
    after !== null && lifeOfFigure(after.dials, value, day).dial < dialOn(after.dials, day);
  return isOnOldDial && before !== null ? { code: "still-in-doubt", doubt: before } : null;
}
