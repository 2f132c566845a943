import type { Meter } from "@yonderfell/core";
import { isEmpty } from "../../../form/typed.js";

/** A meter that is added, as it stands in the form. */
export interface NewMeterModel {
  readonly name: string;
  readonly unit: Meter["unit"];
}

/** A new meter as the form begins with it. */
export const modelOfNewMeter = (_: null): NewMeterModel => ({ name: "", unit: "h" });

/** What is wrong with a meter as it is typed. */
export interface NewMeterProblem {
  readonly field: "name";
  readonly code: "name-missing" | "name-taken";
}

/** What is still wrong with it; `others` are the meters that the machine has. */
export function newMeterProblems(
  { name }: NewMeterModel,
  others: readonly Meter[],
): readonly NewMeterProblem[] {
  if (isEmpty(name)) return [{ field: "name", code: "name-missing" }];
  const called = name.trim().toLowerCase();
  const isTaken = others.some((meter) => meter.name?.toLowerCase() === called);
  return isTaken ? [{ field: "name", code: "name-taken" }] : [];
}
