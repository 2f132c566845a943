import { liveQuery } from "dexie";
import { useEffect } from "react";
import { visitClient } from "../work/visitClient.js";
import { errorWords } from "../words/errorWords.js";
import { useBook } from "./openBook.js";
import { useAppDispatch, useAppSelector } from "./store.js";
import {
  visitsClosed,
  visitsFailed,
  visitsPlanning,
  visitsUnchanged,
  visitsUpdated,
} from "./visits.js";

/** Keeps the visits of the open book planned; there once a screen has wanted them. */
export default function VisitPlans(): null {
  const dispatch = useAppDispatch();
  const { entry, storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  useEffect(() => {
    const client = visitClient(entry.database, {
      onUpdate: (update) => dispatch(visitsUpdated(update)),
      onUnchanged: () => dispatch(visitsUnchanged()),
      onFailure: (reason) => dispatch(visitsFailed(reason)),
    });
    const changes = liveQuery(() => storage.lastSeq()).subscribe({
      next: () => {
        dispatch(visitsPlanning());
        client.wake(today);
      },
      error: (error: unknown) => dispatch(visitsFailed(errorWords(error))),
    });
    return () => {
      changes.unsubscribe();
      client.stop();
    };
  }, [dispatch, entry.database, storage, today]);
  // Another book begins without any.
  useEffect(() => () => void dispatch(visitsClosed()), [dispatch, entry.database]);
  return null;
}
