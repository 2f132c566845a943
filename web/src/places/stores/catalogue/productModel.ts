import {
  parseDay,
  type BrakeType,
  type CoolantFamily,
  type FluidKind,
  type OilBase,
  type Price,
  type Product,
  type ProductId,
  type Quantity,
} from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { isEmpty, listTyped, orNull, quantityTyped, textTyped } from "../../../form/typed.js";
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

/** An open container as it stands in the form. */
export interface OpenedRow {
  readonly on: string;
  readonly amount: string;
  readonly bestBefore: string;
  readonly shelf: string;
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
  readonly least: string;
  readonly opened: readonly OpenedRow[];
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
    least: quantityTyped(product?.least),
    opened: (product?.opened ?? []).map(({ on, quantity, bestBefore, shelf }) => ({
      ...{ on, amount: quantityTyped(quantity), bestBefore: bestBefore ?? "" },
      shelf: textTyped(shelf),
    })),
    note: product?.note ?? "",
  };
}

/** What is wrong with a product as it is typed. */
export interface ProductProblem {
  readonly field: string;
  readonly code: "called-missing" | "not-a-pack" | "not-a-price" | "not-an-amount" | "not-opened";
}

/** What is still wrong with it, at its fields. */
export function productProblems(model: ProductModel): readonly ProductProblem[] {
  const packs = model.packs.flatMap(({ amount, prices }, index): ProductProblem[] => {
    const at = `packs.${index}`;
    if (isEmpty(amount)) return [];
    if (!readQuantity(amount, PACK).ok) return [{ field: `${at}.amount`, code: "not-a-pack" }];
    return priceProblems(prices).map((one) => ({ ...one, field: `${at}.prices.${one.field}` }));
  });
  const opened = model.opened.flatMap(({ on, amount }, at): ProductProblem[] => [
    ...(parseDay(on) === null ? [{ field: `opened.${at}.on`, code: "not-opened" as const }] : []),
    ...(isPackOrEmpty(amount)
      ? []
      : [{ field: `opened.${at}.amount`, code: "not-an-amount" as const }]),
  ]);
  return [
    ...(isEmpty(model.name) ? [{ field: "name", code: "called-missing" as const }] : []),
    ...packs,
    ...(isPackOrEmpty(model.least) ? [] : [{ field: "least", code: "not-an-amount" as const }]),
    ...opened,
  ];
}

const isPackOrEmpty = (text: string): boolean => isEmpty(text) || readQuantity(text, PACK).ok;

/** A quantity that is typed; null where none is. */
function quantityOf(text: string): Quantity | null {
  const read = isEmpty(text) ? null : readQuantity(text, PACK);
  return read?.ok === true ? read.value.quantity : null;
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
    least: quantityOf(model.least),
    ...(model.opened.length > 0 || before?.opened
      ? {
          opened: model.opened.map(({ on, amount, bestBefore, shelf }) => ({
            ...{ on, quantity: quantityOf(amount), shelf: orNull(shelf) },
            bestBefore: parseDay(bestBefore) === null ? null : bestBefore,
          })),
        }
      : {}),
    note: orNull(model.note),
  };
}
