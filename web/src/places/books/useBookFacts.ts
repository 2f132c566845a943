import type { Section } from "@yonderfell/core";
import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState } from "react";
import { DexieStorage } from "../../data/dexieStorage.js";
import type { BookEntry } from "../../data/registry.js";
import type { ExportState } from "../../words/bookWords.js";

/** What a list of books says of one. */
export interface BookFacts {
  readonly counts: Readonly<Record<Section, number>>;
  readonly exported: ExportState;
}

/** What a book holds and how it stands against its last export; undefined until read, null where there is nothing to say. */
export function useBookFacts(entry: BookEntry): {
  readonly facts: BookFacts | null | undefined;
  readonly store: DexieStorage;
} {
  const [store] = useState(() => new DexieStorage(entry.database));
  useEffect(() => () => store.close(), [store]);
  const facts = useLiveQuery(async (): Promise<BookFacts | null> => {
    try {
      const note = await store.lastExport();
      const seq = await store.lastSeq();
      const counts = await store.counts();
      return { counts, exported: { at: note?.at ?? null, changes: seq - (note?.seq ?? 0) } };
    } catch (error) {
      // A book that is being deleted has nothing to say any more.
      if (error instanceof Error && error.name === "DatabaseClosedError") return null;
      throw error;
    }
  }, [store]);
  return { facts, store };
}
