import {
  applyChange,
  parseDay,
  parseReadingLine,
  readMeter,
  reckonMachineBook,
  type BoardMachine,
  type DayNumber,
  type FigureAnswer,
  type Machine,
  type MachineBook,
  type ReadingLine,
  type ReadingLineIssue,
  type ReadMeterInput,
  type ReadMeterIssue,
  type Result,
  type Settings,
} from "@yonderfell/core";
import { lookingAhead } from "../../data/lookingAhead.js";
import { movesBetween, type Move } from "../../words/moves.js";

/** The sign before decimals; the other one parts thousands. */
export const DECIMAL = ".";

/** What the line says so far. */
export function understood(
  line: string,
  machines: readonly Machine[],
): Result<ReadingLine, ReadingLineIssue> {
  return parseReadingLine(line, machines, DECIMAL);
}

/** What would come of saving a reading. */
export type Outlook =
  | { readonly code: "fits"; readonly moves: readonly Move[]; readonly after: BoardMachine }
  | { readonly code: "stopped"; readonly issue: ReadMeterIssue };

/** What a reading would move, or what stands in its way. */
export function outlookOf(
  book: MachineBook,
  settings: Settings,
  input: ReadMeterInput,
  today: DayNumber,
): Outlook {
  const result = readMeter(book, input, lookingAhead(today));
  const [issue] = result.ok ? [] : result.issues;
  if (issue !== undefined) return { code: "stopped", issue };
  if (!result.ok) return { code: "stopped", issue: { code: "meter-not-found" } };
  const before = reckonMachineBook(book, settings, today);
  const after = reckonMachineBook(applyChange(book, result.value), settings, today);
  return { code: "fits", moves: movesBetween(before, after, today), after };
}

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

const numberOf = (text: string): number => Number(text.replace(/\s/g, "") || Number.NaN);

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
