import { useEffect } from "react";
import { useKept } from "../session/useKept.js";
import { useBook } from "../session/openBook.js";
import { useAppDispatch, useAppSelector } from "../session/store.js";
import { visits } from "../session/visits.js";

const visitsWorker = (): Worker =>
  new Worker(new URL("../work/visits.worker.ts", import.meta.url), { type: "module" });

/** Keeps the visits of the open book planned; there once a screen has wanted them. */
export default function VisitPlans(): null {
  const dispatch = useAppDispatch();
  const { entry, storage } = useBook();
  const today = useAppSelector((state) => state.session.today);
  useKept(visits, visitsWorker, { database: entry.database, storage, today, inParts: false });
  // Another book begins without any.
  useEffect(() => () => void dispatch(visits.closed()), [dispatch, entry.database]);
  return null;
}
