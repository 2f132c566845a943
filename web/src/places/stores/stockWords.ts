import {
  formatNumber,
  stockFigure,
  type Catalogue,
  type NeedGap,
  type StoreItem,
  type StockIssue,
  type StockUnit,
} from "@yonderfell/core";
import { NBSP } from "../../words/format.js";
import { keepIssueWords } from "../../words/keepIssueWords.js";
import { figureStyle } from "../../words/writing.js";

/** A figure of stock as it is shown everywhere: to a thousandth of its unit. */
export const stockWords = (value: number): string =>
  formatNumber(stockFigure(value), figureStyle());

/** An amount of an item: `12`, `18.5 L`. */
export const itemAmount = (value: number, unit: StockUnit): string =>
  unit === "piece" ? stockWords(value) : `${stockWords(value)}${NBSP}${unit}`;

/** What an item is called: a part by number and name, a product by name. */
export function itemName(item: StoreItem, { parts, products }: Catalogue): string {
  if ("product" in item) return products.get(item.product)?.name ?? "a product that is not there";
  const part = parts.get(item.part);
  return part === undefined ? "a part that is not there" : `${part.number} ${part.name}`;
}

/** What a move did, for people. */
export const MOVE_WORDS = {
  bought: "bought",
  counted: "counted",
  returned: "back to the shelf",
  "sent-back": "sent back",
  scrapped: "scrapped",
} as const;

/** Why a move of stock was not written down. */
export function stockIssueWords(issue: StockIssue): string {
  if ("path" in issue) return keepIssueWords(issue);
  switch (issue.code) {
    case "move-missing":
      return "Not saved: the move is not in the book any more. Reload the page and look again.";
    case "nothing-counted":
      return "Nothing is counted yet: type a figure beside at least one item.";
    case "moved-later":
      return "Not saved: the day is still to come. Choose today or a day before.";
  }
}

/** What is not known of what is needed, and where to write it down. */
export function gapWords({ code, what }: NeedGap): string {
  switch (code) {
    case "capacity":
      return `${what}: how much it takes is not on the plate`;
    case "product":
      return `${what}: which product goes in is not known`;
    case "measure":
      return `${what}: its capacity is a volume and its product is weighed, or the other way round`;
    case "seal":
      return `${what}: no part in Stores goes by that name`;
  }
}
