import { useLiveQuery } from "dexie-react-hooks";
import { useEffect, useState, type ReactElement, type ReactNode } from "react";
import type { TakenOver } from "../data/dexieBoardSource.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { bookById, type BookEntry } from "../data/registry.js";
import { board } from "./board.js";
import { notifyFailure } from "./notify.js";
import { OpenBookContext } from "./openBook.js";
import { store, useAppDispatch, useAppSelector } from "./store.js";
import { storedUndo, storeUndo, undoRestored } from "./undo.js";
import { useKept } from "./useKept.js";

const boardWorker = (): Worker =>
  new Worker(new URL("../work/board.worker.ts", import.meta.url), { type: "module" });

const TAKEN_OVER: Readonly<Record<TakenOver, string>> = {
  newer:
    "A newer version of the program has taken the book over in another tab. Reload this page to go on; nothing that was saved is lost.",
  deleted: "This book was deleted in another tab. Reload this page to go to another one.",
};

/** What is saved is said to be once its second trace has it too, or it is told that it has not: the save itself stands in any case. */
async function traced(entry: BookEntry): Promise<boolean> {
  try {
    return await (await import("./secondTrace.js")).keepTrace(entry);
  } catch (error) {
    const { doubtWords } = await import("../words/traceWords.js");
    notifyFailure(doubtWords(error));
    return false;
  }
}

/** Opens a book for everything inside: its storage, and the worker that keeps its board. */
export function OpenBookProvider({
  entry: opened,
  children,
}: {
  readonly entry: BookEntry;
  readonly children: ReactNode;
}): ReactElement {
  const dispatch = useAppDispatch();
  // Its name and its folder may change while it is open.
  const entry = useLiveQuery(() => bookById(opened.id), [opened.id]) ?? opened;
  const today = useAppSelector((state) => state.session.today);
  const [storage] = useState(
    () =>
      new DexieStorage(
        entry.database,
        (why) => notifyFailure(TAKEN_OVER[why]),
        () => traced(opened),
      ),
  );
  useEffect(() => {
    // Asked once a book is open: the browser should not clear it away when space is short.
    void navigator.storage?.persist?.();
  }, []);
  useEffect(() => {
    dispatch(undoRestored(storedUndo(entry.database)));
    let kept = store.getState().undo;
    return store.subscribe(() => {
      const { undo } = store.getState();
      if (undo !== kept) storeUndo(entry.database, undo);
      kept = undo;
    });
  }, [dispatch, entry.database]);
  // Another book, and another day, begins with an empty board.
  useEffect(() => void dispatch(board.closed()), [dispatch, entry.database, today]);
  useKept(board, boardWorker, { database: entry.database, storage, today, inParts: true });
  return <OpenBookContext value={{ entry, storage }}>{children}</OpenBookContext>;
}
