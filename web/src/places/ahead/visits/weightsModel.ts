import type { Planning } from "@yonderfell/core";
import { isAmountOrEmpty, isEmpty, isWhole } from "../../../form/typed.js";
import { typedFigure, typedNumber } from "../../../words/writing.js";

/** A weight that is an amount. */
export type Amount = Exclude<keyof Planning, "workdays" | "closed">;

/** The weights that are amounts, in the order they are asked for. */
export const AMOUNTS = [
  ...([
    "visitCost",
    "accessCost",
    "leastTurnValue",
    "lateADay",
    "pastGraceADay",
    "overHour",
  ] as const),
  ...(["weeks", "leastDays"] as const),
] as const;

/** The weights as they stand in the form. */
export type WeightsModel = Readonly<Record<Amount, string>> & {
  readonly workdays: readonly number[];
};

/** The weights as they stand in the form. */
export function modelOfWeights(planning: Planning): WeightsModel {
  const amounts = Object.fromEntries(AMOUNTS.map((key) => [key, typedFigure(planning[key])]));
  return { ...(amounts as Record<Amount, string>), workdays: planning.workdays };
}

/** What is wrong with a weight as it is typed. */
export interface WeightsProblem {
  readonly field: Amount;
  readonly code: "not-whole" | "not-an-amount";
}

/** What is still wrong with them, at their fields. */
export function weightsProblems(model: WeightsModel): readonly WeightsProblem[] {
  return AMOUNTS.flatMap((field): WeightsProblem[] => {
    const text = model[field];
    if (field === "weeks" || field === "leastDays") {
      return isWhole(text, field === "weeks" ? 1 : 0) ? [] : [{ field, code: "not-whole" }];
    }
    return !isEmpty(text) && isAmountOrEmpty(text) ? [] : [{ field, code: "not-an-amount" }];
  });
}

/** The weights of a form that has no problem. */
export function planningTyped(
  model: WeightsModel,
): Readonly<Record<Amount, number>> & { readonly workdays: number[] } {
  const amounts = AMOUNTS.map((key) => [key, typedNumber(model[key]) ?? 0] as const);
  return {
    ...(Object.fromEntries(amounts) as Record<Amount, number>),
    workdays: [...model.workdays],
  };
}
