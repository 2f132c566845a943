import fc from "fast-check";
import { bookOf, read } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { Book } from "../book/file/book.js";
import type { RecordOf } from "../book/records/recordSchemas.js";
import { supersededIds } from "../book/slice/currentRecords.js";
import { readBookData } from "../book/file/readBook.js";
import { choicesOf, type Side } from "./mergePlan.js";
import { planMerge } from "./planMerge.js";
import { settleMerge } from "./settleMerge.js";

type Copy = "a" | "b";

const BASE = bookOf({ readings: [read("2026-01-01", 100, { id: "e0", seq: 1 })] });

const standing = (book: Book): RecordOf["readings"][] => {
  const replaced = supersededIds(book.readings ?? []);
  return (book.readings ?? []).filter(({ id }) => !replaced.has(id));
};

/** A book with one of the readings that stand corrected. */
function corrected(book: Book, which: number, id: string): Book {
  const open = standing(book);
  const old = open[which % open.length];
  if (old === undefined) return book;
  const { revision: _, ...rest } = old;
  const reading = {
    ...rest,
    id,
    seq: (book.readings ?? []).length + 1,
    replaces: old.id,
    value: 100,
  };
  return { ...book, readings: [...(book.readings ?? []), reading as RecordOf["readings"]] };
}

/** Hands one copy over to another, each conflict chosen as told. */
function handedOver(ours: Book, theirs: Book, copy: Copy, sides: readonly Side[]): Book {
  const keys = planMerge(ours, theirs).conflicts.flatMap(choicesOf);
  const choices = new Map(
    keys.map((key, at) => [key, sides[at % sides.length] ?? "ours"] as const),
  );
  const result = settleMerge(ours, theirs, choices, copy);
  if (!result.ok) throw new Error(JSON.stringify([result.issues, [...choices]]));
  const book = applyChange(ours, result.value);
  const read = readBookData(JSON.parse(JSON.stringify(book)));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return book;
}

const step = fc.oneof(
  fc.record({
    do: fc.constant("correct"),
    copy: fc.constantFrom<Copy>("a", "b"),
    which: fc.nat(3),
  }),
  fc.record({ do: fc.constant("export"), copy: fc.constantFrom<Copy>("a", "b") }),
  fc.record({
    do: fc.constant("take"),
    copy: fc.constantFrom<Copy>("a", "b"),
    sides: fc.array(fc.constantFrom<Side>("ours", "theirs"), { minLength: 1, maxLength: 3 }),
  }),
);

test("whatever was corrected where, every choice that a hand-over offers is possible, and after both have taken the other in nothing is left to choose", () => {
  fc.assert(
    fc.property(fc.array(step, { minLength: 2, maxLength: 14 }), (steps) => {
      const copies: Record<Copy, Book> = { a: BASE, b: BASE };
      // What was handed over last: the other copy may have gone on since.
      const files: Record<Copy, Book> = { a: BASE, b: BASE };
      for (const [at, one] of steps.entries()) {
        const { copy } = one;
        const other = copy === "a" ? "b" : "a";
        if ("which" in one) copies[copy] = corrected(copies[copy], one.which, `${copy}${at}`);
        else if ("sides" in one) {
          copies[copy] = handedOver(copies[copy], files[other], copy, one.sides);
        } else files[copy] = copies[copy];
      }
      const a = handedOver(copies.a, copies.b, "a", ["ours"]);
      const b = handedOver(copies.b, a, "b", ["theirs"]);
      expect(standing(b).map(({ id }) => id)).toEqual(standing(a).map(({ id }) => id));
      expect(planMerge(a, b).conflicts).toEqual([]);
    }),
    { numRuns: Number(process.env["RUNS"] ?? 1000) },
  );
});
