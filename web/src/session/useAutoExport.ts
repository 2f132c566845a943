import { liveQuery } from "dexie";
import { useEffect, useState } from "react";
import { errorWords } from "../words/errorWords.js";
import { exportToFolder } from "./autoExport.js";
import { notifyFailure } from "./notify.js";
import { useBook } from "./openBook.js";

/** After the last of a run of changes the book is exported when it has been quiet for so long. */
const QUIET_MS = 15_000;

/** Exports the book to its folder by itself after changes; answers whether the browser wants to be asked for leave again. */
export function useAutoExport(): boolean {
  const { entry, storage } = useBook();
  const { folder } = entry;
  const [needsLeave, setNeedsLeave] = useState(false);
  useEffect(() => {
    if (folder === undefined) return undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const write = async (): Promise<void> => {
      try {
        const done = await exportToFolder(entry, folder, storage, new Date());
        setNeedsLeave(done.code === "leave-needed");
      } catch (error) {
        notifyFailure(
          `The book could not be exported to ${folder.name}: ${errorWords(error)}. Choose the folder again under Books.`,
        );
      }
    };
    const isBehind = async (): Promise<boolean> =>
      (await storage.lastSeq()) > ((await storage.lastExport())?.seq ?? -1);
    const changes = liveQuery(isBehind).subscribe({
      next: (behind) => {
        clearTimeout(timer);
        if (behind) timer = setTimeout(() => void write(), QUIET_MS);
      },
      error: (error: unknown) => notifyFailure(errorWords(error)),
    });
    return () => {
      clearTimeout(timer);
      changes.unsubscribe();
    };
  }, [entry, folder, storage]);
  return folder !== undefined && needsLeave;
}
