import {
  applyChange,
  parseReadingLine,
  readMeter,
  reckonMachineBook,
  topUp,
  type BoardMachine,
  type CommandContext,
  type CommandResult,
  type DayNumber,
  type DialFigureInput,
  type FigureIssue,
  type FluidUsed,
  type Gallons,
  type LogWorkIssue,
  type Machine,
  type MachineBook,
  type ReadingLine,
  type ReadingLineIssue,
  type Result,
  type Settings,
} from "@yonderfell/core";
import { lookingAhead } from "../../data/lookingAhead.js";
import { decimalSign } from "../../words/writing.js";
import { movesBetween, type Move } from "../../words/moves.js";

/** What the line says so far; `gallons` is whose quarts are meant where the machine does not say. */
export function understood(
  line: string,
  machines: readonly Machine[],
  gallons: Gallons | null,
): Result<ReadingLine, ReadingLineIssue> {
  return parseReadingLine(line, machines, { decimal: decimalSign(), gallons });
}

/** What a line asks for: a reading, a top-up, or both; one of them at least. */
export interface LineInput {
  readonly day: DayNumber;
  readonly figure: DialFigureInput | null;
  readonly fluid: FluidUsed | null;
}

/** Why a line cannot be saved. */
export type LineIssue = FigureIssue | Exclude<LogWorkIssue, { readonly code: "figure-refused" }>;

/** What comes of a line: a reading, or an entry of what was topped up with what the dial showed. */
export function commandOfLine(
  book: MachineBook,
  { day, figure, fluid }: LineInput,
  context: CommandContext,
): CommandResult<LineIssue> {
  if (fluid === null) {
    return figure === null
      ? { ok: false, issues: [{ code: "nothing-done" }] }
      : readMeter(book, figure, context);
  }
  const result = topUp(book, { day, figure, fluid }, context);
  if (result.ok) return result;
  const issues = result.issues.map((issue) =>
    issue.code === "figure-refused" ? issue.issue : issue,
  );
  return { ok: false, issues };
}

/** What would come of saving a line. */
export type Outlook =
  | { readonly code: "fits"; readonly moves: readonly Move[]; readonly after: BoardMachine }
  | { readonly code: "stopped"; readonly issue: LineIssue };

/** What a line would move, or what stands in its way. */
export function outlookOf(
  book: MachineBook,
  settings: Settings,
  input: LineInput,
  today: DayNumber,
): Outlook {
  const result = commandOfLine(book, input, lookingAhead(today));
  const [issue] = result.ok ? [] : result.issues;
  if (issue !== undefined) return { code: "stopped", issue };
  if (!result.ok) return { code: "stopped", issue: { code: "meter-not-found" } };
  const before = reckonMachineBook(book, settings, today);
  const after = reckonMachineBook(applyChange(book, result.value), settings, today);
  return { code: "fits", moves: movesBetween(before, after, today), after };
}
