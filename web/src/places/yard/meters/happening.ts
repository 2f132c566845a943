import {
  changeMeter,
  formatDay,
  guessChange,
  meterReckoningOf,
  parseDay,
  readMeter,
  stopMeter,
  type DayNumber,
  type FigureIssue,
  type MachineBook,
  type Meter,
  type MeterId,
  type MeterIssue,
} from "@yonderfell/core";
import type { MachineCommand } from "../../../data/bookStorage.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** What can happen to a meter. */
export type Happening = "replaced" | "rolled-over" | "repaired" | "stopped" | "estimate";

/** The figures of what happened, as they stand in the form. */
export interface HappeningFigures {
  readonly date: string;
  readonly oldFinal: string;
  readonly newStart: string;
  readonly lost: string;
  readonly figure: string;
  readonly note: string;
}

/** The figures that each of them asks for. */
export const ASKED_OF: Readonly<
  Record<Happening, readonly ("oldFinal" | "newStart" | "lost" | "figure")[]>
> = {
  replaced: ["oldFinal", "newStart", "lost"],
  repaired: ["oldFinal", "newStart", "lost"],
  "rolled-over": ["oldFinal"],
  stopped: [],
  estimate: ["figure"],
};

/** What is wrong with a happening as it is typed. */
export type HappeningProblem =
  | { readonly field: "date"; readonly code: "day-missing" }
  | { readonly field: "date"; readonly code: "day-in-future"; readonly today: DayNumber }
  | { readonly field: keyof HappeningFigures; readonly code: "figure-not-a-number" };

/** What is still wrong with it, at its fields. */
export function happeningProblems(
  happening: Happening,
  model: HappeningFigures,
  today: DayNumber,
): readonly HappeningProblem[] {
  const day = parseDay(model.date);
  const problems: HappeningProblem[] = [];
  if (day === null) problems.push({ field: "date", code: "day-missing" });
  else if (day > today) problems.push({ field: "date", code: "day-in-future", today });
  for (const field of ASKED_OF[happening]) {
    if (!isAmount(model[field])) problems.push({ field, code: "figure-not-a-number" });
  }
  return problems;
}

const isAmount = (text: string): boolean => (typedNumber(text) ?? -1) >= 0;

/** Where a dial that shows a figure begins again at 0: one digit more than it shows. */
function rollsOverAt(dial: number): number {
  return 10 ** String(Math.floor(dial)).length;
}

/** The figures a form begins with, as the meter is reckoned to stand today. */
export function guessedFigures(
  book: MachineBook,
  meter: Meter,
  happening: Happening,
  today: DayNumber,
): HappeningFigures {
  const reckoning = meterReckoningOf(book, meter.id, today);
  const guess = reckoning === null ? null : guessChange(reckoning, today);
  const dial = reckoning?.dial ?? null;
  const typed = (value: number | null | undefined): string =>
    value === null || value === undefined ? "" : typedFigure(value, meter.unit === "h" ? 1 : 0);
  const common = { date: formatDay(today), figure: typed(dial), note: "" };
  if (happening === "rolled-over") {
    return { ...common, oldFinal: typed(rollsOverAt(dial ?? 0)), newStart: "0", lost: "0" };
  }
  const newStart = happening === "repaired" ? typed(guess?.newStart) : "0";
  return { ...common, oldFinal: typed(guess?.oldFinal), newStart, lost: typed(guess?.lost ?? 0) };
}

/** The command that records what happened to a meter. */
export function happeningCommand(
  happening: Happening,
  meter: MeterId,
  figures: HappeningFigures,
  today: DayNumber,
): MachineCommand<MeterIssue | FigureIssue> {
  const day = parseDay(figures.date) ?? today;
  const number = (text: string): number => typedNumber(text) ?? Number.NaN;
  switch (happening) {
    case "stopped":
      return (book, context) => stopMeter(book, { meter, since: day }, context);
    case "estimate": {
      const value = number(figures.figure);
      const input = { meter, day, value, answer: null, isEstimated: true };
      return (book, context) => readMeter(book, input, context);
    }
    case "replaced":
    case "rolled-over":
    case "repaired": {
      const dials = {
        oldFinal: number(figures.oldFinal),
        newStart: number(figures.newStart),
        lost: number(figures.lost),
      };
      const input = { meter, day, note: figures.note, ...dials };
      return (book, context) => changeMeter(book, input, context);
    }
  }
}
