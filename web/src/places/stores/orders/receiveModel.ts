import {
  orderStanding,
  parseDay,
  type CameOf,
  type Order,
  type SupplierOrder,
} from "@yonderfell/core";
import type { Problem } from "../../../form/useForm.js";
import { isAmountOrEmpty, isEmpty, orNull } from "../../../form/typed.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** What came of a line, as it stands in the form. */
export interface CameRow {
  readonly line: number;
  readonly count: string;
  readonly price: string;
  /** Another number that came in its place. */
  readonly instead: string;
}

/** What came, as it stands in the form. */
export interface ReceiveModel {
  readonly on: string;
  readonly rows: readonly CameRow[];
}

export const RECEIVE_LABELS: Readonly<Record<keyof ReceiveModel, string>> = {
  on: "Came on",
  rows: "What came",
};

/** What a supplier says has come of an order and is not taken in yet, by line. */
export function newlyCome(
  order: Order,
  told: SupplierOrder | null,
): ReadonlyMap<
  number,
  { readonly count: number; readonly price: number; readonly instead: string }
> {
  const come = new Map<number, { count: number; price: number; instead: string }>();
  const standing = orderStanding(order);
  for (const { line, count, price, number, instead } of (told?.deliveries ?? []).flatMap(
    ({ lines }) => lines,
  )) {
    const before = come.get(line)?.count ?? 0;
    come.set(line, { count: before + count, price, instead: instead === true ? number : "" });
  }
  for (const [line, one] of come) {
    const { came = 0, open = 0 } = standing[line] ?? {};
    const left = Math.min(one.count - came, open);
    if (left > 0) come.set(line, { ...one, count: left });
    else come.delete(line);
  }
  return come;
}

/** The lines of an order of which something is to come; what the supplier says has come is filled in. */
export function receiveSheet(
  order: Order,
  told: SupplierOrder | null,
  today: string,
): ReceiveModel {
  const come = newlyCome(order, told);
  const rows = orderStanding(order)
    .filter(({ open }) => open > 0)
    .map(({ at, line }): CameRow => {
      const one = come.get(at);
      const price = one?.price ?? line.price ?? null;
      return {
        ...{ line: at, count: one === undefined ? "" : typedFigure(one.count) },
        ...{ price: price === null ? "" : typedFigure(price), instead: one?.instead ?? "" },
      };
    });
  return { on: today, rows };
}

export interface ReceiveProblem extends Problem {
  readonly code: "no-day" | "not-a-count" | "not-a-price";
}

/** What is still wrong with what is typed. */
export function receiveProblems({ on, rows }: ReceiveModel): ReceiveProblem[] {
  return [
    ...(parseDay(on) === null ? [{ field: "on", code: "no-day" as const }] : []),
    ...rows.flatMap(({ count, price }, at): ReceiveProblem[] => [
      ...(isAmountOrEmpty(count)
        ? []
        : [{ field: `rows.${at}.count`, code: "not-a-count" as const }]),
      ...(isAmountOrEmpty(price)
        ? []
        : [{ field: `rows.${at}.price`, code: "not-a-price" as const }]),
    ]),
  ];
}

/** What is wrong, in words. */
export function receiveProblemWords({ code }: ReceiveProblem): string {
  switch (code) {
    case "no-day":
      return "Choose a day.";
    case "not-a-count":
      return "A figure of 0 or more, or nothing.";
    case "not-a-price":
      return "A price of 0 or more, or nothing.";
  }
}

/** What came: the rows with a figure. */
export function cameOf({ rows }: ReceiveModel): CameOf[] {
  return rows
    .filter(({ count }) => !isEmpty(count) && (typedNumber(count) ?? 0) > 0)
    .map(({ line, count, price, instead }) => ({
      ...{ line, count: typedNumber(count) ?? 0, price: typedNumber(price) },
      instead: orNull(instead),
    }));
}
