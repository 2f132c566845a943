import type { Book, StockItem, StockList } from "@yonderfell/core";
import { textTable } from "./textTable.js";

const TITLES = ["number", "name", "on hand", "", "counted", "least", ""];

const rounded = (value: number): string => String(Math.round(value * 1000) / 1000);

/** What deserves a word: more taken than there was, or less than the least. */
function wordOf({ onHand, short }: StockItem): string {
  if (onHand < 0) return "the counts do not agree";
  return short ? "short" : "";
}

/** What there is on the shelves, as a table for people. */
export function stockTable({ on, items }: StockList, { parts, products }: Book): string {
  const part = new Map((parts ?? []).map((one) => [one.id, one]));
  const product = new Map((products ?? []).map((one) => [one.id, one]));
  const rows = items.map((item) => {
    const [number, name] =
      "part" in item
        ? [part.get(item.part)?.number ?? "", part.get(item.part)?.name ?? ""]
        : ["", product.get(item.product)?.name ?? ""];
    const least = item.least === null ? "" : rounded(item.least);
    const { onHand, unit, counted } = item;
    return [number, name, rounded(onHand), unit, counted ?? "never", least, wordOf(item)];
  });
  return [`In stock on ${on}`, "", ...textTable(TITLES, rows)].join("\n");
}
