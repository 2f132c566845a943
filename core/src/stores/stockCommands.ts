import type { CommandContext, CommandResult } from "../book/change/command.js";
import { put, type RecordChange } from "../book/change/change.js";
import { failure, success } from "../book/change/result.js";
import type { BookIssue } from "../book/file/issue.js";
import { issuesOf } from "../book/file/issuesOf.js";
import type { Amount } from "../book/records/amounts.js";
import type { Entry } from "../book/records/entry.js";
import type { EntryId } from "../book/records/ids.js";
import type { Part } from "../book/records/part.js";
import { RECORD_SCHEMAS } from "../book/records/recordSchemas.js";
import type { StockMove } from "../book/records/stockMove.js";
import { currentRecords, standingFor } from "../book/slice/currentRecords.js";
import type { SharedSlice } from "../book/slice/slice.js";
import { dayOf } from "../calendar/dayNumber.js";
import type { Quantity } from "../quantity/quantity.js";
import { itemKey, itemNamed, type StoreItem } from "./item.js";
import type { StockUnit } from "./stockOn.js";

/** What stands in the way of a move of stock. */
export type StockIssue =
  | BookIssue
  | { readonly code: "move-missing" }
  | { readonly code: "nothing-counted" }
  | { readonly code: "moved-later" };

/** A move of stock as it is told; the amount in pieces, litres or kilograms. */
export interface StockTold {
  readonly item: StoreItem;
  readonly amount: number;
  readonly unit: StockUnit;
  readonly why: StockMove["why"];
  readonly date: string;
  /** Of all of it. */
  readonly price?: number | null;
  readonly source?: string | null;
  readonly shelf?: string | null;
  readonly note?: string | null;
}

/** An amount of an item as records have it: a count of a part, a quantity of a product. */
export const amountIn = (amount: number, unit: StockUnit): Amount | Quantity =>
  unit === "piece" ? amount : { value: amount, unit };

const orAbsent = <T>(key: string, value: T | null | undefined): object =>
  value === null || value === undefined || value === "" ? {} : { [key]: value };

/** A move as it is recorded. */
export function stockMoveOf(told: StockTold, context: CommandContext): StockMove {
  const { item, amount, unit, why, date, price, source, shelf, note } = told;
  return {
    ...{ id: context.newId(), seq: context.nextSeq(), date, ...item },
    ...{ amount: amountIn(amount, unit), why },
    ...{ ...orAbsent("price", price), ...orAbsent("source", source) },
    ...{ ...orAbsent("shelf", shelf), ...orAbsent("note", note) },
  } as StockMove;
}

function kept(command: string, moves: readonly StockMove[]): CommandResult<StockIssue> {
  const issues = moves.flatMap((move) => issuesOf(RECORD_SCHEMAS.stockMoves, move, []));
  if (issues.length > 0) return failure(issues);
  const records: RecordChange[] = moves.map((move) => put("stockMoves", move));
  return success({ command, records });
}

/** Writes down what was bought, brought back to the shelf, sent back or scrapped. Refused: a day to come, an amount of 0. */
export function moveStock(told: StockTold, context: CommandContext): CommandResult<StockIssue> {
  if (dayOf(told.date) > context.today) return failure([{ code: "moved-later" }]);
  return kept("move-stock", [stockMoveOf(told, context)]);
}

/** Writes down what was counted on a shelf, all of it as one change. What lies on several shelves is counted together: one count of an item is of all there is. Refused: no count at all, a day to come. */
export function countStock(
  counts: readonly Omit<StockTold, "why">[],
  context: CommandContext,
): CommandResult<StockIssue> {
  if (counts.length === 0) return failure([{ code: "nothing-counted" }]);
  if (counts.some(({ date }) => dayOf(date) > context.today)) {
    return failure([{ code: "moved-later" }]);
  }
  const moves = counts.map((told) => stockMoveOf({ ...told, why: "counted" }, context));
  return kept("count-stock", moves);
}

/** Strikes a move out: it was mistaken. It stays among the superseded. */
export function strikeMove(
  { stockMoves }: SharedSlice<"stockMoves">,
  id: string,
  context: CommandContext,
): CommandResult<StockIssue> {
  const move = standingFor(stockMoves, id);
  if (move === null) return failure([{ code: "move-missing" }]);
  const { revision: _, ...rest } = move;
  const own = { id: context.newId() as StockMove["id"], seq: context.nextSeq() };
  return kept("strike-stock-move", [{ ...rest, ...own, replaces: move.id, void: true }]);
}

/** A count that work of its own day may have come after: the entry took so much of it from the shelf. */
export interface CountBeside {
  readonly count: StockMove;
  readonly item: StoreItem;
  readonly taken: number;
}

/**
 * The counts of the day of an entry, of what it took from shelves (records §2): on one date entries come before counts, so that
 * work which was done after the count is not taken off it. Only counts that were written down before the entry: ask which it was.
 */
export function countsBeside(
  { id, date, seq, parts, fluids }: Entry,
  moves: readonly StockMove[],
  amountOf: (quantity: Quantity, item: StoreItem) => number,
): CountBeside[] {
  const taken = new Map<string, { readonly item: StoreItem; readonly amount: number }>();
  const add = (item: StoreItem, amount: number): void => {
    const key = itemKey(item);
    taken.set(key, { item, amount: (taken.get(key)?.amount ?? 0) + amount });
  };
  for (const { part, count, from } of parts ?? []) if (from === "stock") add({ part }, count);
  for (const { product, from, in: amount } of fluids ?? []) {
    if (from === "stock" && product && amount) add({ product }, amountOf(amount, { product }));
  }
  const counted = new Map<string, StockMove>();
  for (const { record } of currentRecords(moves)) {
    const item = itemNamed(record);
    if (record.why !== "counted" || record.date !== date || item === null) continue;
    // Counted after it was written down, or answered for already.
    if ((record.seq ?? 0) > (seq ?? 0) || record.entry === id) continue;
    const known = counted.get(itemKey(item));
    if (known === undefined || (record.seq ?? 0) >= (known.seq ?? 0))
      counted.set(itemKey(item), record);
  }
  return [...taken].flatMap(([key, { item, amount }]) => {
    const count = counted.get(key);
    return count === undefined ? [] : [{ count, item, taken: amount }];
  });
}

/** Something of a kit that the work of an entry may not have used. */
export interface KitRest {
  readonly kit: Part;
  readonly part: Part;
  /** As many as were in the kits that were taken. */
  readonly count: number;
}

/** What was in the kits that an entry used, whether from a shelf or bought for it: of what does not fit all stays over. What was brought back to the shelf already is left out. */
export function kitRests(
  { id, parts }: Pick<Entry, "id" | "parts">,
  all: readonly Part[],
  moves: readonly StockMove[],
): KitRest[] {
  const back = new Set(
    currentRecords(moves).flatMap(({ record }) =>
      record.entry === id && record.why === "returned" ? (record.part ?? []) : [],
    ),
  );
  return (parts ?? []).flatMap(({ part: used, count, from }) => {
    const kit = all.find((one) => one.id === used);
    if (kit === undefined || from === "supplied") return [];
    return (kit.contains ?? []).flatMap((inside): KitRest[] => {
      const part = all.find((one) => one.id === inside.part);
      if (part === undefined || back.has(part.id)) return [];
      return [{ kit, part, count: count * (inside.count ?? 1) }];
    });
  });
}

/** Brings what is left of a kit to the shelf. */
export function returnFromKit(
  { kit, part, count }: KitRest,
  entry: Pick<Entry, "id" | "date">,
  context: CommandContext,
): CommandResult<StockIssue> {
  const told = { item: { part: part.id }, amount: count, unit: "piece" as const, date: entry.date };
  const move = stockMoveOf({ ...told, why: "returned", note: `left of ${kit.number}` }, context);
  return kept("return-from-kit", [{ ...move, entry: entry.id }]);
}

/** Counts that stand for what was there before the work of the same day: each is corrected by what that work took, and not below nothing. */
export function countsLess(
  beside: readonly CountBeside[],
  entry: EntryId,
  unitOf: (item: StoreItem) => StockUnit,
  context: CommandContext,
): CommandResult<StockIssue> {
  const moves = beside.map(({ count, item, taken }): StockMove => {
    const unit = unitOf(item);
    const { amount } = count;
    const there = typeof amount === "number" ? amount : amount.value;
    const left = Math.max(0, there - taken);
    const { revision: _, ...rest } = count;
    return {
      ...{ ...rest, id: context.newId() as StockMove["id"], seq: context.nextSeq() },
      ...{ replaces: count.id, entry, amount: amountIn(left, unit) },
      note: "less what work of the same day took after it was counted",
    };
  });
  return kept("correct-count", moves);
}
