import type { Part, PartId } from "@yonderfell/core";
import { newId } from "../../../data/newId.js";
import { figureTyped, isAmountOrEmpty, isEmpty, listTyped, orNull } from "../../../form/typed.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";
import { priceProblems, priceRows, pricesOf, type PriceRow } from "./PriceFields.js";

/** A part of a kit as it stands in the form. */
export interface InsideRow {
  readonly part: string;
  readonly count: string;
}

/** A part as it stands in the form. */
export interface PartModel {
  readonly name: string;
  readonly kind: string;
  readonly number: string;
  readonly equivalents: string;
  readonly supersededBy: string;
  readonly pack: string;
  readonly least: string;
  readonly contains: readonly InsideRow[];
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
    least: figureTyped(part?.least),
    contains: (part?.contains ?? []).map(({ part: id, count }) => ({
      part: id,
      count: typedFigure(count ?? 1),
    })),
    note: part?.note ?? "",
    prices: priceRows(part?.prices),
  };
}

/** What is wrong with a part as it is typed. */
export interface PartProblem {
  readonly field: string;
  readonly code:
    | "name-missing"
    | "number-missing"
    | "pack-not-whole"
    | "not-a-price"
    | "not-an-amount"
    | "inside-missing";
}

/** What is still wrong with it, at its fields. */
export function partProblems(model: PartModel): readonly PartProblem[] {
  const checks: readonly (readonly [keyof PartModel, PartProblem["code"], boolean])[] = [
    ["name", "name-missing", !isEmpty(model.name)],
    ["number", "number-missing", !isEmpty(model.number)],
    ["least", "not-an-amount", isAmountOrEmpty(model.least)],
    ["pack", "pack-not-whole", /^[1-9]\d{0,5}$/.test(model.pack.trim())],
  ];
  return [
    ...checks.filter(([, , isSound]) => !isSound).map(([field, code]) => ({ field, code })),
    ...model.contains.flatMap(({ part, count }, at) => [
      ...(part === "" ? [{ field: `contains.${at}.part`, code: "inside-missing" as const }] : []),
      ...((typedNumber(count) ?? 0) > 0
        ? []
        : [{ field: `contains.${at}.count`, code: "not-an-amount" as const }]),
    ]),
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
    least: typedNumber(model.least),
    ...(model.contains.length > 0 || before?.contains
      ? {
          contains: model.contains.map(({ part, count }) => ({
            part: part as PartId,
            count: typedNumber(count) ?? 1,
          })),
        }
      : {}),
    note: orNull(model.note),
  };
}
