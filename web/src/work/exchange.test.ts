import { bookFileText, EMPTY_PLATE, type Book, type Machine } from "@yonderfell/core";
import { pictureOf as pictureAt } from "../../test/pictures.js";
import { BOOK, countingSurroundings, TODAY } from "../../test/skarrowVale.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { MemoryStorage } from "../../test/memoryStorage.js";
import type { StoredPicture } from "../data/picture.js";
import { bookOfZip, zipOfBook } from "./bookZip.js";
import { Exchange } from "./exchange.js";

const { now: NOW } = countingSurroundings();

/** An exchange over books in memory, by the names of their databases. */
function exchange(): { readonly files: Exchange; readonly stored: Map<string, MemoryStorage> } {
  const stored = new Map<string, MemoryStorage>();
  const files = new Exchange((name) => {
    const known = stored.get(name) ?? new MemoryStorage();
    stored.set(name, known);
    return known;
  });
  return { files, stored };
}

const fileOf = (book: Book, name = "Vale"): Blob => new Blob([bookFileText(book, name, [])]);

const pictureOf = (...content: number[]): StoredPicture => pictureAt(NOW, ...content);

/** A book with pictures as a file. */
function zipOfPictures(book: Book, pictures: readonly StoredPicture[]): Uint8Array<ArrayBuffer> {
  const hashes = pictures.map(({ hash }) => hash);
  return zipOfBook(bookFileText(book, "Vale", hashes), pictures);
}

/** The book with a picture on its first machine. */
function withPicture(picture: StoredPicture): Book {
  const [first, ...others] = BOOK.machines ?? [];
  const machine = { ...first, pictures: [{ hash: picture.hash, caption: "gate" }] } as Machine;
  return { ...BOOK, machines: [machine, ...others] };
}

test("a file is looked at: what it holds, from when to when, and what deserves a look", async () => {
  const { files } = exchange();
  const looked = await files.look(fileOf(BOOK), TODAY);
  if (!looked.ok) throw new Error(looked.issues[0]);
  const { name, counts, dates, faults, doubtful } = looked.value;
  expect(name).toBe("Vale");
  expect(counts).toMatchObject({ machines: 15, tasks: BOOK.tasks?.length });
  expect((dates?.first ?? "") < (dates?.last ?? "")).toBe(true);
  expect(faults.map(({ tag }) => tag)).toContain("H1");
  expect(doubtful.length).toBeGreaterThan(0);
});

test("an empty book has no dates", async () => {
  const { files } = exchange();
  const looked = await files.look(fileOf({ format: "yonderfell-book", version: 2 }), TODAY);
  expect(looked).toMatchObject({ ok: true, value: { dates: null, faults: [], doubtful: [] } });
});

test("what was looked at is kept whole, in a new book", async () => {
  const { files, stored } = exchange();
  await files.look(fileOf(BOOK), TODAY);
  expect(await files.keep("new", () => undefined)).toBe(true);
  const kept = await stored.get("new")?.everything();
  expect(kept?.machines).toHaveLength(15);
  expect(kept?.entries).toHaveLength(BOOK.entries?.length ?? 0);
});

test("how far the keeping is, is told; stopped on the way, nothing of it is kept, and it can be kept after all", async () => {
  const databases = new Map<string, DexieStorage>();
  const files = new Exchange((name) => {
    const storage = new DexieStorage(name);
    databases.set(name, storage);
    return storage;
  });
  await files.look(fileOf(BOOK), TODAY);
  const told: number[] = [];
  const isKept = await files.keep("stopped", (share) => {
    told.push(share);
    if (told.length === 3) files.stop();
  });
  expect(isKept).toBe(false);
  expect(told).toHaveLength(3);
  const empty = new DexieStorage("stopped");
  expect(Object.values(await empty.counts()).every((count) => count === 0)).toBe(true);
  empty.close();
  told.length = 0;
  expect(await files.keep("stopped", (share) => told.push(share))).toBe(true);
  expect(told.length).toBeGreaterThan(5);
  expect(told).toEqual([...told].sort((one, other) => one - other));
  expect(told.at(-1)).toBe(1);
  const kept = new DexieStorage("stopped");
  expect((await kept.counts()).entries).toBe(BOOK.entries?.length);
  kept.close();
});

test("pictures count as well, and stopped among them the book is not kept", async () => {
  const { files } = exchange();
  const pictures = [pictureOf(1), pictureOf(2), pictureOf(3)];
  const [first] = pictures;
  if (first === undefined) throw new Error("there are three");
  await files.look(new Blob([zipOfPictures(withPicture(first), pictures)]), TODAY);
  const told: number[] = [];
  expect(await files.keep("whole", (share) => told.push(share))).toBe(true);
  expect(told).toHaveLength(4);
  expect(told.slice(0, 3).every((share) => share < 1)).toBe(true);
  expect(told.at(-1)).toBe(1);
  told.length = 0;
  const isKept = await files.keep("stopped", (share) => {
    told.push(share);
    if (told.length === 2) files.stop();
  });
  expect([isKept, told.length]).toEqual([false, 2]);
});

test("pictures travel beside the book, out and in", async () => {
  const { files, stored } = exchange();
  const picture = pictureOf(1, 2, 3);
  const zip = zipOfPictures(withPicture(picture), [picture]);
  await files.look(new Blob([zip]), TODAY);
  expect(await files.keep("new", () => undefined)).toBe(true);
  expect((await stored.get("new")?.picturesInUse())?.map(({ hash }) => hash)).toEqual([
    picture.hash,
  ]);
  const out = await files.file("new", "Vale again");
  expect(out).toMatchObject({ isZip: true, seq: 0 });
  expect(out.file.type).toBe("application/zip");
  const again = await bookOfZip(out.file, () => undefined);
  if (!again.ok) throw new Error(again.issues[0]);
  expect(new TextDecoder().decode(again.value.book)).toContain('"name": "Vale again"');
  expect(again.value.pictures.map(({ hash }) => hash)).toEqual([picture.hash]);
  await files.duplicate("new", "copy");
  expect((await stored.get("copy")?.picturesInUse())?.length).toBe(1);
});

test("a book without pictures goes out as plain text, under the name it goes by here", async () => {
  const { files, stored } = exchange();
  const storage = new MemoryStorage();
  await storage.fill(BOOK);
  stored.set("own", storage);
  const { file, isZip } = await files.file("own", "The shed");
  expect(isZip).toBe(false);
  expect(file.type).toBe("application/json");
  const book = JSON.parse(await file.text()) as Book;
  expect(book).toMatchObject({ format: "yonderfell-book", version: 2, name: "The shed" });
  expect(Object.keys(book).slice(0, 5)).toEqual(["format", "version", "about", "digests", "name"]);
});

test.each<[string, Blob, RegExp]>([
  ["no book at all", new Blob(["hello"]), /\(the file\)/],
  ["a book of a newer version", new Blob(['{"format":"yonderfell-book","version":99}']), /version/],
  [
    "a machine without a name",
    new Blob(['{"format":"yonderfell-book","version":1,"machines":[{"id":"m"}]}']),
    /machines\[0\]/,
  ],
])("%s is refused with the place, and nothing can be kept of it", async (_, file, words) => {
  const { files, stored } = exchange();
  await files.look(fileOf(BOOK), TODAY);
  const looked = await files.look(file, TODAY);
  expect(looked.ok).toBe(false);
  if (!looked.ok) expect(looked.issues.join("\n")).toMatch(words);
  await expect(files.keep("new", () => undefined)).rejects.toThrow("no file has been looked at");
  expect(stored.size).toBe(0);
});

test("a file too large to be a book is refused before it is read", async () => {
  const { files } = exchange();
  const huge = { size: 300 * 1024 * 1024 } as Blob;
  const looked = await files.look(huge, TODAY);
  expect(looked).toEqual({
    ok: false,
    issues: ["(the file): expected a book of at most 128 MB (it has 300 MB)"],
  });
});

describe("a hand-over", () => {
  /** A stored book, and the file of a copy whose first machine has another name. */
  async function copies(name: string) {
    const { files, stored } = exchange();
    const own = new MemoryStorage();
    await own.fill(BOOK);
    stored.set("own", own);
    const [first, ...others] = (await own.everything()).machines ?? [];
    const changed = { ...first, name, revision: { phone: 1 } } as Machine;
    const theirs = { ...(await own.everything()), machines: [changed, ...others] };
    await files.look(fileOf(theirs), TODAY);
    return { files, own, first };
  }

  test("takes what only the file changed as one change", async () => {
    const { files, own, first } = await copies("Moor bus");
    const { isRelated, plan } = await files.compare("own");
    expect(isRelated).toBe(true);
    expect(plan.conflicts).toEqual([]);
    const done = await files.handOver("own", new Map(), NOW);
    expect(done).toMatchObject({ ok: true, value: { records: 1 } });
    expect((await own.machines()).find(({ id }) => id === first?.id)?.name).toBe("Moor bus");
    expect(await own.lastSeq()).toBe(1);
  });

  test("a file of another fleet is told as such", async () => {
    const { files } = await copies("Moor bus");
    const stranger = { id: "x", tag: "1", name: "Barge", kind: "boat" };
    const other = { format: "yonderfell-book", version: 2, machines: [stranger] };
    await files.look(new Blob([JSON.stringify(other)]), TODAY);
    expect((await files.compare("own")).isRelated).toBe(false);
  });

  test("into an empty book adds all of the file", async () => {
    const { files, stored } = exchange();
    const empty = new MemoryStorage();
    await empty.fill({ format: "yonderfell-book", version: 2 });
    stored.set("own", empty);
    await files.look(fileOf(BOOK), TODAY);
    expect((await files.compare("own")).isRelated).toBe(true);
    expect((await files.handOver("own", new Map(), NOW)).ok).toBe(true);
    expect(await empty.machines()).toHaveLength(15);
    expect(await empty.plate("m-none" as Machine["id"])).toEqual(EMPTY_PLATE);
  });
});
