import { zipSync, strToU8 } from "fflate";
import type { StoredPicture } from "../data/picture.js";
import { BOOK } from "../../test/skarrowVale.js";
import { bookOfZip, isZip, zipOfBook } from "./bookZip.js";
import { bookOfFile, textOfBook } from "./exchange.js";
import { hashOf } from "../data/hashOf.js";

const NOW = "2026-11-23T09:00:00.000Z";

function pictureOf(...content: number[]): StoredPicture {
  const bytes = new Uint8Array(content);
  return { hash: hashOf(bytes), type: "image/jpeg", bytes, width: 0, height: 0, keptAt: NOW };
}

test("a book comes out of its zip file with its pictures as it went in", () => {
  const pictures = [pictureOf(1, 2, 3), pictureOf(4, 5)];
  const zip = zipOfBook("{}\n", pictures);
  expect(isZip(zip)).toBe(true);
  expect(bookOfZip(zip, NOW)).toEqual({ ok: true, value: { text: "{}\n", pictures } });
});

test("a file with pictures opens as a book", async () => {
  const picture = pictureOf(9);
  const zip = zipOfBook(textOfBook(BOOK, "Vale"), [picture]);
  const read = await bookOfFile(new Blob([zip]));
  if (!read.ok) throw new Error(read.issues[0]);
  expect(read.value.book.machines).toHaveLength(15);
  expect(read.value.pictures.map((one) => one.hash)).toEqual([picture.hash]);
});

test.each<[string, Uint8Array, RegExp]>([
  [
    "cut short",
    zipOfBook("{}", [pictureOf(1, 2, 3)]).slice(0, 90),
    /expected a zip file that is whole/,
  ],
  [
    "without a book",
    zipSync({ "letter.txt": strToU8("hello") }),
    /expected book\.yonderfell\.json in the zip file/,
  ],
  [
    "with a picture that is not what its name says",
    zipSync({
      "book.yonderfell.json": strToU8("{}"),
      [`pictures/${"a".repeat(64)}.jpg`]: new Uint8Array([1]),
    }),
    /^pictures\/a{64}\.jpg: expected a picture whose SHA-256 is its name$/,
  ],
])("a zip file %s is refused with its place", (_name, bytes, words) => {
  const result = bookOfZip(bytes, NOW);
  expect(result.ok ? "" : result.issues[0]).toMatch(words);
});

test("files that do not belong to a book are passed over", () => {
  const zip = zipSync({ "book.yonderfell.json": strToU8("{}"), "../../evil": strToU8("x") });
  expect(bookOfZip(zip, NOW)).toEqual({ ok: true, value: { text: "{}", pictures: [] } });
});
