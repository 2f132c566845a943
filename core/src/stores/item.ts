import type { PartId, ProductId } from "../book/records/ids.js";
import type { Part } from "../book/records/part.js";
import type { Product } from "../book/records/product.js";
import { unitOfProduct } from "../book/records/productUnit.js";
import type { StockUnit } from "./stockOn.js";

/** Something that is kept on a shelf or bought: a part, or a product. */
export type StoreItem = { readonly part: PartId } | { readonly product: ProductId };

/** An item by name, unlike that of any other. */
export const itemKey = (item: StoreItem): string =>
  "part" in item ? `part ${item.part}` : `product ${item.product}`;

/** Parts and products by id. */
export interface Catalogue {
  readonly parts: ReadonlyMap<string, Part>;
  readonly products: ReadonlyMap<string, Product>;
}

/** The parts and products of a book, to be looked up. */
export function catalogueOf({
  parts = [],
  products = [],
}: {
  readonly parts?: readonly Part[] | undefined;
  readonly products?: readonly Product[] | undefined;
}): Catalogue {
  return {
    parts: new Map(parts.map((part) => [part.id, part])),
    products: new Map(products.map((product) => [product.id, product])),
  };
}

/** What an item is counted in: pieces, litres or kilograms. */
export function unitOfItem(item: StoreItem, { products }: Catalogue): StockUnit {
  if ("part" in item) return "piece";
  const product = products.get(item.product);
  return product === undefined ? "L" : unitOfProduct(product);
}

/** An item of which one is named, as the records of moves and orders name it; null where neither is. */
export function itemNamed({
  part,
  product,
}: {
  readonly part?: PartId | null | undefined;
  readonly product?: ProductId | null | undefined;
}): StoreItem | null {
  if (part !== null && part !== undefined) return { part };
  return product === null || product === undefined ? null : { product };
}

/** What is ordered where a part is wanted now. */
export interface CurrentNumber {
  readonly part: Part;
  /** A number that has taken its place and that the book knows no part of; null where there is none. */
  readonly unknown: string | null;
}

/** Whether two numbers are the same, however they are written. */
export const isSameNumber = (one: string, other: string): boolean =>
  one.trim().toLowerCase() === other.trim().toLowerCase();

/** The part whose number is current where one is wanted: numbers that took its place are followed as far as the book knows them. */
export function currentNumber(part: Part, parts: Iterable<Part>): CurrentNumber {
  const all = [...parts];
  const seen = new Set<string>();
  let now = part;
  for (;;) {
    seen.add(now.id);
    const next = (now.supersededBy ?? "").trim();
    if (next === "") return { part: now, unknown: null };
    const known = all.find(({ number, id }) => isSameNumber(number, next) && !seen.has(id));
    if (known === undefined) return { part: now, unknown: next };
    now = known;
  }
}
