import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Book } from "./book.js";
import { digestsOf } from "./digests.js";
import { checkedMigrations, migrateForward } from "./migrations.js";
import { readBookFile } from "./readBook.js";
import { bookFileText } from "./writeBook.js";

const KEPT = readFileSync(join(__dirname, "../../../test/vectors/version-1.yonderfell.json"));

test("a file of version 1 that was kept loses nothing on its way to the newest and through a file", () => {
  const read = readBookFile(KEPT, []);
  if (!read.ok) throw new Error(JSON.stringify(read.issues[0]));
  const { book, changed } = read.value;
  expect(changed).toEqual([]);
  const { about: _about, digests: _digests, ...held } = JSON.parse(KEPT.toString()) as Book;
  expect(book).toEqual({ ...held, version: 2 });
  const again = readBookFile(Buffer.from(bookFileText(book, book.name ?? "", [])), []);
  expect(again).toEqual({ ok: true, value: { book, changed: [] } });
});

test("a file of version 1 that already holds what is a section now opens, and its digests still agree", () => {
  const orders = [{ id: "o", source: "the chandler", placed: "2026-01-02", lines: [] }];
  const old = { ...(JSON.parse(KEPT.toString()) as Book), orders } as unknown as Book;
  // What version 1 did not know it counted among the rest.
  const text = JSON.stringify({ ...old, digests: digestsOf(old, []) });
  const read = readBookFile(Buffer.from(text), []);
  expect(read.ok && read.value.changed).toEqual([]);
  expect(read.ok && read.value.book.orders).toEqual(orders);
});

test("older versions are carried forward one step after the other", () => {
  const ladder = [
    { from: 1, name: "name the yard", migrate: (book: object) => ({ ...book, yard: "shed" }) },
    {
      from: 2,
      name: "rename the yard",
      migrate: ({ yard, ...rest }: { yard?: unknown }) => ({ ...rest, place: yard }),
    },
  ];
  expect(migrateForward({ version: 1 }, 1, ladder)).toEqual({ version: 3, place: "shed" });
  expect(migrateForward({ version: 2, yard: "barn" }, 2, ladder)).toEqual({
    version: 3,
    place: "barn",
  });
});

test.each([
  [[{ from: 2, name: "a", migrate: (book: object) => ({ ...book }) }], /expected 1/],
  [
    [1, 2].map((from) => ({ from, name: "a", migrate: (book: object) => ({ ...book }) })),
    /same name/,
  ],
])(
  "a ladder of migrations with a gap or a name twice is a mistake in the program",
  (ladder, words) => {
    expect(() => checkedMigrations(ladder)).toThrow(words);
  },
);
