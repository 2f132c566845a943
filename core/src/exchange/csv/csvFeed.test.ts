import { bookOf, done, read } from "../../../test/books.js";
import { applyChange, type Change } from "../../book/change/change.js";
import type { Book } from "../../book/file/book.js";
import type { Reading } from "../../book/records/reading.js";
import { readBookData } from "../../book/file/readBook.js";
import { dayOf } from "../../calendar/dayNumber.js";
import { csvChange, type CsvItem, type CsvPlan } from "./csvPlan.js";
import { guessCsv } from "./csvGuess.js";
import { readCsv } from "./readCsv.js";
import { writeCsv } from "./csvWrite.js";

const TODAY = dayOf("2026-06-15");
const HEAD = ["machine", "meter", "date", "value", "unit", "source"];

let count = 0;
const newId = (): string => `n${(count += 1)}`;

const line = (date: string, value: number, more: { unit?: string; source?: string } = {}) => [
  ...["V1", "odo", date, String(value)],
  ...[more.unit ?? "km", more.source ?? "feed"],
];

function planFor(book: Book, lines: string[][]): CsvPlan {
  const rows = [HEAD, ...lines];
  const guess = guessCsv(rows, { dates: "dmy", decimal: "." }, "readings");
  const { columns } = guess;
  const format = { dates: guess.dates.value, decimal: guess.decimal.value, distance: null };
  const steps = readCsv(
    book,
    { rows, broken: [] },
    { kind: "readings", columns, format },
    {
      today: TODAY,
      newId,
    },
  );
  for (;;) {
    const step = steps.next();
    if (step.done === true) return step.value;
  }
}

const codes = ({ items }: CsvPlan): string[][] =>
  items.map(({ doubts }) => doubts.map(({ code }) => code));

const isSure = ({ doubts }: CsvItem): boolean => doubts.length === 0;

function changeOf(plan: CsvPlan, isTaken = isSure): Change {
  let seq = 100;
  return csvChange(plan, isTaken, { newId, nextSeq: () => (seq += 1) });
}

const BOOK = bookOf({
  readings: [read("2026-06-01", 1000, { seq: 1 }), read("2026-06-08", 1070, { seq: 2 })],
  entries: [done("e", "2026-06-10", [], { meters: { odo: 1090 } })],
});

test("figures of a feed say so, and are new where the book has none", () => {
  const plan = planFor(BOOK, [line("2026-06-02", 1010), line("2026-06-12", 1110)]);
  expect(codes(plan)).toEqual([[], []]);
  const after = applyChange(BOOK, changeOf(plan));
  const fed = (after.readings ?? []).filter(({ source }) => source === "feed");
  expect(fed.map(({ date, value }) => [date, value])).toEqual([
    ["2026-06-02", 1010],
    ["2026-06-12", 1110],
  ]);
  expect(readBookData(JSON.parse(JSON.stringify(after)))).toMatchObject({ ok: true });
});

test("on a day somebody read the dial, in a reading or at work, another figure is asked about, the same one is not", () => {
  const plan = planFor(BOOK, [
    line("2026-06-08", 1072),
    line("2026-06-10", 1091),
    line("2026-06-08", 1070),
    line("2026-06-10", 1090),
    line("2026-06-08", 1073, { source: "dial" }),
  ]);
  expect(codes(plan)).toEqual([["read-by-hand"], ["read-by-hand"], [], [], []]);
  expect(plan.items.map(({ state }) => state)).toEqual(["new", "new", "same", "new", "new"]);
});

test("an estimate that was only accepted is no reading by hand", () => {
  const estimated = done("e2", "2026-06-11", [], {
    meters: { odo: 1099 },
    estimatedMeters: ["odo"],
  });
  const book = { ...BOOK, entries: [...(BOOK.entries ?? []), estimated] } as Book;
  expect(codes(planFor(book, [line("2026-06-11", 1101)]))).toEqual([[]]);
});

test("a jump, a unit that cannot be and a day told twice are in doubt or refused; the rest is taken in", () => {
  const plan = planFor(BOOK, [
    line("2026-06-02", 1010),
    line("2026-06-03", 9_001_020),
    line("2026-06-04", 1030),
    line("2026-06-04", 1030),
    line("2026-06-05", 1040, { unit: "h" }),
  ]);
  expect(plan.items.map(({ state }) => state)).toEqual(["new", "new", "new", "new", "refused"]);
  expect(codes(plan)).toEqual([[], ["figure-in-doubt"], [], ["repeated"], []]);
});

test("what is not taken is set aside as void, is not asked about again, and nothing read by hand is touched", () => {
  const lines = [line("2026-06-02", 1010), line("2026-06-08", 1072), line("2026-06-03", 9_001_020)];
  const after = applyChange(BOOK, changeOf(planFor(BOOK, lines)));
  const aside = (after.readings ?? []).filter((one) => one.void === true);
  expect(aside.map(({ date, value, note }) => [date, value, note])).toEqual([
    ["2026-06-08", 1072, "set aside when the feed was taken in"],
    ["2026-06-03", 9_001_020, "set aside when the feed was taken in"],
  ]);
  expect(after.readings?.slice(0, 2)).toEqual(BOOK.readings);
  expect(after.entries).toEqual(BOOK.entries);
  const again = planFor(after, lines);
  expect(again.items.map(({ state }) => state)).toEqual(["same", "same", "same"]);
  expect(changeOf(again).records).toEqual([]);
});

test("a figure that is taken all the same stands beside what was read by hand; a day told twice is not kept as void", () => {
  const lines = [line("2026-06-08", 1072), line("2026-06-04", 1030), line("2026-06-04", 1030)];
  const plan = planFor(BOOK, lines);
  const change = changeOf(plan, ({ doubts }) => !doubts.some(({ code }) => code === "repeated"));
  const added = change.records.map(({ after }) => after as Reading);
  expect(added.map(({ value, void: isVoid }) => [value, isVoid ?? false])).toEqual([
    [1072, false],
    [1030, false],
  ]);
});

test("readings written out and read back keep where they came from", () => {
  const after = applyChange(BOOK, changeOf(planFor(BOOK, [line("2026-06-02", 1010)])));
  const [head = [], ...rows] = writeCsv(after, "readings");
  expect(rows.map((row) => row[head.indexOf("Source")])).toEqual(["", "", "feed"]);
});
