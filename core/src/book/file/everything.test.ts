import fc from "fast-check";
import { SEED } from "../../../test/seeds.js";
import { randomBook } from "../../../test/randomBook.js";
import { SECTIONS } from "../records/sections.js";
import { describeIssue } from "./describe.js";
import { readBookData, readBookFile } from "./readBook.js";
import { bookFileText } from "./writeBook.js";

const RUNS = { numRuns: Number(process.env["RUNS"] ?? 20) };

test("everything a book can hold survives out and in again, whatever stands in its records", () => {
  fc.assert(
    fc.property(SEED, (seed) => {
      const drawn = randomBook(seed);
      const read = readBookData(JSON.parse(JSON.stringify(drawn)));
      if (!read.ok) throw new Error(read.issues.map(describeIssue).join("\n"));
      const book = read.value;
      for (const section of SECTIONS) expect(book[section]?.length).toBeGreaterThan(0);
      const bytes = new TextEncoder().encode(bookFileText(book, "Vale", []));
      const again = readBookFile(bytes, []);
      expect(again).toEqual({ ok: true, value: { book: { ...book, name: "Vale" }, changed: [] } });
    }),
    RUNS,
  );
});
