import fc from "fast-check";
import { applyChange } from "../../book/change/change.js";
import type { Book } from "../../book/file/book.js";
import { numbered } from "../../book/file/numbered.js";
import { readBookData } from "../../book/file/readBook.js";
import { dayOf } from "../../calendar/dayNumber.js";
import type { CsvKind } from "./csvColumns.js";
import { guessCsv } from "./csvGuess.js";
import { csvChange } from "./csvPlan.js";
import { writeCsv } from "./csvWrite.js";
import { readCsv } from "./readCsv.js";
import { bookOf, VAN } from "../../../test/books.js";

const TODAY = dayOf("2026-11-23");

/** Texts as they come: with what spreadsheets, separators and languages make of them. */
const TEXT = fc.oneof(
  fc.string({ maxLength: 12 }),
  fc.constantFrom(
    " ",
    "'",
    "=1+1",
    "a; b",
    "07",
    "yes",
    "null",
    '"',
    "a\nb",
    "2026-01-01",
    "__proto__",
  ),
);
const NAME = TEXT.filter((text) => text !== "");
const AMOUNT = fc.oneof(
  fc.integer({ min: 1, max: 9000 }),
  fc.double({ min: 0.001, max: 9000, noNaN: true }),
);
const DATE = fc.constantFrom("2026-01-03", "2024-02-29", "1999-12-31");
/** A field that may be absent, null or there. */
const maybe = <T>(value: fc.Arbitrary<T>): fc.Arbitrary<T | null | undefined> =>
  fc.option(fc.option(value, { nil: null }), { nil: undefined });
const FLAG = fc.constantFrom(undefined, true, false);

const LIMIT = fc.oneof(
  fc.record({
    meter: fc.constant("odo"),
    every: AMOUNT,
    grace: FLAG.map((one) => (one ? 5 : undefined)),
  }),
  fc.record({ meter: fc.constant("hrs"), at: fc.constant([1, 2.5, 1000]), hard: FLAG }),
  fc.record({ months: fc.integer({ min: 1, max: 99 }), hard: FLAG, from: maybe(DATE) }),
  fc.record({ days: fc.integer({ min: 1, max: 99 }), for: fc.array(NAME, { maxLength: 2 }) }),
  fc.record({ months: fc.constant(6), unheard: TEXT }),
);

const RECORDS: Readonly<Record<CsvKind, fc.Arbitrary<object>>> = {
  machines: fc.record({
    tag: TEXT,
    name: TEXT,
    kind: TEXT,
    description: maybe(TEXT),
    vin: maybe(TEXT),
    inService: maybe(DATE),
    history: fc.constantFrom(undefined, null, "known", "unknown"),
    note: maybe(TEXT),
    duty: maybe(fc.record({ dust: FLAG, note: TEXT })),
    meters: fc.constantFrom<unknown>(
      undefined,
      [],
      [{ id: "odo", measure: "distance", unit: "km", perDay: 4.5, name: "; x" }],
      [
        { id: "=a", measure: "hours", unit: "h", stoppedOn: null },
        { id: "odo", measure: "distance", unit: "mi", staleAfterDays: 0, odd: [1] },
      ],
    ),
  }),
  tasks: fc.record({
    machine: fc.constant("van"),
    name: TEXT,
    regimes: fc.dictionary(
      fc.constantFrom("handbook", "cautious", "hard; use", " ", "=x", ""),
      fc.array(LIMIT, { maxLength: 3 }),
    ),
    regime: maybe(NAME),
    anchor: fc.constantFrom(undefined, null, "done", "grid"),
    eachUse: fc.constantFrom(undefined, "before", "after"),
    note: maybe(TEXT),
    ladder: maybe(NAME),
    minutes: maybe(AMOUNT),
    outside: maybe(
      fc.record({ because: fc.constantFrom("licensed", "warranty"), tell: maybe(TEXT) }),
    ),
  }),
  readings: fc.record({
    machine: fc.constant("van"),
    meter: fc.constantFrom("odo", "hrs"),
    date: DATE,
    value: fc.oneof(AMOUNT, fc.constantFrom(0, -3, 1e-9)),
    estimated: FLAG,
    confirmed: FLAG,
    void: FLAG,
    note: maybe(TEXT),
    odd: maybe(TEXT),
  }),
  entries: fc.record({
    machine: fc.constant("van"),
    date: DATE,
    tasks: fc.constantFrom<unknown>(undefined, [], ["oil"], ["oil", "a; b"], ["oil", "oil"]),
    meters: fc.dictionary(fc.constantFrom("odo", "hrs"), fc.oneof(AMOUNT, fc.constant(-1))),
    estimatedMeters: fc.constantFrom<unknown>(undefined, [], ["odo"]),
    assumed: FLAG,
    note: maybe(TEXT),
    wanted: fc.constantFrom<unknown>(undefined, [], ["oil"]),
  }),
  parts: fc.record({
    name: NAME,
    number: NAME,
    kind: maybe(TEXT),
    equivalents: fc.constantFrom<unknown>(undefined, [], ["a"], ["a; b", "=c"]),
    pack: maybe(fc.integer({ min: 1, max: 50 })),
    prices: fc.array(fc.record({ source: NAME, price: AMOUNT, on: maybe(DATE) }), { maxLength: 3 }),
    note: maybe(TEXT),
  }),
};

const METERS = [...VAN.meters, { id: "hrs", measure: "hours", unit: "h" }];
const task = (id: string, name: string): object => ({
  ...{ id, machine: "van", name },
  regimes: { handbook: [{ months: 1 }] },
});

/** A book as a store holds it, with records of one kind; null where the book's own rules refuse them. */
function bookWith(kind: CsvKind, records: readonly object[]): Book | null {
  const named = records.map((record, index) => ({ id: `${kind}-${index}`, ...record }));
  const base = bookOf({ machines: [{ ...VAN, meters: METERS }] });
  const tasks = [task("oil", "Oil"), task("a; b", "semi; colon")];
  const own = kind === "machines" ? [...(base.machines ?? []), ...named] : named;
  const book = { ...base, tasks, [kind]: kind === "tasks" ? [...tasks, ...named] : own };
  const plain = JSON.parse(JSON.stringify(book)) as unknown;
  const read = readBookData(plain);
  if (!read.ok) return null;
  const { sections, head } = numbered(read.value);
  return { ...head, ...sections };
}

const withoutNulls = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_key, one: unknown) => (one === null ? undefined : one)));

describe.each(Object.keys(RECORDS) as CsvKind[])("%s of any kind", (kind) => {
  const some = fc.array(RECORDS[kind], { minLength: 1, maxLength: 4 });

  test("go out and in again: onto themselves without a change, into a book without them as they were", () => {
    let looked = 0;
    fc.assert(
      fc.property(some, (records) => {
        const book = bookWith(kind, records);
        if (book === null) return;
        looked += 1;
        const rows = writeCsv(book, kind);
        const { columns } = guessCsv(rows, { dates: "ymd", decimal: "." }, kind);
        const format = { dates: "ymd", decimal: ".", distance: null } as const;
        const plan = (onto: Book): ReturnType<typeof csvChange> => {
          let id = 0;
          const newId = (): string => `new-${(id += 1)}`;
          const context = { today: TODAY, newId };
          const steps = readCsv(onto, { rows, broken: [] }, { kind, columns, format }, context);
          let step = steps.next();
          while (step.done !== true) step = steps.next();
          expect(step.value.items.flatMap(({ issues }) => issues)).toEqual([]);
          return csvChange(step.value, () => true, { newId, nextSeq: () => 99 });
        };
        expect(plan(book).records).toEqual([]);
        const kept = (book[kind] ?? []).filter(({ id }) => !id.startsWith(`${kind}-`));
        const without = { ...book, [kind]: kept };
        const after = applyChange(without, plan(without));
        expect(withoutNulls(after[kind])).toEqual(withoutNulls(book[kind]));
      }),
      { numRuns: 150, seed: 6 },
    );
    expect(looked).toBeGreaterThan(60);
  });
});
