import { errorNames } from "./errorNames.js";
import type { ChangeRefusal } from "./bookStorage.js";

/** How the browser says that the disk would not take something. */
const OF_DISK: ReadonlySet<string> = new Set(["UnknownError", "AbortError", "QuotaExceededError"]);

/** Whether an error says that the disk would not take something. */
export const isOfDisk = (error: unknown): boolean =>
  errorNames(error).some((name) => OF_DISK.has(name));

/** Ends a transaction without a trace: what was written in it is taken back. */
export class Refused extends Error {
  constructor(readonly refusal: ChangeRefusal) {
    super(refusal.code);
  }
}

/** Gives new records their numbers, one after the other. */
export interface Numbering {
  readonly next: () => number;
  readonly last: () => number;
}

/** So many machines are read together, so that no single step holds the page up. */
export const MACHINES_AT_ONCE = 10;

/** The answer where a machine that was asked for is not there. */
export const MISSING = { ok: false, issues: [{ code: "machine-missing" }] } as const;
