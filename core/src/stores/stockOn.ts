import type { Book } from "../book/file/book.js";
import { byDate, currentRecords, type CurrentRecord } from "../book/slice/currentRecords.js";
import type { Amount } from "../book/records/amounts.js";
import type { Entry } from "../book/records/entry.js";
import type { PartId, ProductId } from "../book/records/ids.js";
import { unitOfProduct } from "../book/records/productUnit.js";
import type { StockMove } from "../book/records/stockMove.js";
import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import { valueIn, type Quantity } from "../quantity/quantity.js";
import { isBelow, orNone } from "../sums/nearly.js";

/** What stock is counted in: pieces of a part, litres or kilograms of a product. */
export type StockUnit = "piece" | "L" | "kg";

/** How much of an item there is. */
interface Standing {
  /** In its unit. Below 0 the counts do not agree: more was taken than there was. */
  readonly onHand: number;
  readonly unit: StockUnit;
  /** The day of the last count of it; null where there is none. */
  readonly counted: string | null;
  /** Less than so much is too little; null where nothing is said. */
  readonly least: number | null;
  readonly short: boolean;
}

/** An item of the shelves: a part or a product. */
export type StockItem =
  (Standing & { readonly part: PartId }) | (Standing & { readonly product: ProductId });

/** What there is on a day. */
export interface StockList {
  readonly on: string;
  /** Parts, then products, in the order of the file. */
  readonly items: readonly StockItem[];
}

/** Something that changes how much there is of an item: a move, or what an entry took. */
interface Step {
  readonly day: DayNumber;
  /** In the item's unit; of a count what there is. */
  readonly change: number;
  readonly isCount: boolean;
}

const amountIn = (amount: Amount | Quantity, unit: StockUnit): number =>
  typeof amount === "number" ? amount : valueIn(amount, unit);

/** How a move changes what there is; a count says what there is. */
function stepOf({ record, day }: CurrentRecord<StockMove>, unit: StockUnit): Step {
  const amount = amountIn(record.amount, unit);
  switch (record.why) {
    case "counted":
      return { day, change: amount, isCount: true };
    case "bought":
    case "returned":
      return { day, change: amount, isCount: false };
    case "sent-back":
    case "scrapped":
      return { day, change: -amount, isCount: false };
  }
}

/** The steps of items of one sort, parts or products, by item. */
type Steps = ReadonlyMap<string, readonly Step[]>;

/** What entries took of one sort, an item and how much in its unit at a time. */
type Taken = (entry: Entry) => readonly (readonly [item: string, amount: number])[];

/** The steps of each item, in order: by date, on one date what entries took before moves (records §2). */
function stepsOf(
  { entries = [], stockMoves = [] }: Pick<Book, "entries" | "stockMoves">,
  itemOf: (move: StockMove) => string | null,
  unitOf: (item: string) => StockUnit,
  taken: Taken,
): Steps {
  const byItem = new Map<string, Step[]>();
  const add = (item: string, step: Step): void => {
    const steps = byItem.get(item);
    if (steps === undefined) byItem.set(item, [step]);
    else steps.push(step);
  };
  for (const { record, day } of currentRecords(entries)) {
    for (const [item, amount] of taken(record)) {
      add(item, { day, change: -amount, isCount: false });
    }
  }
  for (const move of currentRecords(stockMoves).sort(byDate)) {
    const item = itemOf(move.record);
    if (item !== null) add(item, stepOf(move, unitOf(item)));
  }
  // Stable: on one date the entries, which were added first, stay before the moves.
  for (const steps of byItem.values()) steps.sort((one, other) => one.day - other.day);
  return byItem;
}

const partsTaken: Taken = ({ parts }) =>
  (parts ?? []).flatMap(({ part, count, from }) =>
    from === "stock" ? [[part, count] as const] : [],
  );

const productsTaken =
  (unitOf: (item: string) => StockUnit): Taken =>
  ({ fluids }) =>
    (fluids ?? []).flatMap(({ product, from, in: amount }) =>
      from === "stock" && product && amount
        ? [[product, amountIn(amount, unitOf(product))] as const]
        : [],
    );

/** What there is after steps up to a day, from the last count on. */
function standingAfter(
  steps: readonly Step[],
  unit: StockUnit,
  least: number | null,
  on: DayNumber,
): Standing {
  const past = steps.filter(({ day }) => day <= on);
  const from = past.findLastIndex(({ isCount }) => isCount);
  const sum = past.slice(Math.max(from, 0)).reduce((total, { change }) => total + change, 0);
  const onHand = orNone(sum);
  const counted = past[from];
  return {
    onHand,
    unit,
    counted: counted === undefined ? null : formatDay(counted.day),
    least,
    short: least !== null && isBelow(onHand, least),
  };
}

/**
 * What there is of each part and product at the end of a day (records §2): the last count, and what was bought, returned,
 * sent back, scrapped, and taken by entries since. Listed is what has a move or a use from stock that counts, of any
 * date, or a least amount. Derived whenever it is asked for, so that a corrected entry corrects it.
 */
export function stockOn(
  book: Pick<Book, "parts" | "products" | "entries" | "stockMoves">,
  on: DayNumber,
): StockList {
  const units = new Map<string, StockUnit>(
    (book.products ?? []).map((product) => [product.id, unitOfProduct(product)]),
  );
  const unitOf = (item: string): StockUnit => units.get(item) ?? "L";
  const ofParts = stepsOf(
    book,
    ({ part }) => part ?? null,
    () => "piece",
    partsTaken,
  );
  const ofProducts = stepsOf(book, ({ product }) => product ?? null, unitOf, productsTaken(unitOf));
  const items: StockItem[] = [];
  for (const { id, least } of book.parts ?? []) {
    const steps = ofParts.get(id);
    if (steps === undefined && (least ?? null) === null) continue;
    items.push({ part: id, ...standingAfter(steps ?? [], "piece", least ?? null, on) });
  }
  for (const product of book.products ?? []) {
    const steps = ofProducts.get(product.id);
    const unit = unitOfProduct(product);
    const least = product.least ? amountIn(product.least, unit) : null;
    if (steps === undefined && least === null) continue;
    items.push({ product: product.id, ...standingAfter(steps ?? [], unit, least, on) });
  }
  return { on: formatDay(on), items };
}
