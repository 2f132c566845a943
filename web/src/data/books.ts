import type { Book, DayNumber } from "@yonderfell/core";
import { Dexie } from "dexie";
import { DexieStorage } from "./dexieStorage.js";
import { newId } from "./newId.js";
import { dropTraces } from "./trace/privateFiles.js";
import {
  amend,
  findDemonstration,
  register,
  registeredBooks,
  unfinishedBooks,
  unregister,
  type BookEntry,
} from "./registry.js";

/** What a book that holds nothing yet looks like. */
const EMPTY_BOOK = { format: "yonderfell-book", version: 2 } as const;

/** A new database for a book, and its entry, not yet registered. */
export function newBookEntry(name: string, isDemonstration = false): BookEntry {
  const id = newId();
  const openedAt = new Date().toISOString();
  return { id, name, database: `yonderfell-book-${id}`, isDemonstration, openedAt };
}

/** Fills a new book and lists it once it is whole; where that fails or is stopped (answered `false`) nothing of it is left behind. Answers whether it is there. */
export async function keepBook(entry: BookEntry, fill: () => Promise<unknown>): Promise<boolean> {
  await register({ ...entry, isArriving: true });
  try {
    if ((await fill()) === false) {
      await deleteBook(entry);
      return false;
    }
  } catch (error) {
    await deleteBook(entry);
    throw error;
  }
  await register(entry);
  return true;
}

async function store(entry: BookEntry, book: Book): Promise<BookEntry> {
  await keepBook(entry, async () => {
    const storage = new DexieStorage(entry.database);
    try {
      await storage.fill(book);
      return true;
    } finally {
      storage.close();
    }
  });
  return entry;
}

/** Makes a book that holds nothing yet. */
export async function createBook(name: string): Promise<BookEntry> {
  return store(newBookEntry(name), EMPTY_BOOK);
}

/** The demonstration book, made for `today` if this browser has none yet. */
export async function demonstration(today: DayNumber): Promise<BookEntry> {
  const open = async (): Promise<BookEntry> =>
    (await findDemonstration()) ?? (await makeDemonstration(today));
  // Two tabs that open it at once get the same; where a browser knows no locks, each sees to itself.
  return "locks" in navigator ? navigator.locks.request("yonderfell-demonstration", open) : open();
}

async function makeDemonstration(today: DayNumber): Promise<BookEntry> {
  const { demonstrationBook, DEMONSTRATION_NAME } = await import("@yonderfell/demo");
  return store(newBookEntry(DEMONSTRATION_NAME, true), demonstrationBook(today));
}

/** Makes the demonstration book anew for `today`; the old one goes once the new one is there. */
export async function rebuildDemonstration(today: DayNumber): Promise<BookEntry> {
  const old = await findDemonstration();
  const made = await makeDemonstration(today);
  if (old !== null) await deleteBook(old);
  return made;
}

/** The ids of the books that are here, also of those that are being filled or deleted. One whose database has been lost is not. */
export async function booksHere(): Promise<readonly string[]> {
  const here: string[] = [];
  for (const { id, database, isLeaving, isArriving } of await registeredBooks()) {
    const isUnderWay = isLeaving === true || isArriving === true;
    if (isUnderWay || (await Dexie.exists(database))) here.push(id);
  }
  return here;
}

/** Deletes a book and all it holds from this browser, its second trace first: what is deleted is not offered back. */
export async function deleteBook(entry: BookEntry): Promise<void> {
  await amend(entry.id, { isLeaving: true });
  await dropTraces(entry.id);
  await Dexie.delete(entry.database);
  await unregister(entry.id);
}

/** Filling the largest book takes minutes; what was begun longer ago was cut short. */
const LONG_AGO_MS = 3_600_000;

/** Clears away what was cut short: deletions, and books that never became whole. */
export async function finishDeletions(now: Date): Promise<void> {
  const begunBefore = new Date(now.getTime() - LONG_AGO_MS).toISOString();
  for (const entry of await unfinishedBooks(begunBefore)) await deleteBook(entry);
}
