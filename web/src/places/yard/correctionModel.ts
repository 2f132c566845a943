import {
  correctMeterChange,
  correctReading,
  parseDay,
  type DayNumber,
  type FigureIssue,
  type MeterChange,
  type NotCorrectable,
  type Reading,
} from "@yonderfell/core";
import type { MachineCommand } from "../../data/bookStorage.js";
import { figureTyped } from "../../form/typed.js";
import { typedNumber } from "../../words/writing.js";

/** What stands in the way of correcting a figure. */
export type CorrectionIssue = FigureIssue | NotCorrectable;

/** What is wrong with a correction as it is typed. */
export type CorrectionProblem<Field extends string> =
  | { readonly field: "date"; readonly code: "day-missing" }
  | { readonly field: Field; readonly code: "figure-not-a-number" }
  /** The book does not take it; `issue` says why. */
  | { readonly field: Field | ""; readonly code: "refused"; readonly issue: CorrectionIssue };

/** A reading as it stands in the form that corrects it. */
export interface ReadingModel {
  readonly date: string;
  readonly value: string;
  /** Whether the figure is right and what does not agree with it is set aside. */
  readonly figureIsRight: boolean;
}

/** A reading as it stands in the form. */
export const modelOfReading = ({ date, value }: Reading): ReadingModel => ({
  ...{ date, value: figureTyped(value), figureIsRight: false },
});

/** The command that corrects a reading. */
export function readingCommand(
  { id }: Reading,
  { date, value, figureIsRight }: ReadingModel,
  today: DayNumber,
): MachineCommand<CorrectionIssue> {
  const input = { day: parseDay(date) ?? today, value: numberOf(value), figureIsRight };
  return (book, context) => correctReading(book, id, input, context);
}

/** A meter change as it stands in the form that corrects it. */
export interface ChangeModel {
  readonly date: string;
  readonly oldFinal: string;
  readonly newStart: string;
  readonly lost: string;
}

/** A meter change as it stands in the form. */
export const modelOfChange = ({ date, oldFinal, newStart, lost }: MeterChange): ChangeModel => ({
  date,
  oldFinal: figureTyped(oldFinal),
  newStart: figureTyped(newStart),
  lost: figureTyped(lost ?? 0),
});

/** The command that corrects a meter change. */
export function changeCommand(
  { id }: MeterChange,
  { date, oldFinal, newStart, lost }: ChangeModel,
  today: DayNumber,
): MachineCommand<CorrectionIssue> {
  const figures = {
    ...{ oldFinal: numberOf(oldFinal), newStart: numberOf(newStart), lost: numberOf(lost) },
  };
  return (book, context) =>
    correctMeterChange(book, id, { day: parseDay(date) ?? today, ...figures }, context);
}

const numberOf = (text: string): number => typedNumber(text) ?? Number.NaN;

/** What is wrong with a correction, at its fields: `figures` are those that must be numbers, `refused` what the book says of it and where that stands. */
export function correctionProblems<Field extends string>(
  date: string,
  figures: readonly (readonly [Field, string])[],
  refused: { readonly field: Field | ""; readonly issue: CorrectionIssue | null },
): readonly CorrectionProblem<Field>[] {
  const wrong = figures.flatMap(([field, text]): CorrectionProblem<Field>[] =>
    numberOf(text) >= 0 ? [] : [{ field, code: "figure-not-a-number" }],
  );
  const problems: CorrectionProblem<Field>[] =
    parseDay(date) === null ? [{ field: "date", code: "day-missing" }, ...wrong] : wrong;
  const { field, issue } = refused;
  return problems.length > 0 || issue === null ? problems : [{ field, code: "refused", issue }];
}
