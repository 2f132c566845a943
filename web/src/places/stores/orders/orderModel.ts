import {
  itemKey,
  parseDay,
  plainAmount,
  unitOfItem,
  type Catalogue,
  type OrderPlaced,
  type ShoppingLine,
  type SupplierOffer,
} from "@yonderfell/core";
import type { Problem } from "../../../form/useForm.js";
import { isAmountOrEmpty, isEmpty, orNull } from "../../../form/typed.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";
import type { LineSent } from "../../../work/supplier.js";
import { itemOfKey } from "../shelves/moveModel.js";

/** A line of an order as it stands in the form. */
export interface OrderRow {
  readonly item: string;
  /** The number to ask for, where it is another than the book's. */
  readonly number: string;
  readonly count: string;
  /** How much is in a pack of a fluid. */
  readonly pack: string;
  readonly price: string;
}

/** An order as it stands in the form. */
export interface OrderModel {
  readonly source: string;
  readonly placed: string;
  readonly reference: string;
  readonly note: string;
  readonly lines: readonly OrderRow[];
}

export const ORDER_LABELS: Readonly<Record<keyof OrderModel, string>> = {
  source: "From",
  placed: "Ordered on",
  reference: "Their number for it",
  note: "Note",
  lines: "What is ordered",
};

export const emptyRow = (): OrderRow => ({ item: "", number: "", count: "", pack: "", price: "" });

/** What a shopping list has bought of a source, as lines: pieces of parts, packs of fluids. */
export function rowsOf(lines: readonly ShoppingLine[], source: string): OrderRow[] {
  return lines.flatMap(({ item, instead, buying }) =>
    (buying?.packs ?? [])
      .filter((pack) => pack.source === source)
      .map(({ size, count, price }): OrderRow => {
        const isPart = "part" in item;
        const each = price === null ? "" : typedFigure(isPart ? price / size : price);
        return {
          ...{ item: itemKey(item), number: instead ?? "", price: each },
          count: typedFigure(isPart ? count * size : count),
          pack: isPart ? "" : typedFigure(size),
        };
      }),
  );
}

export interface OrderProblem extends Problem {
  readonly code:
    "source-missing" | "no-day" | "item-missing" | "count-missing" | "pack-missing" | "not-a-price";
}

function rowProblems({ item, count, pack, price }: OrderRow, at: number): OrderProblem[] {
  const isProduct = item.startsWith("product ");
  const checks: readonly (readonly [keyof OrderRow, OrderProblem["code"], boolean])[] = [
    ["item", "item-missing", item !== ""],
    ["count", "count-missing", (typedNumber(count) ?? 0) > 0],
    ["pack", "pack-missing", !isProduct || (typedNumber(pack) ?? 0) > 0],
    ["price", "not-a-price", isAmountOrEmpty(price)],
  ];
  return checks
    .filter(([, , isSound]) => !isSound)
    .map(([field, code]) => ({ field: `lines.${at}.${field}`, code }));
}

/** What is still wrong with an order. */
export function orderProblems({ source, placed, lines }: OrderModel): OrderProblem[] {
  return [
    ...(isEmpty(source) ? [{ field: "source", code: "source-missing" as const }] : []),
    ...(parseDay(placed) === null ? [{ field: "placed", code: "no-day" as const }] : []),
    ...lines.flatMap(rowProblems),
  ];
}

const PROBLEM_WORDS: Readonly<Record<OrderProblem["code"], string>> = {
  "source-missing": "Say from whom.",
  "no-day": "Choose a day.",
  "item-missing": "Choose a part or a fluid.",
  "count-missing": "A figure above 0.",
  "pack-missing": "How much is in a pack.",
  "not-a-price": "A price of 0 or more, or nothing.",
};
/** What is wrong, in words. */
export const orderProblemWords = ({ code }: OrderProblem): string => PROBLEM_WORDS[code];

/** The order of a form that has no problem. */
export function orderOf(model: OrderModel, catalogue: Catalogue): OrderPlaced {
  const lines = model.lines.flatMap((row): OrderPlaced["lines"] => {
    const item = itemOfKey(row.item, catalogue);
    const count = typedNumber(row.count);
    if (item === null || count === null) return [];
    const [pack, price, number] = [
      typedNumber(row.pack),
      typedNumber(row.price),
      orNull(row.number),
    ];
    const unit = unitOfItem(item, catalogue);
    return [
      {
        ...{ ...item, count },
        ...(pack === null || unit === "piece" ? {} : { pack: { value: pack, unit } }),
        ...(number === null ? {} : { number }),
        ...(price === null ? {} : { price }),
      },
    ];
  });
  const reference = orNull(model.reference);
  const note = orNull(model.note);
  return {
    ...{ source: model.source.trim(), placed: model.placed, lines },
    ...(reference === null ? {} : { reference }),
    ...(note === null ? {} : { note }),
  };
}

/** The number by which a supplier is asked for a line: a fluid goes by its name. */
export function askedNumber({ item: key, number }: OrderRow, catalogue: Catalogue): string {
  if (!isEmpty(number)) return number.trim();
  const item = itemOfKey(key, catalogue);
  if (item === null) return "";
  return "part" in item
    ? (catalogue.parts.get(item.part)?.number ?? "")
    : (catalogue.products.get(item.product)?.name ?? "");
}

/** The lines as the supplier is told them. */
export const linesSent = ({ lines }: OrderModel, catalogue: Catalogue): LineSent[] =>
  lines.map((row) => ({
    number: askedNumber(row, catalogue),
    count: typedNumber(row.count) ?? 0,
    pack: typedNumber(row.pack),
  }));

/** A line at the price that the supplier asks now; as it was where it does not sell it, or not in that pack. */
export function atTheirPrice(row: OrderRow, offer: SupplierOffer | undefined): OrderRow {
  const packs = offer?.packs ?? [];
  const size = typedNumber(row.pack);
  const pack = packs.find((one) => one.unit === "piece" || one.size === size);
  if (pack === undefined) return row;
  const each = pack.unit === "piece" ? pack.price / pack.size : pack.price;
  return { ...row, price: typedFigure(Math.round(each * 1e6) / 1e6) };
}

/** What the lines come to, and how many have no price. */
export function sumOf({ lines }: OrderModel): { readonly cost: number; readonly unpriced: number } {
  const costs = lines.map(({ count, price }) => {
    const each = typedNumber(price);
    return each === null ? null : each * (typedNumber(count) ?? 0);
  });
  return {
    cost: costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0),
    unpriced: costs.filter((cost) => cost === null).length,
  };
}

/** The packs in which a fluid is known to come, to choose from. */
export function packsKnown(key: string, catalogue: Catalogue): string[] {
  const item = itemOfKey(key, catalogue);
  if (item === null || "part" in item) return [];
  const packs = catalogue.products.get(item.product)?.packs ?? [];
  return packs.map(({ quantity }) => typedFigure(plainAmount(quantity)));
}
