import { applyChange } from "../src/book/change/change.js";
import type { Book } from "../src/book/file/book.js";
import { numbered } from "../src/book/file/numbered.js";
import { readBookData } from "../src/book/file/readBook.js";
import { dayOf } from "../src/calendar/dayNumber.js";
import { type CsvKind } from "../src/exchange/csv/csvColumns.js";
import { guessCsv } from "../src/exchange/csv/csvGuess.js";
import { describeCsvIssue } from "../src/exchange/csv/csvIssue.js";
import { csvChange, type CsvItem, type CsvPlan } from "../src/exchange/csv/csvPlan.js";
import { readCsv } from "../src/exchange/csv/readCsv.js";
import { bookOf, done, read, task, VAN, type BookParts } from "./books.js";

/** The day of all these. */
const TODAY = dayOf("2026-11-23");
/** How a person here writes. */
export const HABITS = { dates: "dmy", decimal: "." } as const;

/** A book as a store holds it: every dated record numbered. */
export function stored(parts: BookParts & Record<string, unknown>): Book {
  const { sections, head } = numbered(bookOf(parts));
  return { ...head, ...sections };
}

/** Ids and numbers that count up. */
export function counting(): { newId: () => string; nextSeq: () => number } {
  let id = 0;
  let seq = 1000;
  return { newId: () => `new-${(id += 1)}`, nextSeq: () => (seq += 1) };
}

/** What bringing rows into a book would do, with the columns and ways of writing as they are guessed. */
export function planOf(book: Book, rows: readonly (readonly string[])[], kind?: CsvKind): CsvPlan {
  const guess = guessCsv(rows, HABITS, kind);
  const format = {
    dates: guess.dates.value,
    decimal: guess.decimal.value,
    distance: guess.distance,
  };
  const reading = { kind: guess.kind, columns: guess.columns, format };
  const { newId } = counting();
  const steps = readCsv(book, { rows, broken: [] }, reading, { today: TODAY, newId });
  for (;;) {
    const step = steps.next();
    if (step.done === true) return step.value;
  }
}

/** Rows written with bars between their cells. */
export const table = (text: string): string[][] =>
  text
    .trim()
    .split("\n")
    .map((line) => line.trim().split("|"));

/** The same of rows written as text. */
export const plan = (book: Book, text: string, kind?: CsvKind): CsvPlan =>
  planOf(book, table(text), kind);

/** What is wrong with a table, in words. */
export const issues = ({ items, issues: whole }: CsvPlan): string[] =>
  [...whole, ...items.flatMap((item) => item.issues)].map(describeCsvIssue);
/** What each row is beside the book. */
export const states = ({ items }: CsvPlan): string[] => items.map(({ state }) => state);
/** What is doubtful, by row. */
export const doubts = ({ items }: CsvPlan): string[] =>
  items.flatMap((item) => item.doubts.map(({ code }) => `${item.rows.join("+")}: ${code}`));

/** A book with what was read brought in, which must be sound. */
export function brought(
  book: Book,
  found: CsvPlan,
  isTaken = (_item: CsvItem): boolean => true,
): Book {
  const after = applyChange(book, csvChange(found, isTaken, counting()));
  const checked = readBookData(JSON.parse(JSON.stringify(after)) as unknown);
  expect(checked.ok ? [] : checked.issues).toEqual([]);
  return after;
}

/** Machines with everything a table may hold. */
export const FLEET = stored({
  machines: [
    {
      ...VAN,
      meters: [...VAN.meters, { id: "hrs", name: "pump, hours", measure: "hours", unit: "h" }],
      place: "barn",
      pictures: [],
      reminders: [{ code: "A1", tasks: ["oil"] }],
    },
    { id: "trike", tag: "07", name: "-trike", kind: "", note: " two\nlines; one tab\t" },
  ] as never,
  places: [{ id: "barn", name: "Moor barn" }],
  tasks: [
    task("oil", [{ meter: "odo", at: [1000, 5000], every: 15000, grace: 500 }, { months: 12 }], {
      regimes: {
        handbook: [
          { meter: "odo", at: [1000, 5000], every: 15000, grace: 500 },
          { months: 12, hard: true },
        ],
        "hard; use": [{ days: 90, from: "2026-01-31", for: ["mineral", "part synthetic"] }],
        measured: [],
      },
      outside: { because: "warranty", tell: "=keep the old filter" },
      minutes: 40.5,
      ladder: "A",
    }),
    task("filter", [], { regimes: null, nth: { of: "oil", every: 3 } }),
    task("torque", [], { regimes: {}, follows: { task: "oil", meter: "odo", amount: 50 } }),
    task("look; listen", [{ months: 1, unheard: "of" }], { eachUse: "before", combine: "last" }),
  ],
  readings: [
    read("2026-01-03", 41200, { confirmed: true }),
    read("2026-02-03", 42200.5, { estimated: false, note: "'quoted" }),
    { ...read("2026-02-04", 42250), replaces: "r-2026-02-03-42200.5", void: false },
    { ...read("2026-02-05", 12.5), meter: "hrs" },
  ],
  entries: [
    done("e1", "2026-01-20", ["oil", "look; listen"], {
      meters: { odo: 41800, hrs: 3.25 },
      estimatedMeters: ["hrs"],
      note: "+1 litre; topped up",
    }),
    done("e2", "2026-01-21", [], { assumed: true, lookAgain: [{ task: "oil", days: 20 }] }),
    done("e3", "2026-01-22", ["oil"], { replaces: "e2", note: "", strange: { a: 1 } }),
  ],
  parts: [
    {
      id: "p1",
      name: "Filter",
      number: "=12-3",
      equivalents: ["@a", "b"],
      prices: [
        { source: "Skarrow Stores", price: 12.5, on: "2026-01-01" },
        { source: "Ferry Motors", price: 11 },
      ],
    },
    { id: "p2", name: "Filter", number: "=12-3", pack: 6, prices: [] },
  ],
});
