import type { z } from "zod";
import type { settingsSchema } from "./settingsSchema.js";

/** The settings with their defaults filled in. */
export interface Settings {
  readonly dueWithinDays: number;
  readonly leadDays: number;
  readonly staleAfterDays: number;
}

/** The defaults of due rules §1. */
export const DEFAULT_SETTINGS: Settings = { dueWithinDays: 7, leadDays: 30, staleAfterDays: 45 };

/** The settings of a book, absent ones at their defaults. */
export function settingsOf(book: {
  readonly settings?: z.infer<typeof settingsSchema> | undefined;
}): Settings {
  const own = book.settings ?? {};
  return {
    dueWithinDays: own.dueWithinDays ?? DEFAULT_SETTINGS.dueWithinDays,
    leadDays: own.leadDays ?? DEFAULT_SETTINGS.leadDays,
    staleAfterDays: own.staleAfterDays ?? DEFAULT_SETTINGS.staleAfterDays,
  };
}
