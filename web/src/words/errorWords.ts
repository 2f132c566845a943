import { Dexie } from "dexie";
import { errorNames } from "../data/errorNames.js";

const KNOWN: Readonly<Record<string, string>> = {
  BookGone:
    "this book is not in this browser any more: its storage was cleared, or the browser lost it; copy what you would not lose, and go to Books, which offers it back if its second trace is left",
  UnknownError:
    "the browser could not write to the disk, which is most likely full; free some space on the device and try again",
  AbortError:
    "the browser broke off writing, most likely because the disk is full; free some space on the device and try again",
  QuotaExceededError:
    "the browser has no room left for this site; free some space on the device and try again",
  VersionError:
    "a newer version of the program keeps what this site stores, and this one leaves it alone; reload this page to have the newer one, from the network if it is kept for offline",
  DatabaseClosedError: "the book was taken over by another tab; reload this page",
  InvalidStateError:
    "the browser does not let this site store anything; leave private browsing or allow storage",
};

/** What an error says of itself; for those of the store, what went wrong and what to do. */
export function errorWords(error: unknown): string {
  const known = errorNames(error).find((name) => Object.hasOwn(KNOWN, name));
  if (known !== undefined) return KNOWN[known] ?? known;
  return error instanceof Error ? error.message : String(error);
}

/** Whether an error is one of the browser's storage: what its library throws is, whatever it is called. */
export function isOfStore(error: unknown): boolean {
  return (
    error instanceof Dexie.DexieError ||
    errorNames(error).some((name) => Object.hasOwn(KNOWN, name))
  );
}
