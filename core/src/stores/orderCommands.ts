import type { CommandContext, CommandResult } from "../book/change/command.js";
import { put, type RecordChange } from "../book/change/change.js";
import { failure, success } from "../book/change/result.js";
import type { BookIssue } from "../book/file/issue.js";
import { issuesOf } from "../book/file/issuesOf.js";
import type { Order } from "../book/records/order.js";
import type { Part, Price } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import { RECORD_SCHEMAS } from "../book/records/recordSchemas.js";
import type { StockMove } from "../book/records/stockMove.js";
import type { SharedSlice } from "../book/slice/slice.js";
import { dayOf } from "../calendar/dayNumber.js";
import { isAbove, isSame } from "../sums/nearly.js";
import { catalogueOf, isSameNumber, itemNamed, unitOfItem, type StoreItem } from "./item.js";
import { amountOfLine, orderStanding, type OrderLine } from "./orders.js";
import { plainAmount } from "./price.js";
import { stockMoveOf } from "./stockCommands.js";

/** What stands in the way of an order, or of what comes of it. */
export type OrderIssue =
  | BookIssue
  | { readonly code: "order-missing" }
  | { readonly code: "nothing-ordered" }
  | { readonly code: "nothing-came" }
  | { readonly code: "came-later" }
  | { readonly code: "came-before" }
  /** More than is still to come of a line. */
  | { readonly code: "too-many"; readonly line: number }
  | { readonly code: "reason-missing"; readonly line: number }
  /** Only a part comes under another number. */
  | { readonly code: "no-other-product"; readonly line: number }
  /** How much is in the pack that came is not known. */
  | { readonly code: "pack-missing"; readonly line: number };

/** An order as it is placed. */
export type OrderPlaced = Pick<
  Order,
  "source" | "placed" | "lines" | "reference" | "online" | "promised" | "note"
>;

const keptOrder = (
  command: string,
  order: Order,
  before: Order | null,
  more: readonly RecordChange[] = [],
): CommandResult<OrderIssue> => {
  const issues = issuesOf(RECORD_SCHEMAS.orders, order, []);
  if (issues.length > 0) return failure(issues);
  const record = { section: "orders" as const, id: order.id, before, after: order };
  return success({ command, records: [record, ...more] });
};

/** Writes an order down. Refused: one without lines. */
export function placeOrder(
  placed: OrderPlaced,
  context: CommandContext,
): CommandResult<OrderIssue> {
  if (placed.lines.length === 0) return failure([{ code: "nothing-ordered" }]);
  return keptOrder("place-order", { ...placed, id: context.newId() as Order["id"] }, null);
}

/** Something that came of an order: of a line, as it was ordered or under another number. */
export interface CameOf {
  /** The line it is of, from 0. */
  readonly line: number;
  /** Pieces, or packs of a product. */
  readonly count: number;
  /** Of one. */
  readonly price: number | null;
  /** The number that came in its place; null where it came as ordered. Its line is closed with a word, whatever else was to come of it. */
  readonly instead: string | null;
}

type ReceiveSlice = SharedSlice<"orders" | "parts" | "products">;

function wrongWith(
  order: Order,
  came: readonly CameOf[],
  on: string,
  { today }: CommandContext,
): OrderIssue | null {
  if (came.length === 0) return { code: "nothing-came" };
  if (dayOf(on) > today) return { code: "came-later" };
  if (on < order.placed) return { code: "came-before" };
  const standing = orderStanding(order);
  for (const { line, count } of came) {
    if (isAbove(count, standing[line]?.open ?? 0)) return { code: "too-many", line };
  }
  return null;
}

/** The line as it came: what of it, how many, at which price. */
function lineThatCame(
  ordered: OrderLine,
  { count, price, instead }: CameOf,
  item: StoreItem | null,
): OrderLine {
  const { closed: _closed, part: _part, product: _product, number: _number, ...rest } = ordered;
  const number = instead === null ? {} : { number: instead };
  return { ...rest, ...item, ...number, count, ...(price === null ? {} : { price }) };
}

/** What came under the very number that was ordered came as it was ordered. */
function withoutOwnNumber(
  came: CameOf,
  order: Order,
  { parts }: Pick<ReceiveSlice, "parts">,
): CameOf {
  const ordered = order.lines[came.line]?.part;
  const number = parts.find(({ id }) => id === ordered)?.number;
  const isOwn = number !== undefined && isSameNumber(number, came.instead ?? "");
  return isOwn ? { ...came, instead: null } : came;
}

/** Parts as they stand while an order is taken in: what came under a number that the book knows no part of is written down as one. */
class Parts {
  private readonly changes = new Map<string, RecordChange<"parts">>();

  constructor(
    private readonly held: readonly Part[],
    private readonly context: CommandContext,
  ) {}

  all(): Part[] {
    const known = new Set(this.held.map(({ id }) => id));
    const made = [...this.changes.values()].flatMap(({ after }) => after ?? []);
    return [
      ...this.held.map((part) => this.changes.get(part.id)?.after ?? part),
      ...made.filter(({ id }) => !known.has(id)),
    ];
  }

  find(id: string): Part | undefined {
    return this.all().find((part) => part.id === id);
  }

  put(after: Part): void {
    const before = this.held.find(({ id }) => id === after.id) ?? null;
    this.changes.set(after.id, { section: "parts", id: after.id, before, after });
  }

  /** The part of a number that came in the place of another: it is like that one, which it takes the place of from now on. */
  of(number: string, old: Part): Part {
    const known = this.all().find((part) => isSameNumber(part.number, number));
    if (known !== undefined) return known;
    const { revision: _, ...rest } = old;
    const id = this.context.newId() as Part["id"];
    const fresh = { ...rest, id, number: number.trim(), supersededBy: null, prices: [] };
    this.put(fresh);
    this.put({ ...old, supersededBy: number.trim(), least: null });
    return fresh;
  }

  list(): readonly RecordChange[] {
    return [...this.changes.values()];
  }
}

/** What came of the lines of an order, as lines and as moves to the shelf. */
interface TakenIn {
  readonly lines: OrderLine[];
  readonly moves: readonly StockMove[];
}

function takenIn(
  order: Order,
  on: string,
  came: readonly CameOf[],
  parts: Parts,
  { products }: Pick<ReceiveSlice, "products">,
  context: CommandContext,
): TakenIn | OrderIssue {
  const lines: OrderLine[] = [];
  const moves: StockMove[] = [];
  for (const one of came) {
    const ordered = order.lines[one.line] as OrderLine;
    const old = ordered.part ? parts.find(ordered.part) : undefined;
    if (one.instead !== null && old === undefined) {
      return { code: "no-other-product", line: one.line };
    }
    const named = itemNamed(ordered);
    const item =
      one.instead === null || old === undefined ? named : { part: parts.of(one.instead, old).id };
    const line = lineThatCame(ordered, one, item);
    const catalogue = catalogueOf({ parts: parts.all(), products });
    const amount = amountOfLine(line, one.count, catalogue);
    if (amount === null || item === null) return { code: "pack-missing", line: one.line };
    const price = one.price === null ? {} : { price: one.price * one.count };
    const told = { item, amount, unit: unitOfItem(item, catalogue), why: "bought" as const };
    moves.push(stockMoveOf({ ...told, ...price, date: on, source: order.source }, context));
    lines.push(line);
  }
  return { lines, moves };
}

/**
 * Takes in what came of an order on a day: it stands on the order, is bought to the shelves at its price, and its price becomes
 * that of its source from that day on. What came under another number closes its line with a word. Refused: nothing, more than is to come, a day to
 * come or before it was placed, a pack of which nobody knows how much is in it.
 */
export function receiveOrder(
  slice: ReceiveSlice,
  id: string,
  on: string,
  told: readonly CameOf[],
  context: CommandContext,
): CommandResult<OrderIssue> {
  const order = slice.orders.find((one) => one.id === id);
  if (order === undefined) return failure([{ code: "order-missing" }]);
  const came = told.map((one) => withoutOwnNumber(one, order, slice));
  const wrong = wrongWith(order, came, on, context);
  if (wrong !== null) return failure([wrong]);
  const parts = new Parts(slice.parts, context);
  const taken = takenIn(order, on, came, parts, slice, context);
  if (!("moves" in taken)) return failure([taken]);
  const { lines, moves } = taken;
  const after: Order = {
    ...order,
    lines: order.lines.map((line, at) => {
      const other = came.find((one) => one.line === at && one.instead !== null)?.instead ?? null;
      return other === null ? line : { ...line, closed: `${other} came instead` };
    }),
    received: [...(order.received ?? []), { on, lines }],
  };
  const priced = priceChanges(lines, order.source, on, parts, slice.products);
  const bought = moves.map((move) => put("stockMoves", move));
  return keptOrder("receive-order", after, order, [...bought, ...parts.list(), ...priced]);
}

/** A price from a day on, beside those before; none where the source asked the same already. */
function withPrice(
  prices: readonly Price[] | undefined,
  source: string,
  price: number,
  on: string,
): Price[] | null {
  const known = [...(prices ?? [])];
  const latest = known.filter((one) => one.source === source).at(-1);
  if (latest !== undefined && isSame(latest.price, price) && latest.on === on) return null;
  return [...known, { source, price, on }];
}

/** The receipt's prices as prices of their source from a day on: those of parts are put to the parts, those of products answered. */
function priceChanges(
  lines: readonly OrderLine[],
  source: string,
  on: string,
  parts: Parts,
  products: readonly Product[],
): RecordChange[] {
  const changed = new Map<string, RecordChange<"products">>();
  for (const line of lines) {
    const { price } = line;
    if (price === null || price === undefined) continue;
    const part = line.part ? parts.find(line.part) : undefined;
    const prices = part && withPrice(part.prices, source, price * (part.pack ?? 1), on);
    if (part && prices) parts.put({ ...part, prices });
    const before = products.find(({ id }) => id === line.product);
    if (before === undefined) continue;
    const now = changed.get(before.id)?.after ?? before;
    const after = withPackPrice(now, line, price, source, on);
    if (after) changed.set(after.id, { section: "products", id: after.id, before, after });
  }
  return [...changed.values()];
}

function withPackPrice(
  product: Product,
  { pack }: OrderLine,
  price: number,
  source: string,
  on: string,
): Product | null {
  const packs = product.packs ?? [];
  const size = pack ? plainAmount(pack) : null;
  const at =
    size === null
      ? packs.length - 1
      : packs.findIndex(({ quantity }) => isSame(plainAmount(quantity), size));
  if (at === -1 || (size === null && packs.length > 1)) {
    if (!pack) return null;
    return { ...product, packs: [...packs, { quantity: pack, prices: [{ source, price, on }] }] };
  }
  const prices = withPrice(packs[at]?.prices, source, price, on);
  if (prices === null) return null;
  return {
    ...product,
    packs: packs.map((one, index) => (index === at ? { ...one, prices } : one)),
  };
}

/** Closes what is still to come of a line, with a reason: it will not come. Refused without one. */
export function closeLine(
  { orders }: SharedSlice<"orders">,
  id: string,
  line: number,
  reason: string,
): CommandResult<OrderIssue> {
  const order = orders.find((one) => one.id === id);
  if (order?.lines[line] === undefined) return failure([{ code: "order-missing" }]);
  if (reason.trim() === "") return failure([{ code: "reason-missing", line }]);
  const lines = order.lines.map((one, at) =>
    at === line ? { ...one, closed: reason.trim() } : one,
  );
  return keptOrder("close-order-line", { ...order, lines }, order);
}
