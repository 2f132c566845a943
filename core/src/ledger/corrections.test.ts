import { bookOf, done, read, task, type BookParts } from "../../test/books.js";
import { applyChange, type Change } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type {
  EntryId,
  MachineId,
  MeterChangeId,
  MeterId,
  ReadingId,
  TaskId,
} from "../book/records/ids.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import { readBookData } from "../book/file/readBook.js";
import type { Result } from "../book/change/result.js";
import { dayOf } from "../calendar/dayNumber.js";
import { meterReckoningOf } from "../meter/settleFigure.js";
import { correctEntry, correctMeterChange, correctReading, withdrawRecord } from "./corrections.js";

const TODAY = dayOf("2026-03-01");
const ODO = "odo" as MeterId;

const PARTS: BookParts = {
  tasks: [task("oil", [{ months: 12 }]), task("belt", [{ months: 24 }])],
  readings: [
    read("2026-02-01", 1000, { id: "r1", seq: 1 }),
    read("2026-02-20", 4100, { id: "r2", seq: 2 }),
  ],
  meterChanges: [
    {
      id: "c1",
      seq: 3,
      machine: "van",
      meter: "odo",
      date: "2026-01-05",
      oldFinal: 900,
      newStart: 0,
    },
  ],
  entries: [
    done("e1", "2026-02-10", ["oil"], {
      seq: 4,
      meters: { odo: 1200 },
      note: "old",
      by: "kept",
    }),
  ],
};

function van(): MachineBook {
  const book = machineBookOf(bookOf(PARTS), "van" as MachineId);
  if (book === null) throw new Error("the book has a van");
  return book;
}

function context(): CommandContext {
  let count = 100;
  return { today: TODAY, newId: () => `new-${(count += 1)}`, nextSeq: () => (count += 1) };
}

/** The book after a change that must have been accepted, and is still sound. */
function after(result: Result<Change, unknown>): MachineBook {
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  const book = applyChange(van(), result.value);
  const whole = { ...bookOf({}), ...book };
  const sound = readBookData(JSON.parse(JSON.stringify(whole)));
  if (!sound.ok) throw new Error(JSON.stringify(sound.issues[0]));
  return book;
}

const code = (result: Result<Change, { readonly code: string }>): string =>
  result.ok ? "accepted" : (result.issues[0]?.code ?? "");

test("a corrected entry takes the place of the old one, which stays, with the fields it does not name", () => {
  const input = {
    day: dayOf("2026-02-11"),
    tasks: ["belt" as TaskId],
    figures: [{ meter: ODO, value: 1250, estimated: false, answer: null }],
    note: "",
  };
  const { entries } = after(correctEntry(van(), "e1" as EntryId, input, context()));
  expect(entries).toHaveLength(2);
  expect(entries[0]).toEqual(van().entries[0]);
  expect(entries[1]).toMatchObject({
    replaces: "e1",
    date: "2026-02-11",
    tasks: ["belt"],
    meters: { odo: 1250 },
    by: "kept",
  });
  expect(entries[1]).not.toHaveProperty("note");
});

test("a corrected reading is checked against the others without the one it replaces", () => {
  const input = { day: dayOf("2026-02-20"), value: 1400, figureIsRight: false };
  const book = after(correctReading(van(), "r2" as ReadingId, input, context()));
  expect(meterReckoningOf(book, ODO, TODAY)?.kept.map((point) => point.life)).toEqual([
    900, 1900, 2100, 2300,
  ]);
  expect(code(correctReading(van(), "r2" as ReadingId, { ...input, value: 1100 }, context()))).toBe(
    "figure-in-doubt",
  );
});

test("a reading that is right against the others sets them aside", () => {
  const input = { day: dayOf("2026-02-20"), value: 1100, figureIsRight: true };
  const book = after(correctReading(van(), "r2" as ReadingId, input, context()));
  expect(book.entries.at(-1)).toMatchObject({ replaces: "e1", meters: {}, tasks: ["oil"] });
  expect(meterReckoningOf(book, ODO, TODAY)?.dial).toBeGreaterThanOrEqual(1100);
});

test("a corrected meter change moves the life of all that came after", () => {
  const input = { day: dayOf("2026-01-06"), oldFinal: 950, newStart: 0, lost: 50 };
  const book = after(correctMeterChange(van(), "c1" as MeterChangeId, input, context()));
  expect(meterReckoningOf(book, ODO, TODAY)?.offset).toBe(1000);
});

test.each(["readings", "meterChanges", "entries"] as const)(
  "a withdrawn record of the %s counts no more and stays",
  (section) => {
    const id = { readings: "r2", meterChanges: "c1", entries: "e1" }[section];
    const book = after(withdrawRecord(van(), section, id, context()));
    expect(book[section].length).toBe(van()[section].length + 1);
    expect(book[section].at(-1)).toMatchObject({ replaces: id, void: true });
  },
);

test("what is corrected already or not there is refused", () => {
  const withdrawn = after(withdrawRecord(van(), "readings", "r2", context()));
  expect(code(withdrawRecord(withdrawn, "readings", "r2", context()))).toBe("already-corrected");
  expect(code(withdrawRecord(withdrawn, "readings", "new-101", context()))).toBe(
    "already-corrected",
  );
  expect(code(withdrawRecord(van(), "entries", "nothing", context()))).toBe("record-not-found");
  const change = { day: dayOf("2026-01-06"), oldFinal: -1, newStart: 0, lost: 0 };
  expect(code(correctMeterChange(van(), "c1" as MeterChangeId, change, context()))).toBe(
    "figure-not-a-number",
  );
  const future = { day: dayOf("2026-03-02"), value: 1, figureIsRight: true };
  expect(code(correctReading(van(), "r1" as ReadingId, future, context()))).toBe("day-in-future");
});
