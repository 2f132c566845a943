import type { Part, PartId } from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { isEmpty, listTyped, orNull } from "../../../form/typed.js";
import { priceProblems, priceRows, pricesOf, type PriceRow } from "./PriceFields.js";

/** A part as it stands in the form. */
export interface PartModel {
  readonly name: string;
  readonly kind: string;
  readonly number: string;
  readonly equivalents: string;
  readonly supersededBy: string;
  readonly pack: string;
  readonly note: string;
  readonly prices: readonly PriceRow[];
}

/** A part as it stands in the form, empty for a new one. */
export function modelOfPart(part: Part | null): PartModel {
  return {
    name: part?.name ?? "",
    kind: part?.kind ?? "",
    number: part?.number ?? "",
    equivalents: (part?.equivalents ?? []).join(", "),
    supersededBy: part?.supersededBy ?? "",
    pack: String(part?.pack ?? 1),
    note: part?.note ?? "",
    prices: priceRows(part?.prices),
  };
}

/** What is wrong with a part as it is typed. */
export interface PartProblem {
  readonly field: string;
  readonly code: "name-missing" | "number-missing" | "pack-not-whole" | "not-a-price";
}

/** What is still wrong with it, at its fields. */
export function partProblems(model: PartModel): readonly PartProblem[] {
  const checks: readonly (readonly [keyof PartModel, PartProblem["code"], boolean])[] = [
    ["name", "name-missing", !isEmpty(model.name)],
    ["number", "number-missing", !isEmpty(model.number)],
    ["pack", "pack-not-whole", /^[1-9]\d{0,5}$/.test(model.pack.trim())],
  ];
  return [
    ...checks.filter(([, , isSound]) => !isSound).map(([field, code]) => ({ field, code })),
    ...priceProblems(model.prices).map((one) => ({ ...one, field: `prices.${one.field}` })),
  ];
}

/** The part of a form that has no problem. */
export function partOf(model: PartModel, before: Part | null): Part {
  return {
    ...before,
    id: before?.id ?? (newId() as PartId),
    name: model.name.trim(),
    kind: orNull(model.kind),
    number: model.number.trim(),
    equivalents: listTyped(model.equivalents),
    supersededBy: orNull(model.supersededBy),
    pack: Number(model.pack),
    prices: pricesOf(model.prices, before?.prices),
    note: orNull(model.note),
  };
}
