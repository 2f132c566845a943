import {
  DEFAULT_COLD_MARGIN,
  settingsOf,
  type Book,
  type Gallons,
  type Settings,
} from "@yonderfell/core";
import { figureTyped, isAmountOrEmpty, isEmpty, isWhole } from "../../form/typed.js";

type OwnSettings = Book["settings"];

/** More letters than this behind an amount nobody reads. */
export const CURRENCY_LENGTH = 12;

/** What is wrong with a setting as it is typed. */
export interface SettingsProblem {
  readonly field: string;
  readonly code: "currency-too-long" | "not-degrees" | "not-whole-days";
}

/** How the book writes, as it stands in the form. */
export interface WritingModel {
  readonly currency: string;
  readonly gallons: Gallons | "";
  readonly coldMargin: string;
}

/** How the book writes, as it stands in the form. */
export function modelOfWriting(own: OwnSettings): WritingModel {
  return {
    currency: own?.currency ?? "",
    gallons: own?.gallons ?? "",
    coldMargin: figureTyped(own?.coldMargin ?? DEFAULT_COLD_MARGIN),
  };
}

/** What is still wrong with it, at its fields. */
export function writingProblems(model: WritingModel): readonly SettingsProblem[] {
  const isDegrees = !isEmpty(model.coldMargin) && isAmountOrEmpty(model.coldMargin);
  const problems: SettingsProblem[] = [];
  if (model.currency.trim().length > CURRENCY_LENGTH) {
    problems.push({ field: "currency", code: "currency-too-long" });
  }
  if (!isDegrees) problems.push({ field: "coldMargin", code: "not-degrees" });
  return problems;
}

/** The windows, as they stand in the form. */
export type WindowsModel = Readonly<Record<keyof Settings, string>>;

/** The windows of the book. */
export const WINDOWS = ["dueWithinDays", "leadDays", "staleAfterDays"] as const;

/** The windows as they stand in the form. */
export function modelOfWindows(own: OwnSettings): WindowsModel {
  const settings = settingsOf({ settings: own });
  return {
    dueWithinDays: String(settings.dueWithinDays),
    leadDays: String(settings.leadDays),
    staleAfterDays: String(settings.staleAfterDays),
  };
}

/** What is still wrong with them, at their fields. */
export function windowsProblems(model: WindowsModel): readonly SettingsProblem[] {
  return WINDOWS.filter((name) => !isWhole(model[name], 0)).map((field) => ({
    field,
    code: "not-whole-days",
  }));
}
