import type { Gallons } from "../../quantity/unit.js";
import type { BoardView } from "../records/boardView.js";
import type { Change } from "./change.js";
import type { Book } from "../file/book.js";
import { failure, success, type Result } from "./result.js";
import type { Planning, Settings } from "../records/settings.js";

/** What stands in the way of settings: which of them is not a whole number of days from 0 on. */
export interface SettingsIssue {
  readonly code: "not-whole-days";
  readonly setting: keyof Settings;
}

/** What is to be set; what is not named stays. */
export interface SettingsInput extends Partial<Settings> {
  /** What stands behind an amount of money; empty for nothing. */
  readonly currency?: string;
  /** Whose quarts and gallons a bare word means; null where the book does not say. */
  readonly gallons?: Gallons | null;
  /** What is kept above the cold limit of a winter grade, in °C; null for the default. */
  readonly coldMargin?: number | null;
  /** What may be spent in a year, in the book's money, by year; years that are not named stay. */
  readonly budgets?: Readonly<Record<string, number>>;
  /** All views of the board that are kept. */
  readonly views?: BoardView[];
  /** What visits are weighed by; what is not named stays. */
  readonly planning?: Partial<Omit<Planning, "workdays" | "closed">> & {
    readonly workdays?: number[];
  };
}

const NAMES = ["dueWithinDays", "leadDays", "staleAfterDays"] as const;

/** Sets the windows of the status rules (due rules §7), in whole days, and how the book writes money and quarts. Refused: windows that are not whole numbers of at least 0. */
export function changeSettings(
  settings: Book["settings"],
  input: SettingsInput,
): Result<Change, SettingsIssue> {
  const wrong = NAMES.filter((name) => {
    const days = input[name];
    return days !== undefined && (!Number.isInteger(days) || days < 0);
  });
  if (wrong.length > 0) {
    return failure(wrong.map((setting) => ({ code: "not-whole-days" as const, setting })));
  }
  const { currency } = input;
  const words = currency === undefined ? {} : { currency: currency.trim() || null };
  const planning = input.planning && { ...settings?.planning, ...input.planning };
  const budgets = input.budgets && { ...settings?.budgets, ...input.budgets };
  const merged = { ...(planning ? { planning } : {}), ...(budgets ? { budgets } : {}) };
  const after = { ...settings, ...input, ...words, ...merged };
  const fields = [{ key: "settings", before: settings ?? null, after }];
  return success({ command: "change-settings", records: [], fields });
}
