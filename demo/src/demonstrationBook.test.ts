import { dayOf, formatDay, readBookData, reckonBook, addDays } from "@yonderfell/core";
import { demonstrationBook } from "./index.js";

const TODAY = dayOf("2026-11-23");

test("the same day gives the same bytes", () => {
  expect(JSON.stringify(demonstrationBook(TODAY))).toBe(JSON.stringify(demonstrationBook(TODAY)));
});

test.each([0, 29, 97, 188, 265, 460])("the book of day + %i is valid and looks alive", (later) => {
  const today = addDays(TODAY, later);
  const book = readBookData(JSON.parse(JSON.stringify(demonstrationBook(today))));
  if (!book.ok) throw new Error(JSON.stringify(book.issues[0]));
  const statuses = new Set(
    reckonBook(book.value, today).flatMap((machine) => machine.tasks.map((task) => task.status)),
  );
  expect([...statuses]).toEqual(
    expect.arrayContaining(["overdue", "due", "soon", "clear", "unknown", "finished"]),
  );
});

test("every machine has nearly three years of records and none is dated after the day", () => {
  const book = demonstrationBook(TODAY);
  for (const machine of book.machines ?? []) {
    const dates = [...(book.readings ?? []), ...(book.entries ?? [])]
      .filter((record) => record.machine === machine.id)
      .map((record) => record.date)
      .sort();
    expect(dates[0]! < formatDay(addDays(TODAY, -1000))).toBe(true);
    expect(dates.at(-1)! <= formatDay(TODAY)).toBe(true);
  }
});

test("the mistyped reading of the hatchback is found as its one fault", () => {
  const hatchback = reckonBook(demonstrationBook(TODAY), TODAY).find(
    (reckoning) => reckoning.machine.tag === "H1",
  );
  expect(hatchback?.meters.map((meter) => meter.faults.length)).toEqual([1]);
});
