import type { Change } from "./change.js";
import type { Book } from "./book.js";
import { failure, success, type Result } from "./result.js";
import type { Settings } from "./settings.js";

/** What stands in the way of settings: which of them is not a whole number of days from 0 on. */
export interface SettingsIssue {
  readonly code: "not-whole-days";
  readonly setting: keyof Settings;
}

const NAMES = ["dueWithinDays", "leadDays", "staleAfterDays"] as const;

/** Sets the windows of the status rules (due rules §7), in whole days; other settings stay. Refused: anything but whole numbers of at least 0. */
export function changeSettings(
  settings: Book["settings"],
  input: Settings,
): Result<Change, SettingsIssue> {
  const wrong = NAMES.filter((name) => !Number.isInteger(input[name]) || input[name] < 0);
  if (wrong.length > 0) {
    return failure(wrong.map((setting) => ({ code: "not-whole-days" as const, setting })));
  }
  const after = { ...settings, ...input };
  const fields = [{ key: "settings", before: settings ?? null, after }];
  return success({ command: "change-settings", records: [], fields });
}
