import {
  applyChange,
  parseReadingLine,
  readMeter,
  reckonMachineBook,
  type BoardMachine,
  type DayNumber,
  type Machine,
  type MachineBook,
  type ReadingLine,
  type ReadingLineIssue,
  type DialFigureInput,
  type FigureIssue,
  type Result,
  type Settings,
} from "@yonderfell/core";
import { lookingAhead } from "../../data/lookingAhead.js";
import { decimalSign } from "../../words/writing.js";
import { movesBetween, type Move } from "../../words/moves.js";

/** What the line says so far. */
export function understood(
  line: string,
  machines: readonly Machine[],
): Result<ReadingLine, ReadingLineIssue> {
  return parseReadingLine(line, machines, decimalSign());
}

/** What would come of saving a reading. */
export type Outlook =
  | { readonly code: "fits"; readonly moves: readonly Move[]; readonly after: BoardMachine }
  | { readonly code: "stopped"; readonly issue: FigureIssue };

/** What a reading would move, or what stands in its way. */
export function outlookOf(
  book: MachineBook,
  settings: Settings,
  input: DialFigureInput,
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
