import { Dexie } from "dexie";
import { createBook, deleteBook, finishDeletions, keepBook, newBookEntry } from "./books.js";
import { DexieStorage } from "./dexieStorage.js";
import { allBooks, amend } from "./registry.js";

const names = async (): Promise<string[]> => (await allBooks()).map((book) => book.name).sort();
const databases = async (): Promise<string[]> =>
  (await Dexie.getDatabaseNames()).filter((name) => name.startsWith("yonderfell-book-")).sort();

beforeEach(async () => {
  for (const book of await allBooks()) await deleteBook(book);
});

test("a new book is listed once it is whole, and gone when it is deleted", async () => {
  const entry = await createBook("Shed");
  expect(await names()).toEqual(["Shed"]);
  const storage = new DexieStorage(entry.database);
  expect(await storage.everything()).toMatchObject({ format: "yonderfell-book", machines: [] });
  storage.close();
  await deleteBook(entry);
  expect(await names()).toEqual([]);
  expect(await databases()).toEqual([]);
});

test("a book that could not be filled leaves nothing behind, and says why", async () => {
  const entry = newBookEntry("Too large");
  const fill = async (): Promise<void> => {
    const storage = new DexieStorage(entry.database);
    await storage.copy();
    storage.close();
    throw new Error("no room");
  };
  await expect(keepBook(entry, fill)).rejects.toThrow("no room");
  expect(await names()).toEqual([]);
  expect(await databases()).toEqual([]);
});

test("a book whose filling is stopped leaves nothing behind", async () => {
  const entry = newBookEntry("Stopped");
  expect(await keepBook(entry, () => Promise.resolve(false))).toBe(false);
  expect(await names()).toEqual([]);
  expect(await databases()).toEqual([]);
});

test("what was cut short is cleared away later, and what is still being filled is not", async () => {
  const old = await createBook("Cut short long ago");
  const fresh = await createBook("Being filled");
  const leaving = await createBook("Half deleted");
  const now = new Date("2026-11-23T12:00:00.000Z");
  await amend(old.id, { isArriving: true, openedAt: "2026-11-23T10:00:00.000Z" });
  await amend(fresh.id, { isArriving: true, openedAt: "2026-11-23T11:59:00.000Z" });
  await amend(leaving.id, { isLeaving: true });
  expect(await names()).toEqual([]);
  await finishDeletions(now);
  expect(await databases()).toEqual([fresh.database]);
  await deleteBook(fresh);
});
