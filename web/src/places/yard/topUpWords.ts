import type { DayNumber, Meter, PlannedFluid, ReadingLine } from "@yonderfell/core";
import { dialFigureWithUnit, fullDate } from "../../words/format.js";
import { money } from "../../words/money.js";
import { quantityWords } from "../../words/quantityWords.js";
import { figureIssueWords } from "../../words/readingWords.js";
import type { LineIssue } from "./readingModel.js";

/** What was saved: `07 Road gritter: 41,350 km, engine +0.4 L on 9 Dec 2026` */
export function lineSavedWords(
  { machine, figure, topUp }: ReadingLine,
  system: string,
  day: DayNumber,
): string {
  const read = figure === null ? [] : [dialFigureWithUnit(figure.value, figure.meter.unit)];
  const added = topUp === null ? [] : [`${system} +${quantityWords(topUp)}`];
  return `${machine.tag} ${machine.name}: ${[...read, ...added].join(", ")} on ${fullDate(day)}`;
}

/** What goes in: `engine: 0.4 L Fellmaster 15W-40` and what a litre of it costs. */
export function toppedUpWords({ product, price }: PlannedFluid, currency: string): string {
  if (product === null) return "the product is not recorded on the plate; it is logged without one";
  return price === null
    ? `${product.name}, no price known`
    : `${product.name}, ${money(price.price, currency)} a ${product.unit === "kg" ? "kilogram" : "litre"} (${price.source})`;
}

/** What stands in the way of a line, and what to do. */
export function lineStopWords(issue: LineIssue, meter: Meter | null, today: DayNumber): string {
  switch (issue.code) {
    case "meter-not-found":
    case "day-in-future":
    case "figure-not-a-number":
    case "figure-in-doubt":
    case "still-in-doubt":
    case "changed-that-day":
    case "change-in-the-way":
      return meter === null
        ? `The day is after today, ${fullDate(today)}; choose one that has been.`
        : figureIssueWords(issue, meter, today);
    case "nothing-done":
      return "Type a figure, or what was added.";
    case "task-not-found":
    case "done-and-tested":
    case "look-again-missing":
    case "valid-until-early":
      return "Log it from the machine's own page.";
  }
}
