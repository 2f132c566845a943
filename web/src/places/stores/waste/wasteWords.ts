import type { WasteAmount, WasteIssue, WasteMove, WasteOfSpan } from "@yonderfell/core";
import { counted, NBSP } from "../../../words/format.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";
import { quantityWords } from "../../../words/quantityWords.js";
import { stockWords } from "../stockWords.js";

/** An amount of waste: `12.6 L, 3 pieces`; `none`. */
export function wasteAmount({ litres, kilograms, pieces }: WasteAmount): string {
  const parts = [
    ...(litres === 0 ? [] : [`${stockWords(litres)}${NBSP}L`]),
    ...(kilograms === 0 ? [] : [`${stockWords(kilograms)}${NBSP}kg`]),
    ...(pieces === 0 ? [] : [counted(pieces, "piece")]),
  ];
  return parts.length === 0 ? "none" : parts.join(", ");
}

/** How much of waste a move is of. */
export const moveAmount = ({ amount }: WasteMove): string =>
  typeof amount === "number" ? counted(amount, "piece") : quantityWords(amount);

/** What is to be kept in mind with a kind of waste. */
export const KIND_CAUTIONS: Readonly<Record<WasteOfSpan["kind"], string>> = {
  oil: "Off the skin; never with coolant, brake fluid or fuel: mixed, nobody takes it.",
  coolant: "Poisonous and sweet: closed, away from children and animals. Never with oil.",
  "brake fluid": "Takes off paint. Never with oil.",
  fuel: "Away from flame and sparks, in a can made for it. Never with anything.",
  filters: "Drained for a night first; they are oily waste.",
  batteries: "Upright, acid in; poles covered.",
  tyres: "By local rules.",
  other: "By local rules; refrigerant only by licensed people.",
};

/** Why something about waste was not written down. */
export function wasteIssueWords(issue: WasteIssue): string {
  if ("path" in issue) return keepIssueWords(issue);
  switch (issue.code) {
    case "waste-moved-later":
      return "Not saved: the day is still to come. Choose today or a day before.";
    case "container-missing":
      return "Not saved: the container is not in the book any more. Choose another.";
    case "other-kind":
      return `Not saved: ${issue.container} is for ${issue.holds}. Kinds are never mixed: choose another container.`;
    case "where-missing":
      return "Not saved: say where it was handed in.";
    case "waste-move-missing":
      return "Not saved: it is not in the book any more. Reload the page and look again.";
    case "holds-something":
      return "Not saved: something is or was in it, so that it keeps its kind. Add another container.";
  }
}
