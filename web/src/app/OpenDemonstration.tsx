import type { ReactElement } from "react";
import { Navigate } from "react-router";
import { demonstration } from "../data/books.js";
import { noteOpened, type BookEntry } from "../data/registry.js";
import { currentDay } from "../data/today.js";
import { useAwaited } from "../session/useAwaited.js";

let opening: Promise<BookEntry> | null = null;

async function openNow(): Promise<BookEntry> {
  const entry = await demonstration(currentDay());
  await noteOpened(entry);
  return entry;
}

/** Opening the demonstration is begun once, however often it is asked for at the same time. */
function open(): Promise<BookEntry> {
  opening ??= openNow().finally(() => {
    opening = null;
  });
  return opening;
}

/** Opens the demonstration book and goes to Ahead. */
export function OpenDemonstration(): ReactElement | null {
  const opened = useAwaited(open);
  if (opened.code === "failed") throw opened.error;
  return opened.code === "here" ? <Navigate to="/ahead" replace /> : null;
}
