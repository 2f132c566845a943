import { booksHere, deleteBook, keepBook, newBookEntry } from "../data/books.js";
import { bookById, findDemonstration, type BookEntry } from "../data/registry.js";
import type { LostBook } from "../data/trace/traces.js";
import { tracer } from "../work/traceClient.js";

/** The books that this browser has lost and whose second trace is there. */
export async function lostBooks(): Promise<readonly LostBook[]> {
  return tracer().lost(await booksHere());
}

/** Makes a lost book a book of this browser again; null where its trace can no longer be read. The trace goes once the book has one of its own. */
export async function bringBack(lost: LostBook): Promise<BookEntry | null> {
  const { id, isAside, folder } = lost;
  const shown = await findDemonstration();
  const isDemonstration = lost.isDemonstration && (shown === null || (shown.id === id && !isAside));
  const entry = newBookEntry(isAside ? `${lost.name}, as it was` : lost.name, isDemonstration);
  const now = new Date().toISOString();
  const isKept = await keepBook(entry, () => tracer().restore(folder, entry.database, now));
  if (!isKept) return null;
  const state = await tracer().keep(entry);
  if (state.code !== "kept") return entry;
  const empty = isAside ? null : await bookById(id);
  if (empty !== null) await deleteBook(empty);
  await tracer().drop(folder);
  return entry;
}

/** Lets what is left of a lost book go. */
export async function letGo({ folder }: LostBook): Promise<void> {
  await tracer().drop(folder);
}
