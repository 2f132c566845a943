import { stockFigure, stockWord, type Book, type StockList } from "@yonderfell/core";
import { textTable } from "./textTable.js";

const TITLES = ["number", "name", "on hand", "", "counted", "least", ""];

const rounded = (value: number): string => String(stockFigure(value));

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
    return [number, name, rounded(onHand), unit, counted ?? "never", least, stockWord(item)];
  });
  return [`In stock on ${on}`, "", ...textTable(TITLES, rows)].join("\n");
}
