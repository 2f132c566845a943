import type {
  DayNumber,
  FigureDoubt,
  NotCorrectable,
  Meter,
  ReadingLineIssue,
  FigureIssue,
} from "@yonderfell/core";
import { dialFigureWithUnit, fullDate } from "./format.js";
import { quantityIssueWords } from "./quantityWords.js";

/** What a typed line still lacks, and what to type. */
export function lineIssueWords(issue: ReadingLineIssue): string {
  switch (issue.code) {
    case "empty":
      return "Type the machine's number and what its meter shows.";
    case "tag-unknown":
      return `No machine has the number ${issue.tag}.`;
    case "tag-ambiguous":
      return `More than one machine has the number ${issue.tag}; read it from the machine's own page.`;
    case "machine-has-no-meter":
      return `${issue.machine.tag} ${issue.machine.name} has no meter.`;
    case "unit-unknown":
      return `${issue.machine.tag} ${issue.machine.name} has no meter in ${issue.unit}.`;
    case "figure-missing":
      return `${issue.machine.tag} ${issue.machine.name}: now the figure.`;
    case "figure-unreadable":
      return `${issue.machine.tag} ${issue.machine.name}: “${issue.text}” is not a figure.`;
    case "top-up-missing":
      return `${issue.machine.tag} ${issue.machine.name}: now how much was added, such as +0.4 for 0.4 L.`;
    case "top-up-not-positive":
      return `${issue.machine.tag} ${issue.machine.name}: what was added must be more than nothing.`;
    case "top-up-unreadable":
      return `${issue.machine.tag} ${issue.machine.name}: ${quantityIssueWords(issue.issue, "L")}.`;
  }
}

/** What does not agree, in figures of the dial. */
export function doubtWordsFor(doubt: FigureDoubt, meter: Meter): string {
  const other = `${dialFigureWithUnit(doubt.againstDial, meter.unit)} on ${fullDate(doubt.against.day)}`;
  switch (doubt.code) {
    case "goes-back":
      return `That is below ${other}.`;
    case "above-a-later-one":
      return `That is above the later ${other}.`;
    case "impossible-rise":
      return `That is more than the machine can run since ${other}.`;
  }
}

/** What stands in the way of a figure, and what to do. */
export function figureIssueWords(issue: FigureIssue, meter: Meter, today: DayNumber): string {
  switch (issue.code) {
    case "meter-not-found":
      return "The machine no longer has this meter; look at its page.";
    case "day-in-future":
      return `The day is after today, ${fullDate(today)}; choose one that has been.`;
    case "figure-not-a-number":
      return "The figure must be a number of 0 or more.";
    case "figure-in-doubt":
      return doubtWordsFor(issue.doubt, meter);
    case "still-in-doubt":
      return `Even so: ${doubtWordsFor(issue.doubt, meter).toLowerCase()} Look again at the day and the figures of the change.`;
    case "changed-that-day":
      return `This meter has a change on ${fullDate(issue.day)} already; choose the day before or after.`;
    case "change-in-the-way":
      return `The meter change of ${fullDate(issue.day)} does not agree with this figure; correct that change first.`;
  }
}

/** What stands in the way of correcting a figure, and what to do. */
export function correctionIssueWords(
  issue: FigureIssue | NotCorrectable,
  meter: Meter,
  today: DayNumber,
): string {
  if (issue.code === "record-not-found") return "The record is no longer in the book.";
  if (issue.code === "already-corrected") {
    return "It has been corrected already; correct the record that took its place.";
  }
  return figureIssueWords(issue, meter, today);
}
