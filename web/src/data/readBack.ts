import { BookDatabase } from "./bookDatabase.js";

/** Looks whether a change is in a database, over a connection of its own; throws where it is not. */
export async function readBack(name: string, seq: number): Promise<void> {
  const database = new BookDatabase(name);
  try {
    if ((await database.journal.get(seq)) !== undefined) return;
    throw new Error(
      "the disk refused something before, and what was written now could not be read back; free some space on the device and try again",
    );
  } finally {
    database.close();
  }
}
