import fc from "fast-check";
import { bookOf, read } from "../../../test/books.js";
import type { Book } from "../file/book.js";
import { applyChange, reversed, squashed, type Change, type RecordChange } from "./change.js";
import type { Reading } from "../records/reading.js";

const IDS = ["a", "b", "c", "d"];

/** Changes that follow from one another: each step puts, replaces or removes one reading of the book as it then stands. */
function changesFrom(book: Book, steps: readonly (readonly [number, number])[]): Change[] {
  let current = book;
  return steps.map(([which, value]) => {
    const id = IDS[which] as string;
    const before = (current.readings ?? []).find((reading) => reading.id === id) ?? null;
    const after = value === 0 ? null : (read("2026-01-01", value, { id }) as Reading);
    const change = {
      command: "test",
      records: [{ section: "readings", id, before, after } as RecordChange],
    };
    current = applyChange(current, change);
    return change;
  });
}

const steps = fc.array(fc.tuple(fc.nat({ max: 3 }), fc.nat({ max: 3 })), { maxLength: 12 });
const sorted = (book: Book): unknown =>
  [...(book.readings ?? [])].sort((one, other) => (one.id < other.id ? -1 : 1));

test("a change and then its reverse leave the book as it was", () => {
  fc.assert(
    fc.property(steps, (list) => {
      const book = bookOf({ readings: [read("2026-01-01", 9, { id: "a" })] });
      const changes = changesFrom(book, list);
      const there = changes.reduce(applyChange, book);
      const back = [...changes].reverse().map(reversed).reduce(applyChange, there);
      expect(sorted(back)).toEqual(sorted(book));
    }),
  );
});

test("changes squashed into one do the same as one after the other", () => {
  fc.assert(
    fc.property(steps, (list) => {
      const book = bookOf({ readings: [read("2026-01-01", 9, { id: "a" })] });
      const changes = changesFrom(book, list);
      expect(sorted(applyChange(book, squashed(changes, "all")))).toEqual(
        sorted(changes.reduce(applyChange, book)),
      );
    }),
  );
});
