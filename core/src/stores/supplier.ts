import { z } from "zod";
import {
  dateField,
  nameField,
  notNegativeField,
  positiveField,
  textField,
} from "../book/records/fields.js";
import { currentPrices } from "./price.js";
import type { Price } from "../book/records/part.js";
import { isSame } from "../sums/nearly.js";

/** A pack as a supplier offers it. */
const offeredPackSchema = z.looseObject({
  size: positiveField,
  unit: z.enum(["piece", "L", "kg"], "piece, L or kg"),
  price: notNegativeField,
  /** How many packs are there. */
  stock: notNegativeField,
});

/** What a supplier says of a number: what it is, what took its place, its packs, in how many days it is there. */
const offeredSchema = z.looseObject({
  /** As it was asked for. */
  asked: nameField,
  known: z.boolean(),
  number: textField.nullish(),
  name: textField.nullish(),
  supersededBy: textField.nullish(),
  equivalents: z.array(nameField).optional(),
  packs: z.array(offeredPackSchema).optional(),
  days: notNegativeField.nullish(),
});

/** What a supplier answers to what was asked of its catalogue. */
export const offersAnswerSchema = z.looseObject({
  supplier: nameField,
  simulated: z.boolean(),
  offers: z.array(offeredSchema),
});
export type SupplierOffer = z.infer<typeof offeredSchema>;
export type SupplierAnswer = z.infer<typeof offersAnswerSchema>;

const deliveredLineSchema = z.looseObject({
  /** The line of the order it is of, from 0. */
  line: notNegativeField,
  number: nameField,
  count: positiveField,
  price: notNegativeField,
  /** Whether it comes in place of another number. */
  instead: z.boolean().optional(),
});

/** What a supplier says of an order: what it was given, when it is promised, what came of it so far. */
export const supplierOrderSchema = z.looseObject({
  supplier: nameField,
  simulated: z.boolean(),
  reference: nameField,
  promised: dateField,
  deliveries: z.array(z.looseObject({ on: dateField, lines: z.array(deliveredLineSchema) })),
});
export type SupplierOrder = z.infer<typeof supplierOrderSchema>;

/** The prices of one source as they changed, the earliest first; those without a date before all others. */
export function priceHistory(prices: readonly Price[] | undefined, source: string): Price[] {
  return (prices ?? [])
    .filter((price) => price.source === source)
    .toSorted((one, other) => (one.on ?? "").localeCompare(other.on ?? ""));
}

/** How much the current price of a source is above its one before, as a share; null where there is none before, or it is the same. */
export function priceRise(prices: readonly Price[] | undefined, source: string): number | null {
  const history = priceHistory(prices, source);
  const now = currentPrices(history).at(0)?.price ?? null;
  const before = history.at(-2)?.price ?? null;
  if (now === null || before === null || before === 0 || isSame(now, before)) return null;
  return now / before - 1;
}
