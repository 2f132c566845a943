import { itemKey, parseDay, type ShelfItem, type StockTold } from "@yonderfell/core";
import type { Problem } from "../../../form/useForm.js";
import { isEmpty } from "../../../form/typed.js";
import { typedNumber } from "../../../words/writing.js";

/** An item of a count sheet and what is typed beside it. */
export interface CountRow {
  readonly key: string;
  readonly typed: string;
}

/** A count sheet as it stands in the form. */
export interface CountModel {
  readonly date: string;
  readonly rows: readonly CountRow[];
}

export const COUNT_LABELS: Readonly<Record<keyof CountModel, string>> = {
  date: "Counted on",
  rows: "What is there",
};

/** The items that lie on a shelf, in the order of the book; all of them where none is named. */
export const onShelf = (items: readonly ShelfItem[], shelf: string): ShelfItem[] =>
  items.filter(({ shelves }) => shelf === "" || shelves.includes(shelf));

/** An empty sheet for some items. */
export const countSheet = (items: readonly ShelfItem[], today: string): CountModel => ({
  date: today,
  rows: items.map(({ item }) => ({ key: itemKey(item), typed: "" })),
});

export interface CountProblem extends Problem {
  readonly code: "not-a-count" | "no-day";
}

/** What is wrong with what is typed. */
export function countProblems({ date, rows }: CountModel): CountProblem[] {
  const wrong = rows.flatMap(({ typed }, at): CountProblem[] =>
    isEmpty(typed) || (typedNumber(typed) ?? -1) >= 0
      ? []
      : [{ field: `rows.${at}.typed`, code: "not-a-count" }],
  );
  return parseDay(date) === null ? [...wrong, { field: "date", code: "no-day" }] : wrong;
}

/** What is wrong, in words. */
export const countProblemWords = ({ code }: CountProblem): string =>
  code === "no-day" ? "Choose a day." : "A figure of 0 or more.";

/** What was counted: the rows in which something is typed. */
export function countsOf(
  { date, rows }: CountModel,
  items: readonly ShelfItem[],
  shelf: string,
): Omit<StockTold, "why">[] {
  const byKey = new Map(items.map((one) => [itemKey(one.item), one]));
  return rows.flatMap(({ key, typed }) => {
    const one = byKey.get(key);
    const amount = typedNumber(typed);
    if (one === undefined || amount === null || amount < 0) return [];
    const lies = shelf === "" ? (one.shelves[0] ?? null) : shelf;
    return [{ item: one.item, amount, unit: one.stock.unit, date, shelf: lies }];
  });
}

/**
 * What is pasted into a sheet: lines of a number or a name and a figure go to the items they name, lines of a figure alone to the items from
 * the one it is pasted into on. Null where it is one figure, to be typed as ever; `unknown` are lines that name no item of the sheet.
 */
export function pasted(
  text: string,
  model: CountModel,
  from: number,
  items: readonly ShelfItem[],
): { readonly rows: readonly CountRow[]; readonly unknown: readonly string[] } | null {
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== "");
  if (lines.length < 2 && !/[\t;]/.test(text)) return null;
  const typed = new Map<string, string>();
  const unknown: string[] = [];
  for (const [at, line] of lines.entries()) {
    const cells = line.split(/[\t;]/).map((cell) => cell.trim());
    const value = cells.at(-1) ?? "";
    if (cells.length === 1) {
      const row = model.rows[from + at];
      if (row === undefined) unknown.push(line.trim());
      else typed.set(row.key, value);
      continue;
    }
    const named = items.find(({ number, name }) =>
      cells
        .slice(0, -1)
        .some((cell) => [number, name].some((one) => one.toLowerCase() === cell.toLowerCase())),
    );
    if (named === undefined) unknown.push(cells.slice(0, -1).join(" "));
    else typed.set(itemKey(named.item), value);
  }
  const rows = model.rows.map((row) => ({ ...row, typed: typed.get(row.key) ?? row.typed }));
  return { rows, unknown };
}
