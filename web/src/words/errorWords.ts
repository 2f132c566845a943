const KNOWN: Readonly<Record<string, string>> = {
  QuotaExceededError:
    "the browser has no room left for this site; free some space on the device and try again",
  VersionError: "the book was opened by a newer version of the program; reload this page",
  DatabaseClosedError: "the book was taken over by another tab; reload this page",
  InvalidStateError:
    "the browser does not let this site store anything; leave private browsing or allow storage",
};

/** The names an error goes by: its own, and that of the one it wraps. */
function namesOf(error: unknown): string[] {
  if (typeof error !== "object" || error === null) return [];
  const inner = "inner" in error ? namesOf(error.inner) : [];
  return [...("name" in error ? [String(error.name)] : []), ...inner];
}

/** What an error says of itself; for those of the store, what went wrong and what to do. */
export function errorWords(error: unknown): string {
  const known = namesOf(error).find((name) => Object.hasOwn(KNOWN, name));
  if (known !== undefined) return KNOWN[known] ?? known;
  return error instanceof Error ? error.message : String(error);
}
