import {
  bookFileText,
  describeIssue,
  hashOf,
  readBookData,
  type BookIssue,
} from "@yonderfell/core";
import fc from "fast-check";
import { strToU8, zipSync, type Zippable } from "fflate";
import { cameraPart, jpegBytes, pictureOf as pictureAt } from "../../test/pictures.js";
import { BOOK, TODAY } from "../../test/skarrowVale.js";
import { MemoryStorage } from "../../test/memoryStorage.js";
import { bookOfZip, isZip, zipOfBook, type UnpackedBook } from "./bookZip.js";
import { Exchange } from "./exchange.js";
import { plainJpegSize } from "./plainJpeg.js";
import type { Shrink } from "./takenPictures.js";

const NOW = "2026-11-23T09:00:00.000Z";
const BOOK_NAME = "book.yonderfell.json";
const pictureOf = (...content: number[]) => pictureAt(NOW, ...content);
const ignored = (): void => undefined;

const fileOf = (files: Zippable): Blob => new Blob([zipSync(files)]);

/** A zip file of a book of 900 kB that says it is of another size, in its own head and in the list at the end. */
function saying(size: number): Uint8Array<ArrayBuffer> {
  const zip = zipSync({ [BOOK_NAME]: new Uint8Array(900_000) });
  const view = new DataView(zip.buffer);
  const inList = zip.length - 22 - 46 - BOOK_NAME.length + 24;
  for (const at of [22, inList]) {
    expect(view.getUint32(at, true)).toBe(900_000);
    view.setUint32(at, size, true);
  }
  return zip;
}

/** The first thing wrong with a file. */
async function firstIssue(file: Blob): Promise<string> {
  const result = await bookOfZip(file, ignored);
  return result.ok ? "accepted" : (result.issues[0] ?? "");
}

async function unpacked(file: Blob): Promise<UnpackedBook> {
  const result = await bookOfZip(file, ignored);
  if (!result.ok) throw new Error(result.issues[0]);
  return result.value;
}

test("a book comes out of its zip file with its pictures as it went in, and how far it is, is told", async () => {
  const pictures = [pictureOf(1, 2, 3), pictureOf(4, 5)];
  const zip = zipOfBook("{}\n", pictures);
  expect(isZip(zip)).toBe(true);
  const told: number[] = [];
  const result = await bookOfZip(new Blob([zip]), (share) => told.push(share));
  if (!result.ok) throw new Error(result.issues[0]);
  const { book, pictures: found } = result.value;
  expect(new TextDecoder().decode(book)).toBe("{}\n");
  expect(found).toEqual(pictures.map(({ hash, type, bytes }) => ({ hash, type, bytes })));
  expect(told.at(-1)).toBe(1);
});

test.each<[string, Blob, RegExp]>([
  [
    "cut short",
    new Blob([zipOfBook("{}", [pictureOf(1, 2, 3)]).slice(0, 90)]),
    /expected a zip file that is whole/,
  ],
  [
    "without a book",
    fileOf({ "letter.txt": strToU8("hello") }),
    /expected book\.yonderfell\.json in the zip file/,
  ],
  [
    "with a picture that is not what its name says",
    fileOf({ [BOOK_NAME]: strToU8("{}"), [`pictures/${"a".repeat(64)}.jpg`]: new Uint8Array([1]) }),
    /^pictures\/a{64}\.jpg: expected a picture whose SHA-256 is its name$/,
  ],
  [
    "that unpacks to far more than its size",
    fileOf({ [BOOK_NAME]: new Uint8Array(20_000_000) }),
    /^book\.yonderfell\.json: expected to unpack to at most 200 times its size/,
  ],
  [
    "that unpacks to more than memory takes",
    new Blob([saying(200 * 1024 * 1024)]),
    /^book\.yonderfell\.json: expected at most 128 MB unpacked$/,
  ],
])("a zip file %s is refused with its place", async (_name, file, words) => {
  expect(await firstIssue(file)).toMatch(words);
});

test.each([1000, 1_000_000])(
  "a file that unpacks to another size than it says (%i) is refused as it comes",
  async (size) => {
    const issue = await firstIssue(new Blob([saying(size)]));
    expect(issue).toMatch(/^book\.yonderfell\.json: expected to be whole/);
  },
);

test("files that do not belong to a book are passed over", async () => {
  const file = fileOf({ [BOOK_NAME]: strToU8("{}"), "letter.txt": strToU8("x") });
  expect((await unpacked(file)).pictures).toEqual([]);
});

test("of a file with any one bit turned nothing is believed that was not written", async () => {
  const pictures = [pictureOf(1, 2, 3), pictureOf(4, 5)];
  const machine = { id: "m-van", tag: "1", name: "Van", kind: "van" };
  const meters = [{ id: "odo", measure: "distance", unit: "km" }];
  const readings = Array.from({ length: 40 }, (_, at) => {
    const date = `2026-0${1 + (at % 9)}-1${at % 10}`;
    return { id: `r-${at}`, machine: "m-van", meter: "odo", date, value: 1000 + at * 7 };
  });
  const small = readBookData({
    ...{ format: "yonderfell-book", version: 2, machines: [{ ...machine, meters }], readings },
  });
  if (!small.ok) throw new Error(describeIssue(small.issues[0] as BookIssue));
  const hashes = pictures.map(({ hash }) => hash);
  const text = bookFileText(small.value, "Vale", hashes);
  const whole = zipOfBook(text, pictures);
  let refused = 0;
  const files = new Exchange(() => new MemoryStorage());
  await fc.assert(
    fc.asyncProperty(fc.nat(whole.length - 1), fc.nat(7), async (at, bit) => {
      const broken = whole.slice();
      broken.set([(broken[at] ?? 0) ^ (1 << bit)], at);
      const looked = await files.look(new Blob([broken]), TODAY);
      if (!looked.ok) {
        refused += 1;
        return;
      }
      // Equal to what was written, or it is told what is missing.
      if (looked.value.changed.length > 0) return;
      const { book, pictures: found } = await unpacked(new Blob([broken]));
      expect(new TextDecoder().decode(book)).toBe(text);
      expect(found.map(({ hash }) => hash)).toEqual(hashes);
    }),
    { numRuns: 300, seed: 17 },
  );
  expect(refused).toBeGreaterThan(200);
});

describe("pictures that come in", () => {
  const shrunk = pictureOf(9, 9);
  const asked: Blob[] = [];
  const shrink: Shrink = (file) => {
    asked.push(file);
    if (file.size >= 60) return Promise.resolve(shrunk);
    return Promise.reject(new Error("this is not a picture that the browser can open"));
  };

  /** A book whose first machine has one picture, opened from its file. */
  async function opened(bytes: Uint8Array<ArrayBuffer>) {
    const given = { ...pictureOf(), bytes, hash: hashOf(bytes) };
    const [first, ...others] = BOOK.machines ?? [];
    if (first === undefined) throw new Error("it has machines");
    const book = { ...BOOK, machines: [{ ...first, pictures: [{ hash: given.hash }] }, ...others] };
    const storage = new MemoryStorage();
    const files = new Exchange(() => storage, shrink);
    asked.length = 0;
    const zip = zipOfBook(bookFileText(book, "Vale", [given.hash]), [given]);
    const looked = await files.look(new Blob([zip]), TODAY);
    if (!looked.ok) return { given, issue: looked.issues[0], kept: [], referred: null };
    await files.keep("new", ignored);
    const kept = await storage.picturesInUse();
    const referred = (await storage.machines())[0]?.pictures?.[0]?.hash;
    return { given, issue: null, kept, referred };
  }

  test("in this program's own form stay as they are, byte for byte", async () => {
    const { given, kept, referred } = await opened(jpegBytes([1, 2]));
    expect(asked).toEqual([]);
    expect(kept.map(({ bytes }) => bytes)).toEqual([given.bytes]);
    expect(referred).toBe(given.hash);
  });

  test.each([
    ["with the place they were taken at", jpegBytes([1, 2], cameraPart)],
    [
      "with more behind their end",
      new Uint8Array([...jpegBytes([1, 2]), ...strToU8("a".repeat(90))]),
    ],
    ["of another kind", new Uint8Array(200).fill(7)],
  ])("%s are written anew, and what refers to them follows", async (_name, bytes) => {
    const { kept, referred } = await opened(bytes);
    expect(asked).toHaveLength(1);
    expect(kept.map(({ hash }) => hash)).toEqual([shrunk.hash]);
    expect(referred).toBe(shrunk.hash);
  });

  test("that are none are refused with their place", async () => {
    const { issue } = await opened(strToU8("<svg onload='alert(1)'/>"));
    expect(issue).toMatch(/^pictures\/[0-9a-f]{64}: expected a picture \(this is not a picture/);
  });

  test("have the size that their frame says", () => {
    expect(plainJpegSize(jpegBytes([1]))).toEqual({ width: 8, height: 6 });
    expect(plainJpegSize(jpegBytes([1]).slice(0, -2))).toBeNull();
    expect(plainJpegSize(new Uint8Array())).toBeNull();
  });
});
