import { Dexie, type EntityTable } from "dexie";

/** A book this browser keeps: each has a database of its own. */
export interface BookEntry {
  readonly id: string;
  readonly name: string;
  readonly database: string;
  /** Whether it is the demonstration, which is made anew and never anyone's own. */
  readonly isDemonstration: boolean;
  /** When it was last opened, as an ISO instant. */
  readonly openedAt: string;
}

class RegistryDatabase extends Dexie {
  readonly books!: EntityTable<BookEntry, "id">;

  constructor() {
    super("yonderfell-registry", { chromeTransactionDurability: "strict" });
    this.version(1).stores({ books: "id, openedAt" });
  }
}

const registry = new RegistryDatabase();

/** The book that was open last, or null before the first. */
export async function lastOpened(): Promise<BookEntry | null> {
  return (await registry.books.orderBy("openedAt").last()) ?? null;
}

/** The demonstration book, or null where it has not been made. */
export async function findDemonstration(): Promise<BookEntry | null> {
  const found = await registry.books.filter((book) => book.isDemonstration).first();
  return found ?? null;
}

/** Writes a book into the registry, as last opened now. */
export async function register(entry: BookEntry): Promise<void> {
  await registry.books.put(entry);
}
