import { bookOf, done, read, task, VAN, type BookParts } from "../../test/books.js";
import { applyChange } from "../book/change/change.js";
import type { CommandContext } from "../book/change/command.js";
import type { MachineId, MeterId, TaskId } from "../book/records/ids.js";
import { machineBookOf } from "../book/slice/machineBook.js";
import type { MachineBook } from "../book/slice/slice.js";
import type { Machine } from "../book/records/machine.js";
import { dayOf } from "../calendar/dayNumber.js";
import { logWork, workDoubts, type LogWorkInput } from "../ledger/logWork.js";
import { parseReadingLine, type ReadingLine } from "./parseReadingLine.js";
import { readMeter } from "./readMeter.js";
import { meterReckoningOf, type FigureAnswer } from "./settleFigure.js";

const ODO = "odo" as MeterId;
const TODAY = dayOf("2026-03-01");

function vanBook(parts: BookParts): MachineBook {
  const book = machineBookOf(bookOf(parts), "van" as MachineId);
  if (book === null) throw new Error("the book has a van");
  return book;
}

function context(): CommandContext {
  let count = 100;
  return { today: TODAY, newId: () => `new-${(count += 1)}`, nextSeq: () => (count += 1) };
}

const READ = [read("2026-02-01", 1000, { seq: 1 }), read("2026-02-20", 1400, { seq: 2 })];

/** Reads the van's odometer; answers its dial afterwards, or the code of the first issue. */
function reading(
  parts: BookParts,
  value: number,
  answer: FigureAnswer | null,
  on = "2026-03-01",
): number | string {
  const book = vanBook(parts);
  const result = readMeter(book, { meter: ODO, day: dayOf(on), value, answer }, context());
  if (!result.ok) return result.issues[0]?.code ?? "no issue";
  const after = meterReckoningOf(applyChange(book, result.value), ODO, TODAY);
  expect(after?.faults).toEqual([]);
  return after?.dial ?? "no dial";
}

test("a figure that fits is read", () =>
  expect(reading({ readings: READ }, 1500, null)).toBe(1500));

test.each([
  ["below an earlier one", 1399, "2026-03-01"],
  ["above a later one", 1401, "2026-02-10"],
  ["more than the machine can run", 99000, "2026-03-01"],
  ["below another of the same day", 1399, "2026-02-20"],
])("a figure %s is asked about first", (_, value, on) => {
  expect(reading({ readings: READ }, value, null, on)).toBe("figure-in-doubt");
});

test("a replaced meter goes on from its new dial", () => {
  const answer = {
    code: "replaced",
    day: dayOf("2026-02-20"),
    oldFinal: 1410,
    newStart: 0,
    lost: 5,
  } as const;
  expect(reading({ readings: READ }, 80, answer)).toBe(80);
});

test("a rolled-over dial goes on from 0", () => {
  const readings = [read("2026-02-20", 99800)];
  expect(
    reading({ readings }, 120, { code: "rolled-over", day: dayOf("2026-02-20"), at: 100000 }),
  ).toBe(120);
});

test("a change that does not settle the doubt is refused, and so are two on one day", () => {
  const answer = { code: "replaced", day: TODAY, oldFinal: 1410, newStart: 0, lost: 0 } as const;
  expect(reading({ readings: READ }, 1300, answer)).toBe("still-in-doubt");
  const meterChanges = [
    { id: "c", machine: "van", meter: "odo", date: "2026-02-10", oldFinal: 1100, newStart: 1100 },
  ];
  const twice = { ...answer, day: dayOf("2026-02-10") };
  expect(reading({ readings: READ, meterChanges }, 300, twice)).toBe("changed-that-day");
});

test("a figure that is right as it is sets the contradicting ones aside and keeps them in the history", () => {
  const book = vanBook({ readings: READ });
  const result = readMeter(
    book,
    { meter: ODO, day: TODAY, value: 1300, answer: { code: "right" } },
    context(),
  );
  if (!result.ok) throw new Error("refused");
  const after = applyChange(book, result.value);
  expect(after.readings.map(({ value, void: isVoid }) => [value, isVoid === true])).toEqual([
    [1000, false],
    [1400, false],
    [1400, true],
    [1300, false],
  ]);
  expect(meterReckoningOf(after, ODO, TODAY)?.dial).toBe(1300);
});

test("a figure that is right sets aside what a round read, and the round keeps the rest", () => {
  const round = {
    ...{ id: "n", seq: 3, machine: "van", checklist: "week", date: "2026-02-25" },
    ...{ meters: { odo: 1450, hrs: 7 }, estimatedMeters: ["hrs"], results: [] },
  };
  const parts = { readings: READ, rounds: [round] };
  expect(reading(parts, 1420, null)).toBe("figure-in-doubt");
  expect(reading(parts, 1420, { code: "right" })).toBe(1420);
  const book = vanBook(parts);
  const asked = { meter: ODO, day: TODAY, value: 1420, answer: { code: "right" } } as const;
  const result = readMeter(book, asked, context());
  const after = applyChange(book, result.ok ? result.value : { command: "", records: [] });
  expect(after.rounds.at(-1)).toMatchObject({
    ...{ replaces: "n", meters: { hrs: 7 }, estimatedMeters: ["hrs"], checklist: "week" },
  });
});

test("a steep rise that is right is confirmed", () =>
  expect(reading({ readings: READ }, 99000, { code: "right" })).toBe(99000));

test("a reading wins over figures that were only reckoned, without a question", () => {
  const entries = [
    done("e", "2026-02-25", [], { meters: { odo: 1600 }, estimatedMeters: ["odo"] }),
  ];
  expect(reading({ readings: READ, entries }, 1450, null)).toBe(1450);
});

test.each([
  [Number.NaN, "figure-not-a-number"],
  [-1, "figure-not-a-number"],
])("a figure of %d is refused", (value, code) =>
  expect(reading({ readings: READ }, value, null)).toBe(code),
);

test("a day to come is refused", () =>
  expect(reading({ readings: READ }, 1500, null, "2026-03-02")).toBe("day-in-future"));

const WORK: LogWorkInput = {
  day: TODAY,
  tasks: ["oil" as TaskId],
  figures: [],
  note: "",
};
const WITH_OIL = { readings: READ, tasks: [task("oil", [{ months: 12 }])] };

test("logged work is one entry with its figures, the untouched ones marked estimated", () => {
  const figures = [{ meter: ODO, value: 1450, estimated: true, answer: null }];
  const result = logWork(vanBook(WITH_OIL), { ...WORK, figures, note: " clean " }, context());
  if (!result.ok) throw new Error("refused");
  expect(result.value.records.map(({ section, after }) => [section, after])).toEqual([
    [
      "entries",
      expect.objectContaining({
        machine: "van",
        date: "2026-03-01",
        meters: { odo: 1450 },
        estimatedMeters: ["odo"],
        tasks: ["oil"],
        note: "clean",
      }),
    ],
  ]);
});

test.each<[string, Partial<LogWorkInput>]>([
  ["nothing-done", { tasks: [] }],
  ["task-not-found", { tasks: ["x" as TaskId] }],
  ["day-in-future", { day: dayOf("2026-03-02") }],
  [
    "meter-not-found",
    { figures: [{ meter: "x" as MeterId, value: 1, estimated: false, answer: null }] },
  ],
  [
    "figure-not-a-number",
    { figures: [{ meter: ODO, value: Number.NaN, estimated: false, answer: null }] },
  ],
  ["figure-in-doubt", { figures: [{ meter: ODO, value: 3, estimated: false, answer: null }] }],
])("work is refused: %s", (code, part) => {
  const result = logWork(vanBook(WITH_OIL), { ...WORK, ...part }, context());
  const [issue] = result.ok ? [] : result.issues;
  expect(issue?.code === "figure-refused" ? issue.issue.code : issue?.code).toBe(code);
});

test("work with a figure of a new dial records the replaced meter with it", () => {
  const answer = {
    code: "replaced",
    day: dayOf("2026-02-20"),
    oldFinal: 1410,
    newStart: 0,
    lost: 0,
  } as const;
  const figures = [{ meter: ODO, value: 60, estimated: false, answer }];
  const result = logWork(vanBook(WITH_OIL), { ...WORK, figures }, context());
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  expect(result.value.records.map((record) => record.section)).toEqual(["meterChanges", "entries"]);
  const after = applyChange(vanBook(WITH_OIL), result.value);
  expect(meterReckoningOf(after, ODO, TODAY)).toMatchObject({ dial: 60, faults: [] });
});

test("figures of work that do not agree are named by meter", () => {
  const figures = [{ meter: ODO, value: 3, estimated: false, answer: null }];
  expect([...workDoubts(vanBook(WITH_OIL), { ...WORK, figures }, TODAY).keys()]).toEqual([ODO]);
  const reckoned = [{ meter: ODO, value: 3, estimated: true, answer: null }];
  expect(workDoubts(vanBook(WITH_OIL), { ...WORK, figures: reckoned }, TODAY).size).toBe(0);
});

const MACHINES = [
  VAN,
  {
    ...VAN,
    id: "b",
    tag: "07",
    meters: [...VAN.meters, { id: "hrs", measure: "hours", unit: "h" }],
  },
  { ...VAN, id: "c", tag: "0" },
  { ...VAN, id: "d", tag: "N", meters: [] },
  { ...VAN, id: "e", tag: "T" },
  { ...VAN, id: "f", tag: "t" },
] as unknown as Machine[];

function lineSaid({ machine, figure, topUp }: ReadingLine): string {
  const read = figure === null ? "" : ` ${figure.meter.id} ${figure.value}`;
  const added = topUp === null ? "" : ` +${topUp.value} ${topUp.unit}`;
  return `${machine.id}${read}${added}`;
}

test.each([
  ["07 41350", "b odo 41350"],
  ["07 41 350", "b odo 41350"],
  ["07 41,350 km", "b odo 41350"],
  ["07 12.5h", "b hrs 12.5"],
  ["0 7", "c odo 7"],
  ["v1 3", "van odo 3"],
  ["", "empty"],
  ["99 3", "tag-unknown"],
  ["07", "figure-missing"],
  ["07 abc", "figure-unreadable"],
  ["07 5 mi", "unit-unknown"],
  ["N 5", "machine-has-no-meter"],
  ["T 5", "tag-ambiguous"],
  ["07 41350 +0.4", "b odo 41350 +0.4 L"],
  ["07 +0.5 us qt", "b +0.5 us-qt"],
  ["07 12.5h+.25", "b hrs 12.5 +0.25 L"],
  ["N +1 kg", "d +1 kg"],
  ["07 +", "top-up-missing"],
  ["07 41350 +", "top-up-missing"],
  ["07 +0", "top-up-not-positive"],
  ["07 +-1", "top-up-not-positive"],
  ["07 +1 qt", "top-up-unreadable"],
  ["07 abc +1", "figure-unreadable"],
])("the line %j is understood as %s", (line, expected) => {
  const result = parseReadingLine(line, MACHINES, { decimal: ".", gallons: null });
  expect(result.ok ? lineSaid(result.value) : result.issues[0]?.code).toBe(expected);
});
