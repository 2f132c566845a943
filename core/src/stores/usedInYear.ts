import type { Book } from "../book/file/book.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import { addDays, type DayNumber } from "../calendar/dayNumber.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { catalogueOf, itemKey, unitOfItem, type StoreItem } from "./item.js";

const DAYS = 365;

/** What work used of each item ({@link itemKey}) in the 365 days up to and with a day, wherever it came from, but for what was supplied; pieces, litres or kilograms. */
export function usedInYear(
  book: Pick<Book, "entries" | "parts" | "products">,
  today: DayNumber,
): ReadonlyMap<string, number> {
  const catalogue = catalogueOf(book);
  const used = new Map<string, number>();
  const add = (item: StoreItem, amount: number): void => {
    const key = itemKey(item);
    used.set(key, (used.get(key) ?? 0) + amount);
  };
  const from = addDays(today, -DAYS);
  for (const { record, day } of currentRecords(book.entries ?? [])) {
    if (day <= from || day > today) continue;
    for (const { part, count, from: whence } of record.parts ?? []) {
      if (whence !== "supplied") add({ part }, count);
    }
    for (const { product, in: amount, from: whence } of record.fluids ?? []) {
      if (!product || !amount || whence === "supplied") continue;
      const item = { product };
      const unit = unitOfItem(item, catalogue);
      if (dimensionOf(amount.unit) === dimensionOf(unit)) add(item, valueIn(amount, unit));
    }
  }
  return used;
}
