import {
  itemKey,
  parseDay,
  unitOfItem,
  type Catalogue,
  type StockMove,
  type StockTold,
  type StoreItem,
} from "@yonderfell/core";
import type { Problem } from "../../../form/useForm.js";
import { isEmpty, orNull } from "../../../form/typed.js";
import { typedNumber } from "../../../words/writing.js";

/** Why something came or went; a count has a sheet of its own. */
export const MOVES = ["bought", "returned", "sent-back", "scrapped"] as const;
type Move = (typeof MOVES)[number];

/** A move as it stands in the form. */
export interface MoveModel {
  readonly item: string;
  readonly why: string;
  readonly amount: string;
  readonly date: string;
  readonly price: string;
  readonly source: string;
  readonly shelf: string;
  readonly note: string;
}

export const MOVE_LABELS: Readonly<Record<keyof MoveModel, string>> = {
  item: "Of what",
  why: "What happened",
  amount: "How much",
  date: "On",
  price: "Price of all of it",
  source: "From or to whom",
  shelf: "Shelf",
  note: "Note",
};

/** A move to begin with. */
export const newMove = (item: StoreItem | null, shelf: string, today: string): MoveModel => ({
  ...{ item: item === null ? "" : itemKey(item), why: "bought", amount: "", date: today },
  ...{ price: "", source: "", shelf, note: "" },
});

/** The item that a choice stands for; null where it stands for none. */
export function itemOfKey(key: string, { parts, products }: Catalogue): StoreItem | null {
  const id = key.slice(key.indexOf(" ") + 1);
  const part = key.startsWith("part ") ? parts.get(id) : undefined;
  if (part !== undefined) return { part: part.id };
  const product = key.startsWith("product ") ? products.get(id) : undefined;
  return product === undefined ? null : { product: product.id };
}

export interface MoveProblem extends Problem {
  readonly code: "item-missing" | "amount-missing" | "not-a-price" | "no-day";
}

/** What is still wrong with a move. */
export function moveProblems(model: MoveModel): MoveProblem[] {
  const price = typedNumber(model.price);
  const checks: readonly (readonly [keyof MoveModel, MoveProblem["code"], boolean])[] = [
    ["item", "item-missing", model.item !== ""],
    ["amount", "amount-missing", (typedNumber(model.amount) ?? 0) > 0],
    ["date", "no-day", parseDay(model.date) !== null],
    ["price", "not-a-price", isEmpty(model.price) || (price !== null && price >= 0)],
  ];
  return checks.filter(([, , isSound]) => !isSound).map(([field, code]) => ({ field, code }));
}

/** What is wrong, in words. */
export function moveProblemWords({ code }: MoveProblem): string {
  switch (code) {
    case "item-missing":
      return "Choose a part or a fluid.";
    case "amount-missing":
      return "A figure above 0.";
    case "not-a-price":
      return "A price of 0 or more, or nothing.";
    case "no-day":
      return "Choose a day.";
  }
}

/** The move of a form that has no problem; null where its item is gone. */
export function moveOf(model: MoveModel, catalogue: Catalogue): StockTold | null {
  const item = itemOfKey(model.item, catalogue);
  if (item === null) return null;
  return {
    ...{ item, amount: typedNumber(model.amount) ?? 0, unit: unitOfItem(item, catalogue) },
    ...{ why: model.why as Move satisfies StockMove["why"], date: model.date },
    ...{ price: typedNumber(model.price), source: orNull(model.source) },
    ...{ shelf: orNull(model.shelf), note: orNull(model.note) },
  };
}
