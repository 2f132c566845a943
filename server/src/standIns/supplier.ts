import { json, Router } from "express";
import { SUPPLIER_CATALOGUE, type Sold } from "./supplierCatalogue.js";

/** How the simulated supplier is set up. */
export interface SupplierOptions {
  /** The clock it goes by, milliseconds. */
  readonly clock: () => number;
  /** So long until what it has at once is delivered, and so long after that the rest, milliseconds. */
  readonly takes: number;
  readonly rest: number;
  readonly catalogue: readonly Sold[];
}

export const SUPPLIER: SupplierOptions = {
  clock: Date.now,
  takes: 15_000,
  rest: 30_000,
  catalogue: SUPPLIER_CATALOGUE,
};

const NAME = "Corrie Factors";
const A_DAY = 86_400_000;
/** It keeps so many orders; the oldest are forgotten. */
const MOST_KEPT = 500;
const MOST_LINES = 300;
const LONGEST_NUMBER = 80;
const FIRST_REFERENCE = 2041;

interface Line {
  readonly number: string;
  readonly count: number;
  /** How much is in the pack that is meant; null for the only one, or the smallest. */
  readonly pack: number | null;
}

interface Placed {
  readonly reference: string;
  readonly at: number;
  readonly lines: readonly Line[];
}

interface Delivered {
  readonly line: number;
  readonly number: string;
  readonly count: number;
  readonly price: number;
  readonly instead?: true;
}

const textOf = (value: unknown): string | null =>
  typeof value === "string" && value.trim() !== "" && value.length <= LONGEST_NUMBER
    ? value.trim()
    : null;

const dateOf = (moment: number): string => new Date(moment).toISOString().slice(0, 10);
const same = (one: string, other: string): boolean => one.toLowerCase() === other.toLowerCase();

/** What was asked for by numbers, read with care; null where it is no list of them. */
function numbersIn(body: unknown): string[] | null {
  const { numbers } = (body ?? {}) as { readonly numbers?: unknown };
  if (!Array.isArray(numbers) || numbers.length > MOST_LINES) return null;
  const read = numbers.map(textOf);
  return read.includes(null) ? null : (read as string[]);
}

/** The lines of an order, read with care; null where they are none. */
function linesIn(body: unknown): Line[] | null {
  const { lines } = (body ?? {}) as { readonly lines?: unknown };
  if (!Array.isArray(lines) || lines.length === 0 || lines.length > MOST_LINES) return null;
  const read = lines.map((line: unknown): Line | null => {
    const given = (line ?? {}) as Readonly<Record<"number" | "count" | "pack", unknown>>;
    const number = textOf(given.number);
    const { count, pack } = given;
    const isCount = typeof count === "number" && Number.isFinite(count) && count > 0;
    if (number === null || !isCount) return null;
    return { number, count, pack: typeof pack === "number" && pack > 0 ? pack : null };
  });
  return read.includes(null) ? null : (read as Line[]);
}

/** The catalogue, to be looked up by a number, one equivalent to it, or a name. */
function finderOf(catalogue: readonly Sold[]): (number: string) => Sold | undefined {
  return (number) =>
    catalogue.find((sold) => same(sold.number, number) || same(sold.name, number)) ??
    catalogue.find(({ equivalents }) => equivalents.some((one) => same(one, number)));
}

/** What of a line comes at once and what later; nothing of what is not sold. */
function comesOf(
  { number, count, pack }: Line,
  line: number,
  find: (number: string) => Sold | undefined,
): { readonly first: Delivered[]; readonly later: Delivered[] } {
  const asked = find(number);
  const newer = asked?.supersededBy ? find(asked.supersededBy) : undefined;
  const sold = newer ?? asked;
  const packs = sold?.packs ?? [];
  const meant = packs.find(({ size }) => size === pack) ?? packs[0];
  if (sold === undefined || meant === undefined) return { first: [], later: [] };
  // Pieces are sold singly however they are packed.
  const isPieces = meant.unit === "piece";
  const there = isPieces ? meant.stock * meant.size : meant.stock;
  const price = isPieces ? meant.price / meant.size : meant.price;
  const part = (amount: number): Delivered[] =>
    amount <= 0
      ? []
      : [
          {
            ...{ line, number: sold.number, count: amount, price },
            ...(newer === undefined ? {} : { instead: true as const }),
          },
        ];
  const now = Math.min(count, there);
  return { first: part(now), later: part(count - now) };
}

/** What an order has come to by now: what there was at once, then the rest. */
function deliveriesOf(
  { at, lines }: Placed,
  { clock, takes, rest }: SupplierOptions,
  find: (number: string) => Sold | undefined,
): { readonly on: string; readonly lines: readonly Delivered[] }[] {
  const come = lines.map((line, place) => comesOf(line, place, find));
  const parts = [
    { moment: at + takes, lines: come.flatMap(({ first }) => first) },
    { moment: at + takes + rest, lines: come.flatMap(({ later }) => later) },
  ];
  return parts
    .filter(({ moment, lines: own }) => own.length > 0 && clock() >= moment)
    .map(({ moment, lines: own }) => ({ on: dateOf(moment), lines: own }));
}

/**
 * The simulated parts supplier (docs/formats/stand-ins.md): it tells prices, packs and days by number, takes orders and delivers them in
 * parts, what was superseded under its new number. It keeps what was ordered as long as the server runs.
 */
export function simulatedSupplier(options: SupplierOptions): Router {
  const { clock, catalogue } = options;
  const find = finderOf(catalogue);
  const kept = new Map<string, Placed>();
  let taken = 0;
  const router = Router();
  const said = { supplier: NAME, simulated: true };
  const told = (placed: Placed): object => {
    const longest = placed.lines.map(({ number }) => find(number)?.days ?? 0);
    const promised = dateOf(placed.at + Math.max(0, ...longest) * A_DAY);
    const { reference } = placed;
    return { ...said, reference, promised, deliveries: deliveriesOf(placed, options, find) };
  };
  router.get("/stand-ins/supplier", (_request, response) => {
    response.set("Cache-Control", "no-store").json(said);
  });
  router.post("/stand-ins/supplier/offers", json({ limit: "50kb" }), (request, response) => {
    const numbers = numbersIn(request.body);
    if (numbers === null) {
      response.status(400).json({ code: "numbers-missing" });
      return;
    }
    const offers = numbers.map((asked) => {
      const sold = find(asked);
      return sold === undefined ? { asked, known: false } : { asked, known: true, ...sold };
    });
    response.set("Cache-Control", "no-store").json({ ...said, offers });
  });
  router.post("/stand-ins/supplier/orders", json({ limit: "50kb" }), (request, response) => {
    const lines = linesIn(request.body);
    if (lines === null) {
      response.status(400).json({ code: "lines-missing" });
      return;
    }
    const reference = `CF ${FIRST_REFERENCE + taken}`;
    taken += 1;
    const [oldest] = kept.keys();
    if (kept.size >= MOST_KEPT && oldest !== undefined) kept.delete(oldest);
    const placed = { reference, at: clock(), lines };
    kept.set(reference, placed);
    response.set("Cache-Control", "no-store").status(202).json(told(placed));
  });
  router.get("/stand-ins/supplier/orders/:reference", (request, response) => {
    response.set("Cache-Control", "no-store");
    const placed = kept.get(request.params.reference);
    if (placed === undefined) response.status(404).json({ code: "order-unknown" });
    else response.json(told(placed));
  });
  return router;
}
