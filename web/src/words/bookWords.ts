import type { ExportNote } from "../data/bookStorage.js";
import { dayOf, SECTION_WORDS, SECTIONS, type Section } from "@yonderfell/core";
import type { BookSummary } from "@yonderfell/core";
import { currentDay } from "../data/today.js";
import { counted, dialFigureWithUnit, fullDate } from "./format.js";
import { meterName } from "./limitWords.js";

/** What is told first, of whatever else there is: what stands in every book. */
const FIRST: readonly Section[] = ["machines", "tasks", "entries", "readings"];
/** The sections in the order in which they are told. */
export const SECTION_ORDER: readonly Section[] = [...new Set([...FIRST, ...SECTIONS])];

/** What one record of a section is called. */
export function sectionNoun(section: Section): string {
  return SECTION_WORDS[section][0];
}

/** How many records of each kind, those of none left out: `3 machines, 28 tasks`. */
export function countsWords(counts: Readonly<Partial<Record<Section, number>>>): string {
  const parts = SECTION_ORDER.flatMap((section) => {
    const count = counts[section] ?? 0;
    const [one, many] = SECTION_WORDS[section];
    return count > 0 ? [counted(count, one, many)] : [];
  });
  return parts.length === 0 ? "nothing yet" : parts.join(", ");
}

/** When a book was last exported. */
export interface ExportState {
  /** When, as an ISO instant; null where it never was. */
  readonly at: string | null;
  /** How many changes since. */
  readonly changes: number;
}

/** How a book stands against its last export: `12 changes since the export of 3 Nov 2026`. */
export function exportWords({ at, changes }: ExportState): string {
  if (at === null) {
    return changes === 0
      ? "Not exported yet"
      : `Not exported yet; ${counted(changes, "change")} made here`;
  }
  const day = fullDate(currentDay(new Date(at)));
  return changes === 0
    ? `Exported ${day}, nothing changed since`
    : `${counted(changes, "change")} since the export of ${day}`;
}

/** Where a book that is gone can be had from: its last file, by name and day, or that none is known. */
export function lastFileWords(note: ExportNote | null): string {
  if (note === null) return "It was not exported as far as this tab knows.";
  const day = fullDate(currentDay(new Date(note.at)));
  return `Its last export is ${note.file ?? "a file"} of ${day}.`;
}

/** A figure that cannot be true beside the others, as a line. */
export function faultWords({ tag, machine, meter, fault }: BookSummary["faults"][number]): string {
  return `${tag} ${machine}, ${meterName({ meter })}: ${dialFigureWithUnit(fault.dial, meter.unit)} on ${fullDate(fault.day)}`;
}

/** A meter that is in doubt, as a line. */
export function doubtfulWords(doubt: BookSummary["doubtful"][number]): string {
  const { tag, machine, meter, lastOn, stoppedOn } = doubt;
  const named = `${tag} ${machine}, ${meterName({ meter })}`;
  if (stoppedOn !== null) return `${named}: stopped since ${fullDate(stoppedOn)}`;
  return lastOn === null ? `${named}: never read` : `${named}: last read ${fullDate(lastOn)}`;
}

/** From when to when a book's records are, empty where it has none. */
export function datesWords(dates: BookSummary["dates"]): string {
  return dates === null
    ? ""
    : `from ${fullDate(dayOf(dates.first))} to ${fullDate(dayOf(dates.last))}`;
}
