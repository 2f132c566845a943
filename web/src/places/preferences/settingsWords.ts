import {
  CURRENCY_LENGTH,
  type SettingsProblem,
  type WindowsModel,
  type WritingModel,
} from "./settingsModel.js";

/** What is said of how the book writes. */
export const WRITING_LABELS: Readonly<Record<keyof WritingModel, string>> = {
  currency: "What stands behind an amount of money",
  gallons: "A bare quart, gallon, pint or fluid ounce is",
  coldMargin: "Kept above the cold limit of an engine oil’s winter grade, °C",
};

/** Whose quarts and gallons. */
export const GALLONS = [
  ["", "not said: each field asks"],
  ["us", "US: a quart is 0.946 L, a gallon 3.785 L"],
  ["imperial", "imperial: a quart is 1.137 L, a gallon 4.546 L"],
] as const;

/** What is said of the windows. */
export const WINDOWS_LABELS: WindowsModel = {
  dueWithinDays: "Due when likely within",
  leadDays: "Soon when likely within",
  staleAfterDays: "A meter is stale after",
};

/** What each window decides. */
export const WINDOWS_EXPLAINED: WindowsModel = {
  dueWithinDays:
    "A task counts as due this many days before its likely date, or a tenth of its interval where that is less.",
  leadDays:
    "A task counts as soon this many days before, or a quarter of its interval where that is less.",
  staleAfterDays: "Without a reading for so long, its dates are doubtful.",
};

/** What is wrong with a setting, and what to do. */
export function settingsProblemWords({ code }: SettingsProblem): string {
  switch (code) {
    case "currency-too-long":
      return `A currency has at most ${CURRENCY_LENGTH} letters.`;
    case "not-degrees":
      return "Type how many degrees are kept, 0 or more.";
    case "not-whole-days":
      return "A whole number of days, from 0 on.";
  }
}
