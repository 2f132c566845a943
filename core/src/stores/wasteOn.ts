import type { Book } from "../book/file/book.js";
import { currentRecords } from "../book/slice/currentRecords.js";
import type { Amount } from "../book/records/amounts.js";
import type { Fluid } from "../book/records/fluid.js";
import type { ContainerId } from "../book/records/ids.js";
import { WASTE_KINDS, type WasteKind } from "../book/records/waste.js";
import type { DayNumber } from "../calendar/dayNumber.js";
import { valueIn } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import { orNone } from "../sums/nearly.js";

/** An amount of waste: what is counted, what is measured by volume, what by mass. */
export interface WasteAmount {
  readonly pieces: number;
  readonly litres: number;
  readonly kilograms: number;
}

/** How much of one kind of waste has come together, and where it stands. */
export interface WasteStanding {
  readonly kind: WasteKind;
  /** What entries drained of it up to the day. */
  readonly drained: WasteAmount;
  /** What stands there now: drained and filled, less what was handed in. */
  readonly standing: WasteAmount;
  /** The container that what is drained goes into; null where none of its kind is in use. */
  readonly container: ContainerId | null;
}

export const NO_WASTE: WasteAmount = { pieces: 0, litres: 0, kilograms: 0 };

/** An amount of a record as an amount of waste. */
export function wasteAmountOf(amount: Amount): WasteAmount {
  if (typeof amount === "number") return { ...NO_WASTE, pieces: amount };
  const dimension = dimensionOf(amount.unit);
  if (dimension === "volume") return { ...NO_WASTE, litres: valueIn(amount, "L") };
  if (dimension === "mass") return { ...NO_WASTE, kilograms: valueIn(amount, "kg") };
  // The schema takes no other dimension.
  return { ...NO_WASTE, pieces: valueIn(amount, "piece") };
}

/** Two amounts together, or one less the other (`sign` −1). */
export const plusWaste = (one: WasteAmount, other: WasteAmount, sign = 1): WasteAmount => ({
  pieces: orNone(one.pieces + sign * other.pieces),
  litres: orNone(one.litres + sign * other.litres),
  kilograms: orNone(one.kilograms + sign * other.kilograms),
});

/** The kind of waste that a fluid of a machine is: oil and coolant are never one (records §2). */
export function wasteKindOf(kind: Fluid["kind"]): WasteKind {
  switch (kind) {
    case "engine oil":
    case "gear oil":
    case "automatic transmission fluid":
    case "hydraulic oil":
    case "power steering fluid":
    case "differential oil":
      return "oil";
    case "coolant":
    case "brake fluid":
    case "fuel":
      return kind;
    case "grease":
    case "exhaust fluid":
    case "washer fluid":
    case "refrigerant":
    case "other":
      return "other";
  }
}

/**
 * The waste there is of each kind at the end of a day, of the kinds that there is or was any of (records §2). What entries
 * drained is derived from them whenever it is asked for, so that a corrected entry corrects it; what was filled in
 * otherwise (filters, batteries, what was found) and what was handed in are moves.
 */
export function wasteOn(
  book: Pick<Book, "entries" | "fluids" | "wasteMoves" | "containers">,
  on: DayNumber,
): WasteStanding[] {
  const kinds = new Map<string, WasteKind>(
    (book.fluids ?? []).map(({ id, kind }) => [id, wasteKindOf(kind)]),
  );
  const drained = new Map<WasteKind, WasteAmount>();
  const moved = new Map<WasteKind, WasteAmount>();
  const add = (
    to: Map<WasteKind, WasteAmount>,
    kind: WasteKind,
    amount: WasteAmount,
    sign = 1,
  ): void => {
    to.set(kind, plusWaste(to.get(kind) ?? NO_WASTE, amount, sign));
  };
  for (const { record, day } of currentRecords(book.entries ?? [])) {
    if (day > on) continue;
    for (const { fluid, out } of record.fluids ?? []) {
      if (out) add(drained, kinds.get(fluid) ?? "other", wasteAmountOf(out));
    }
  }
  for (const { record, day } of currentRecords(book.wasteMoves ?? [])) {
    if (day > on) continue;
    add(moved, record.kind, wasteAmountOf(record.amount), record.why === "filled" ? 1 : -1);
  }
  return WASTE_KINDS.flatMap((kind): WasteStanding[] => {
    const own = drained.get(kind);
    const by = moved.get(kind);
    if (own === undefined && by === undefined) return [];
    const container = (book.containers ?? []).find(
      (one) => one.kind === kind && one.inUse === true,
    );
    return [
      {
        kind,
        drained: own ?? NO_WASTE,
        standing: plusWaste(own ?? NO_WASTE, by ?? NO_WASTE),
        container: container?.id ?? null,
      },
    ];
  });
}
