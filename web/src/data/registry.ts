import { Dexie, type EntityTable } from "dexie";

import { refuseNewer } from "./refuseNewer.js";

/** A book this browser keeps: each has a database of its own. */
export interface BookEntry {
  readonly id: string;
  readonly name: string;
  readonly database: string;
  /** Whether it is the demonstration, which is made anew and never anyone's own. */
  readonly isDemonstration: boolean;
  /** When it was last opened, as an ISO instant. */
  readonly openedAt: string;
  /** The folder it is exported to by itself; absent where none was chosen. */
  readonly folder?: FileSystemDirectoryHandle;
  /** Begun to be deleted: its database may be gone already. */
  readonly isLeaving?: boolean;
  /** Begun to be filled: not whole yet. */
  readonly isArriving?: boolean;
}

class RegistryDatabase extends Dexie {
  readonly books!: EntityTable<BookEntry, "id">;

  constructor() {
    super("yonderfell-registry", { chromeTransactionDurability: "strict" });
    this.version(1).stores({ books: "id, openedAt" });
    refuseNewer(this);
  }
}

const registry = new RegistryDatabase();

/** Which book this tab has open; each tab may have another. */
const TAB_KEY = "yonderfell-book";

/** All books of this browser, the last opened first. */
export async function allBooks(): Promise<readonly BookEntry[]> {
  const books = await registry.books.orderBy("openedAt").reverse().toArray();
  return books.filter((book) => book.isLeaving !== true && book.isArriving !== true);
}

/** All that the registry has, also what is being filled or deleted. */
export async function registeredBooks(): Promise<readonly BookEntry[]> {
  return registry.books.toArray();
}

/** A book by its id, or null where it is no longer there. */
export async function bookById(id: string): Promise<BookEntry | null> {
  return (await registry.books.get(id)) ?? null;
}

/** The book of this tab, else the one that was open last anywhere, or null before the first. */
export async function currentBook(): Promise<BookEntry | null> {
  const books = await allBooks();
  const chosen = sessionStorage.getItem(TAB_KEY);
  const found = books.find((book) => book.id === chosen) ?? books[0] ?? null;
  if (found !== null) sessionStorage.setItem(TAB_KEY, found.id);
  return found;
}

/** The demonstration book, or null where it has not been made. */
export async function findDemonstration(): Promise<BookEntry | null> {
  return (await allBooks()).find((book) => book.isDemonstration) ?? null;
}

/** Writes a book into the registry. */
export async function register(entry: BookEntry): Promise<void> {
  await registry.books.put(entry);
}

/** Notes that this tab has a book open. */
export async function noteOpened(entry: BookEntry): Promise<void> {
  sessionStorage.setItem(TAB_KEY, entry.id);
  await registry.books.update(entry.id, { openedAt: new Date().toISOString() });
}

/** Changes what the registry says of a book. */
export async function amend(id: string, changes: Partial<BookEntry>): Promise<void> {
  await registry.books.update(id, changes);
}

/** Has a book no longer exported to a folder by itself. */
export async function forgetFolder(id: string): Promise<void> {
  await registry.books
    .where("id")
    .equals(id)
    .modify((book) => {
      delete (book as { folder?: unknown }).folder;
    });
}

/** Takes a book out of the registry. */
export async function unregister(id: string): Promise<void> {
  await registry.books.delete(id);
}

/** The books whose deletion was begun and not finished, and those begun to be filled before an instant and never whole. */
export async function unfinishedBooks(begunBefore: string): Promise<readonly BookEntry[]> {
  return registry.books
    .filter(
      (book) =>
        book.isLeaving === true || (book.isArriving === true && book.openedAt < begunBefore),
    )
    .toArray();
}
