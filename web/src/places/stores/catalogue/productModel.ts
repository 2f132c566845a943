import type {
  BrakeType,
  CoolantFamily,
  FluidKind,
  OilBase,
  Price,
  Product,
  ProductId,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { isEmpty, listTyped, orNull } from "../../../form/typed.js";
import { readQuantity, type QuantityWanted } from "../../../ui/readQuantity.js";
import { asTyped } from "../../../words/quantityWords.js";
import { priceProblems, priceRows, pricesOf, type PriceRow } from "./PriceFields.js";

/** What is meant by a pack typed without a unit. */
export const PACK: QuantityWanted = { unit: "L", also: ["mass"] };

/** A pack as it stands in the form. */
export interface PackRow {
  readonly amount: string;
  readonly prices: readonly PriceRow[];
}

/** A product as it stands in the form. */
export interface ProductModel {
  readonly name: string;
  readonly kind: FluidKind;
  readonly grade: string;
  readonly base: OilBase | "";
  readonly coolantFamily: CoolantFamily | "";
  readonly brakeType: BrakeType | "";
  readonly claims: string;
  readonly packs: readonly PackRow[];
  readonly note: string;
}

/** A product as it stands in the form, empty for a new one. */
export function modelOfProduct(product: Product | null): ProductModel {
  return {
    name: product?.name ?? "",
    kind: product?.kind ?? "engine oil",
    grade: product?.grade ?? "",
    base: product?.base ?? "",
    coolantFamily: product?.coolantFamily ?? "",
    brakeType: product?.brakeType ?? "",
    claims: (product?.claims ?? []).join(", "),
    packs: (product?.packs ?? []).map(({ quantity, prices }) => ({
      amount: asTyped(quantity),
      prices: priceRows(prices),
    })),
    note: product?.note ?? "",
  };
}

/** What is wrong with a product as it is typed. */
export interface ProductProblem {
  readonly field: string;
  readonly code: "called-missing" | "not-a-pack" | "not-a-price";
}

/** What is still wrong with it, at its fields. */
export function productProblems(model: ProductModel): readonly ProductProblem[] {
  const packs = model.packs.flatMap(({ amount, prices }, index): ProductProblem[] => {
    const at = `packs.${index}`;
    if (isEmpty(amount)) return [];
    if (!readQuantity(amount, PACK).ok) return [{ field: `${at}.amount`, code: "not-a-pack" }];
    return priceProblems(prices).map((one) => ({ ...one, field: `${at}.prices.${one.field}` }));
  });
  return isEmpty(model.name) ? [{ field: "name", code: "called-missing" }, ...packs] : packs;
}

/** The product of a form that has no problem; packs without a size are left out. */
export function productOf(model: ProductModel, before: Product | null): Product {
  const packs = model.packs.flatMap(({ amount, prices }, index) => {
    const read = readQuantity(amount, PACK);
    if (!read.ok) return [];
    const known = (before?.packs ?? [])[index];
    const asked: Price[] = pricesOf(prices, known?.prices);
    return [{ ...known, quantity: read.value.quantity, prices: asked }];
  });
  return {
    ...before,
    id: before?.id ?? (newId() as ProductId),
    name: model.name.trim(),
    kind: model.kind,
    grade: orNull(model.grade),
    base: model.base === "" ? null : model.base,
    coolantFamily:
      model.kind === "coolant" && model.coolantFamily !== "" ? model.coolantFamily : null,
    brakeType: model.kind === "brake fluid" && model.brakeType !== "" ? model.brakeType : null,
    claims: listTyped(model.claims),
    packs,
    note: orNull(model.note),
  };
}
