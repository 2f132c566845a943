import fc from "fast-check";
import { bookOf, done, read, task } from "../../../test/books.js";
import { workedCases } from "../../../test/vectors.js";
import { lookThrough } from "./bounds.js";
import { describeIssue } from "./describe.js";
import { digestedWords, digestsOf } from "./digests.js";
import type { Book } from "./book.js";
import { readBook, readBookFile } from "./readBook.js";
import { bookFileText } from "./writeBook.js";

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text);

/** The first thing wrong with the bytes of a file, in words. */
function firstIssue(bytes: Uint8Array): string {
  const result = readBookFile(bytes, []);
  const [issue] = result.ok ? [] : result.issues;
  return issue === undefined ? "accepted" : describeIssue(issue);
}

const BOOK = bookOf({
  tasks: [task("oil", [{ months: 12 }])],
  readings: [read("2026-01-01", 1000, { note: "Café by the mill" }), read("2026-02-01", 2000)],
  entries: [done("e", "2026-02-01", ["oil"])],
});
const TEXT = JSON.stringify(BOOK, null, 1);

/** The text of the book with one part of it replaced. */
function withText(from: string, to: string): Uint8Array {
  const [before, ...after] = TEXT.split(from);
  return bytesOf(`${before}${to}${after.join(from)}`);
}

/** A list in a list in a list. */
const nested = (levels: number): string => "[".repeat(levels) + "]".repeat(levels);

function latin1(text: string): Uint8Array {
  return Uint8Array.from(text, (sign) => sign.charCodeAt(0));
}

test.each<[string, Uint8Array, RegExp]>([
  [
    "text in another encoding",
    latin1(TEXT),
    /^\(the file\): expected text in UTF-8 \(it is in another encoding from line \d+, column 16 on/,
  ],
  ["half a character in an id", withText('"e"', '"e\\ud800"'), /^entries\[0\]\.id: .*half of one/],
  ["half a character in a key", withText('"kind"', '"\\udc00": 1, "kind"'), /half of one/],
  [
    "a key twice",
    withText('"value": 1000', '"value": 1000, "value": 2000'),
    /^readings\[0\]\.value: expected this key once \(it stands there again at line \d+, column \d+\)/,
  ],
  [
    "a key twice, written in another way",
    withText('"value": 1000', '"value": 1000, "v\\u0061lue": 2000'),
    /^readings\[0\]\.value: expected this key once/,
  ],
  [
    "lists past 64 levels in a field nobody knows",
    withText('"kind"', `"shelf": ${nested(62)}, "kind"`),
    /^machines\[0\]\.shelf(\[0\])+: expected at most 64 lists and objects in one another/,
  ],
  [
    "lists so deep that no reader follows",
    bytesOf(nested(200_000)),
    /nested too deeply|an object with format/,
  ],
  [
    "a text over 64 kB",
    withText("Café", "é".repeat(33_000)),
    /^readings\[0\]\.note: expected text of at most 64 kB/,
  ],
  [
    "a dial figure past a thousand million",
    withText('"value": 2000', '"value": 1e308'),
    /^readings\[1\]\.value: expected a number of at most 1 000 000 000/,
  ],
  [
    "a figure past all numbers",
    withText('"value": 2000', '"value": 1e999'),
    /^readings\[1\]\.value: .*finite/,
  ],
  ["an interval past them", withText('"months": 12', '"months": 12e12'), /^tasks\[0\].*at most 1/],
  [
    "a line that is no JSON",
    withText('"kind": ', '"kind" '),
    /expected a book as JSON \(it breaks at line \d+, column \d+\)/,
  ],
])("refused, with its place: %s", (_name, bytes, words) => {
  expect(firstIssue(bytes)).toMatch(words);
});

test("what is at the bounds is taken", () => {
  const parts = [
    withText('"value": 2000', '"value": 1e9'),
    withText("Café", "a".repeat(64 * 1024 - 20)),
    withText('"kind"', `"shelf": ${nested(61)}, "kind"`),
    bytesOf(`\uFEFF${TEXT}`),
  ];
  expect(parts.map(firstIssue)).toEqual(parts.map(() => "accepted"));
  expect(lookThrough(JSON.parse(nested(64))).issues).toEqual([]);
  expect(lookThrough(JSON.parse(nested(65))).issues).toHaveLength(1);
});

const books = workedCases().map(({ book }) => book);

/** Ways in which a file is broken: each takes its text and two places in it. */
const BREAKAGES: Readonly<Record<string, (text: string, at: number) => Uint8Array>> = {
  "cut short": (text, at) => bytesOf(text.slice(0, at)),
  "a byte that is no UTF-8": (text, at) => {
    const bytes = bytesOf(text);
    bytes.set([0xff], at % bytes.length);
    return bytes;
  },
  "half a character": (text) => bytesOf(text.replace(': "', ': "\\ud83d')),
  "keys doubled": (text) => bytesOf(text.replace("{", '{"x":0,"x":1,')),
  "too deep": (text) => bytesOf(text.replace("{", `{"x":${nested(70)},`)),
  "too long": (text) => bytesOf(text.replace("{", `{"x":"${"y".repeat(66_000)}",`)),
  "past all figures": (text) => bytesOf(text.replace("{", '{"x":-1e999,')),
};

test("500 files broken at random are refused, each with its place, none with an error", () => {
  const ways = fc.constantFrom(...Object.keys(BREAKAGES));
  const counted: Record<string, number> = {};
  fc.assert(
    fc.property(
      fc.nat(books.length - 1),
      ways,
      fc.double({ min: 0, max: 0.999, noNaN: true }),
      (which, way, share) => {
        const text = (books[which] ?? "").trim();
        counted[way] = (counted[way] ?? 0) + 1;
        const bytes = BREAKAGES[way]?.(text, Math.floor(share * text.length)) ?? bytesOf("");
        expect(firstIssue(bytes)).toMatch(/^(\(the file\)|[A-Za-z_[]).*: expected .+/);
      },
    ),
    { numRuns: 500, seed: 17 },
  );
  expect(Object.keys(counted).sort()).toEqual(Object.keys(BREAKAGES).sort());
});

describe("a file", () => {
  const file = bookFileText(BOOK, "Vale", []);
  const changedIn = (text: string, pictures: readonly string[] = []): string => {
    const result = readBookFile(bytesOf(text), pictures);
    if (!result.ok) throw new Error(result.issues.map(describeIssue).join("\n"));
    return digestedWords(result.value.changed);
  };

  test("says what it is, and gives back the book without that", () => {
    const whole = JSON.parse(file) as Book & { readonly about: { readonly what: string } };
    expect(Object.keys(whole).slice(0, 5)).toEqual([
      ...["format", "version", "about", "digests", "name"],
    ]);
    expect(whole.about.what).toContain("JSON (RFC 8259) in UTF-8");
    const result = readBookFile(bytesOf(file), []);
    expect(result).toEqual({ ok: true, value: { book: { ...BOOK, name: "Vale" }, changed: [] } });
  });

  test("that was changed says in which sections", () => {
    expect(changedIn(file)).toBe("");
    expect(changedIn(file.replace('"value": 2000', '"value": 7000'))).toBe("readings");
    expect(changedIn(file.replace('"name": "Vale"', '"name": "Dale"'))).toBe(
      "settings and the like",
    );
    const noEntries = JSON.stringify({ ...(JSON.parse(file) as object), entries: [] });
    expect(changedIn(noEntries)).toBe("entries");
    expect(changedIn(file, ["a".repeat(64)])).toBe("pictures");
    expect(changedIn(TEXT.replace("2000", "7000"))).toBe("");
  });

  test("says the same however it is laid out, and whichever copy counted its changes", () => {
    const turned = (value: unknown): unknown => {
      if (Array.isArray(value)) return value.map(turned);
      if (typeof value !== "object" || value === null) return value;
      return Object.fromEntries(
        Object.entries(value)
          .reverse()
          .map(([key, one]) => [key, turned(one)]),
      );
    };
    const book = turned(JSON.parse(file)) as Book;
    const readings = [...(book.readings ?? [])]
      .reverse()
      .map((one) => ({ ...one, revision: { a: 3 } }));
    expect(changedIn(JSON.stringify({ ...book, readings }))).toBe("");
  });

  test("has digests of its canonical content", () => {
    const book = readBook('{"format":"yonderfell-book","version":2,"shelf":{"10":1,"9":2}}');
    if (!book.ok) throw new Error("it is a book");
    // Of {"format":"yonderfell-book","shelf":{"10":1,"9":2},"version":2}, keys by their code units.
    expect(digestsOf(book.value, [])).toEqual({
      book: "142fdd52068d7c958e3f560d38a633cc20771b5d6f26fd33f001f09baa142848",
    });
  });
});
