import {
  formatDay,
  parseDay,
  parseFigure,
  type FigureAnswer,
  type FigureDoubt,
} from "@yonderfell/core";
import { decimalSign, typedFigure } from "../../../words/writing.js";

/** What the person is choosing between where a figure does not agree. */
export type AnswerChoice = "typing" | "replaced" | "rolled-over" | "right";

/** The figures an answer needs, as typed. */
export interface AnswerFigures {
  /** The day of the change, `YYYY-MM-DD`. */
  readonly day: string;
  readonly oldFinal: string;
  readonly newStart: string;
  readonly lost: string;
  readonly rollsOverAt: string;
}

const numberOf = (text: string): number => parseFigure(text, decimalSign()) ?? Number.NaN;

/** The answer as the command takes it; null while it is not chosen or a figure of it is missing. */
export function answerFrom(
  choice: AnswerChoice | null,
  figures: AnswerFigures,
): FigureAnswer | null {
  if (choice === "right") return { code: "right" };
  const day = parseDay(figures.day);
  if (day === null) return null;
  if (choice === "rolled-over") {
    const at = numberOf(figures.rollsOverAt);
    return Number.isFinite(at) ? { code: "rolled-over", day, at } : null;
  }
  if (choice !== "replaced") return null;
  const [oldFinal, newStart, lost] = [figures.oldFinal, figures.newStart, figures.lost].map(
    numberOf,
  );
  if (oldFinal === undefined || newStart === undefined || lost === undefined) return null;
  const areFigures = [oldFinal, newStart, lost].every((value) => Number.isFinite(value));
  return areFigures ? { code: "replaced", day, oldFinal, newStart, lost } : null;
}

/** The figures of an answer before anything is known of the doubt. */
export const NO_FIGURES: AnswerFigures = {
  day: "",
  oldFinal: "",
  newStart: "0",
  lost: "0",
  rollsOverAt: "100000",
};

/** The figures an answer begins with: the change is taken to have come just after the figure it disagrees with. */
export function figuresFor({ against, againstDial }: FigureDoubt): AnswerFigures {
  return { ...NO_FIGURES, day: formatDay(against.day), oldFinal: typedFigure(againstDial) };
}
