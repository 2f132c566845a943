import {
  symbolOf,
  type LineStanding,
  type Order,
  type OrderIssue,
  type SupplierOffer,
} from "@yonderfell/core";
import { counted, NBSP } from "../../../words/format.js";
import { keepIssueWords } from "../../../words/keepIssueWords.js";
import { money } from "../../../words/money.js";
import { stockWords } from "../stockWords.js";

/** Where an order stands. */
export function orderStandWords(standing: readonly LineStanding[]): string {
  const open = standing.filter((line) => line.open > 0).length;
  if (open === 0) return "all of it has come or is closed";
  const came = standing.some((line) => line.came > 0);
  return `${counted(open, "line")} still to come${came ? ", come in part" : ""}`;
}

/** How much of a line: pieces, or packs with what is in them. */
export function lineAmount(count: number, { pack, product }: Order["lines"][number]): string {
  if ((product ?? null) === null) return counted(count, "piece");
  return pack
    ? `${stockWords(count)} × ${stockWords(pack.value)}${NBSP}${symbolOf(pack.unit)}`
    : counted(count, "pack");
}

/** Why an order, or what came of one, was not written down. */
export function orderIssueWords(issue: OrderIssue): string {
  if ("path" in issue) return keepIssueWords(issue);
  switch (issue.code) {
    case "order-missing":
      return "Not saved: the order is not in the book any more. Reload the page and look again.";
    case "nothing-ordered":
      return "Not ordered: there is no line yet. Add what you want.";
    case "nothing-came":
      return "Not saved: nothing is said to have come. Type how many beside a line.";
    case "came-later":
      return "Not saved: the day is still to come. Choose today or a day before.";
    case "came-before":
      return "Not saved: it came before it was ordered. Look at the day.";
    case "too-many":
      return `Not saved: more came of line ${issue.line + 1} than is still to come. Type what is of this order; write the rest down under Shelves, as bought.`;
    case "reason-missing":
      return "Not closed: say why nothing more is to come.";
    case "no-other-product":
      return `Not saved: line ${issue.line + 1} is a fluid, which comes under its name. Close the line, and write what came down under Shelves.`;
    case "pack-missing":
      return `Not saved: how much is in a pack of line ${issue.line + 1} is not known. Write its packs down under Numbers and prices first.`;
  }
}

/** What a supplier says of a number, beside what is known. */
export function offerWords(
  { known, number, asked, supersededBy, packs, days }: SupplierOffer,
  currency: string,
): string {
  if (!known) return "not sold there";
  const offered = (packs ?? []).map(({ size, unit, price, stock }) => {
    const pack =
      unit === "piece"
        ? size > 1
          ? `pack of ${stockWords(size)}`
          : "one"
        : `${stockWords(size)}${NBSP}${unit}`;
    const there = stock > 0 ? `${stockWords(stock)} there` : "none there now";
    return `${pack} ${money(price, currency)}, ${there}`;
  });
  const other =
    (supersededBy ?? "") !== ""
      ? [`superseded: ${supersededBy ?? ""} comes`]
      : (number ?? asked) !== asked
        ? [`they call it ${number ?? ""}`]
        : [];
  const when = typeof days === "number" ? [`in ${counted(days, "day")}`] : [];
  return [...other, ...offered, ...when].join("; ");
}
