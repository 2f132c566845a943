const HASH = /[0-9a-f]{64}/g;

/** Everything in a plain value that could be the hash of a picture: what may come back by undo or from a draft. */
export function possibleHashes(value: unknown): string[] {
  return JSON.stringify(value ?? null).match(HASH) ?? [];
}
