import { useLiveQuery } from "dexie-react-hooks";
import { useEffect } from "react";
import type { BookStorage } from "../data/bookStorage.js";
import type { BookEntry } from "../data/registry.js";
import type { ExportState } from "../words/bookWords.js";
import { errorWords } from "../words/errorWords.js";
import { exportBook } from "./exportBook.js";
import { notifyFailure, notifySuccess } from "./notify.js";
import { exportNoted } from "./session.js";
import { useAppDispatch } from "./store.js";
import { useOneAtATime } from "./useOneAtATime.js";

/** How a book stands against its last export; undefined until read. */
export function useExportState(storage: BookStorage): ExportState | undefined {
  const dispatch = useAppDispatch();
  const found = useLiveQuery(
    async () => ({ note: await storage.lastExport(), seq: await storage.lastSeq() }),
    [storage],
  );
  const note = found?.note ?? null;
  useEffect(() => {
    if (note !== null) dispatch(exportNoted(note));
  }, [note, dispatch]);
  return found && { at: note?.at ?? null, changes: found.seq - (note?.seq ?? 0) };
}

/** The way to export a book; says where it went, or why it could not. */
export function useExport(
  entry: BookEntry,
  storage: Pick<BookStorage, "noteExport">,
): () => Promise<void> {
  const once = useOneAtATime();
  return () =>
    once(async () => {
      try {
        notifySuccess(`The book is in ${await exportBook(entry, storage, new Date())}.`);
      } catch (error) {
        notifyFailure(
          `The book could not be written to a file: ${errorWords(error)}. Nothing in it is changed.`,
        );
      }
    });
}
