import type { Picture, PicturedSection, RecordOf } from "@yonderfell/core";

/** The hashes of the pictures that records refer to. */
export function hashesIn(records: readonly RecordOf[PicturedSection][]): string[] {
  return records.flatMap((record) =>
    ((record.pictures ?? []) as readonly Picture[]).map((picture) => picture.hash),
  );
}

const HASH = /[0-9a-f]{64}/g;

/** Everything in a plain value that could be the hash of a picture: what may come back by undo or from a draft. */
export function possibleHashes(value: unknown): string[] {
  return JSON.stringify(value ?? null).match(HASH) ?? [];
}
