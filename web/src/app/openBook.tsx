import { liveQuery } from "dexie";
import { useLiveQuery } from "dexie-react-hooks";
import { createContext, use, useEffect, useState, type ReactElement, type ReactNode } from "react";
import type { BookStorage, Surroundings } from "../data/bookStorage.js";
import type { TakenOver } from "../data/dexieBoardSource.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { newId } from "../data/newId.js";
import { bookById, type BookEntry } from "../data/registry.js";
import { boardClient } from "../work/boardClient.js";
import type { BoardUpdate } from "../work/boardKeeper.js";
import type { KeeperListener } from "../work/keeperClient.js";
import { errorWords } from "../words/errorWords.js";
import { boardFailed, boardOpened, boardReckoning, boardUnchanged, boardUpdated } from "./board.js";
import { notifyFailure } from "./notify.js";
import { storedUndo, storeUndo, undoRestored } from "./undo.js";
import { store, useAppDispatch, useAppSelector, type AppDispatch } from "./store.js";

/** The book that is open. */
export interface OpenBook {
  readonly entry: BookEntry;
  readonly storage: BookStorage;
}

const OpenBookContext = createContext<OpenBook | null>(null);

/** The book that is open; only for what stands inside {@link OpenBookProvider}. */
export function useBook(): OpenBook {
  const book = use(OpenBookContext);
  if (book === null) throw new Error("no book is open here");
  return book;
}

/** What a command is told of the world at this moment. */
export function surroundings(): Surroundings {
  return {
    today: store.getState().session.today,
    newId,
    now: new Date().toISOString(),
  };
}

function listenerOf(dispatch: AppDispatch): KeeperListener<BoardUpdate> {
  return {
    onUpdate: (update) => dispatch(boardUpdated(update)),
    onUnchanged: () => dispatch(boardUnchanged()),
    onFailure: (reason) => dispatch(boardFailed(reason)),
  };
}

const TAKEN_OVER: Readonly<Record<TakenOver, string>> = {
  newer:
    "A newer version of the program has taken the book over in another tab. Reload this page to go on; nothing that was saved is lost.",
  deleted: "This book was deleted in another tab. Reload this page to go to another one.",
};

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
    () => new DexieStorage(entry.database, (why) => notifyFailure(TAKEN_OVER[why])),
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
  useEffect(() => {
    dispatch(boardOpened());
    const client = boardClient(entry.database, listenerOf(dispatch));
    const changes = liveQuery(() => storage.lastSeq()).subscribe({
      next: () => {
        dispatch(boardReckoning());
        client.wake(today);
      },
      error: (error: unknown) => dispatch(boardFailed(errorWords(error))),
    });
    return () => {
      changes.unsubscribe();
      client.stop();
    };
  }, [dispatch, entry.database, storage, today]);
  return <OpenBookContext value={{ entry, storage }}>{children}</OpenBookContext>;
}
