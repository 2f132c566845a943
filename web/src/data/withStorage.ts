import type { BookStorage } from "./bookStorage.js";

/** Does something with a book that is opened for it, and closed whatever comes of it. */
export async function withStorage<Value>(
  open: (database: string) => BookStorage,
  database: string,
  run: (storage: BookStorage) => Promise<Value>,
): Promise<Value> {
  const storage = open(database);
  try {
    return await run(storage);
  } finally {
    storage.close();
  }
}
