import type { DayNumber } from "@yonderfell/core";
import { DexieStorage } from "./dexieStorage.js";
import { findDemonstration, register, type BookEntry } from "./registry.js";

/** The demonstration book, made for `today` if this browser has none yet, and registered as opened. */
export async function openDemonstration(today: DayNumber): Promise<BookEntry> {
  const found = await findDemonstration();
  const openedAt = new Date().toISOString();
  if (found !== null) {
    const entry = { ...found, openedAt };
    await register(entry);
    return entry;
  }
  const { demonstrationBook, DEMONSTRATION_NAME } = await import("@yonderfell/demo");
  const id = crypto.randomUUID();
  const database = `yonderfell-book-${id}`;
  const storage = new DexieStorage(database);
  try {
    await storage.fill(demonstrationBook(today));
  } finally {
    storage.close();
  }
  const entry = { id, name: DEMONSTRATION_NAME, database, isDemonstration: true, openedAt };
  await register(entry);
  return entry;
}
