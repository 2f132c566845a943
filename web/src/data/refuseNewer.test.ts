import "fake-indexeddb/auto";
import { BookDatabase } from "./bookDatabase.js";

/** Brings a database to a version of which this program knows nothing. */
function bringForward(name: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const request = indexedDB.open(name, 990);
    request.onerror = () => reject(new Error(request.error?.message));
    request.onsuccess = () => {
      request.result.close();
      resolve();
    };
  });
}

function versionOf(name: string): Promise<number> {
  return new Promise((resolve) => {
    const request = indexedDB.open(name);
    request.onsuccess = () => {
      resolve(request.result.version);
      request.result.close();
    };
  });
}

test("a database that a newer version of the program has made is left alone", async () => {
  const before = new BookDatabase("kept");
  await before.facts.put({ key: "copy", value: "a" });
  before.close();
  await bringForward("kept");
  const after = new BookDatabase("kept");
  await expect(after.facts.put({ key: "copy", value: "b" })).rejects.toThrow(/newer than 7/);
  after.close();
  expect(await versionOf("kept")).toBe(990);
});
