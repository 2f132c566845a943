import { bookOf, done, read, task, VAN, type BookParts } from "../../../test/books.js";
import { workedCases } from "../../../test/vectors.js";
import { formatPath } from "./issue.js";
import type { Book } from "./book.js";
import { readBook, readBookData } from "./readBook.js";

const OIL = task("oil", [{ meter: "odo", every: 10000 }, { months: 12 }]);

/** The first issue of a book, as `path: expected`. */
function firstIssue(data: unknown): string {
  const result = readBookData(JSON.parse(JSON.stringify(data)));
  const [issue] = result.ok ? [] : result.issues;
  return issue === undefined ? "accepted" : `${formatPath(issue.path)}: ${issue.expected}`;
}

const withLimit = (limit: unknown): BookParts => ({ tasks: [task("oil", [limit])] });
const change = (id: string, date: string, more: object = {}): object => ({
  ...{ id, machine: "van", meter: "odo", date, oldFinal: 10, newStart: 0 },
  ...more,
});

test.each<[string, BookParts, RegExp]>([
  [
    "a reading of no machine",
    { readings: [read("2026-01-01", 1, { machine: "x" })] },
    /^readings\[0\]\.machine: the id of a machine/,
  ],
  [
    "a reading of no meter",
    { readings: [read("2026-01-01", 1, { meter: "x" })] },
    /^readings\[0\]\.meter: a meter of machine "van"/,
  ],
  [
    "a limit on no meter",
    withLimit({ meter: "x", every: 1 }),
    /^tasks\[0\]\.regimes\.handbook\[0\]\.meter/,
  ],
  ["work on no task", { entries: [done("e", "2026-01-01", ["x"])] }, /^entries\[0\]\.tasks\[0\]/],
  [
    "work with no such meter",
    { entries: [done("e", "2026-01-01", [], { meters: { x: 1 } })] },
    /^entries\[0\]\.meters\.x/,
  ],
  [
    "an estimate of no meter",
    { entries: [done("e", "2026-01-01", [], { estimatedMeters: ["x"] })] },
    /^entries\[0\]\.estimatedMeters\[0\]/,
  ],
  [
    "two records of one id",
    { readings: [read("2026-01-01", 1, { id: "r" }), read("2026-01-02", 2, { id: "r" })] },
    /^readings\[1\]\.id: an id of its own/,
  ],
  [
    "two meters of one id",
    { machines: [{ ...VAN, meters: [...VAN.meters, ...VAN.meters] }] },
    /^machines\[0\]\.meters\[1\]\.id/,
  ],
  [
    "a day that is none",
    { readings: [read("2026-02-30", 1)] },
    /^readings\[0\]\.date: a date of the calendar/,
  ],
  [
    "a figure that is text",
    { readings: [read("2026-01-01", 1, { value: "41" })] },
    /^readings\[0\]\.value: a finite number/,
  ],
  [
    "a figure that is null",
    { readings: [read("2026-01-01", 1, { value: Number.NaN })] },
    /^readings\[0\]\.value: a finite number/,
  ],
  ["an interval of zero", withLimit({ meter: "odo", every: 0 }), /every: a number above 0/],
  ["a negative interval", withLimit({ meter: "odo", every: -5 }), /every: a number above 0/],
  ["months of zero", withLimit({ months: 0 }), /months: a whole number above 0/],
  ["months with a fraction", withLimit({ months: 1.5 }), /months: a whole number above 0/],
  ["negative days", withLimit({ days: -1 }), /days: a whole number above 0/],
  [
    "milestones that do not rise",
    withLimit({ meter: "odo", at: [100, 100] }),
    /at: milestones above 0, each above the one before/,
  ],
  [
    "a meter limit with nothing to count to",
    withLimit({ meter: "odo" }),
    /a meter limit with every or at/,
  ],
  ["a limit of neither kind", withLimit({}), /a limit with a meter, with months, or with days/],
  [
    "a limit of both kinds",
    withLimit({ meter: "odo", every: 1, months: 1 }),
    /by meter or by calendar/,
  ],
  ["a task with no limits", { tasks: [task("t", [], { regimes: null })] }, /^tasks\[0\]\.regimes/],
  [
    "nth of itself",
    { tasks: [task("t", [], { nth: { of: "t", every: 2 } })] },
    /^tasks\[0\]\.nth\.of: another task/,
  ],
  [
    "nth of an nth",
    {
      tasks: [
        OIL,
        task("a", [], { nth: { of: "oil", every: 2 } }),
        task("b", [], { nth: { of: "a", every: 2 } }),
      ],
    },
    /^tasks\[2\]\.nth\.of: a task with limits of its own/,
  ],
  [
    "nth of nothing",
    { tasks: [task("t", [], { nth: { of: "x", every: 2 } })] },
    /^tasks\[0\]\.nth\.of: the id of a task/,
  ],
  [
    "every zeroth",
    { tasks: [OIL, task("t", [], { nth: { of: "oil", every: 0 } })] },
    /nth\.every: a whole number above 0/,
  ],
  [
    "nth and follows together",
    {
      tasks: [
        OIL,
        task("t", [], { nth: { of: "oil", every: 2 }, follows: { task: "oil", days: 1 } }),
      ],
    },
    /^tasks\[1\]\.follows: either nth or follows/,
  ],
  [
    "following itself",
    { tasks: [task("t", [], { follows: { task: "t", days: 1 } })] },
    /^tasks\[0\]\.follows\.task: another task/,
  ],
  [
    "following a follower",
    {
      tasks: [
        OIL,
        task("a", [], { follows: { task: "oil", days: 1 } }),
        task("b", [], { follows: { task: "a", days: 1 } }),
      ],
    },
    /^tasks\[2\]\.follows\.task: a task without follows/,
  ],
  [
    "following by nothing",
    { tasks: [OIL, task("a", [], { follows: { task: "oil" } })] },
    /^tasks\[1\]\.follows: a meter with an amount, or days/,
  ],
  ...(
    [
      ["following by a meter without an amount", { meter: "odo" }],
      ["following by an amount of no meter", { amount: 500 }],
      ["following by days and a meter without an amount", { days: 30, meter: "odo" }],
      ["following by days and an amount", { days: 30, meter: "odo", amount: 500 }],
    ] as const
  ).map(([name, by]): [string, BookParts, RegExp] => [
    name,
    { tasks: [OIL, task("a", [], { follows: { task: "oil", ...by } })] },
    /^tasks\[1\]\.follows: a meter with an amount, or days/,
  ]),
  [
    "following by an amount of zero",
    { tasks: [OIL, task("a", [], { follows: { task: "oil", meter: "odo", amount: 0 } })] },
    /follows\.amount: a number above 0/,
  ],
  [
    "seq on some records only",
    { readings: [read("2026-01-01", 1, { seq: 1 }), read("2026-01-02", 2)] },
    /^readings\[1\]\.seq: a whole number/,
  ],
  [
    "a seq with a fraction",
    { readings: [read("2026-01-01", 1, { seq: 1.5 })] },
    /^readings\[0\]\.seq: a whole number/,
  ],
  [
    "replacing a record of another section",
    {
      readings: [read("2026-01-01", 1, { replaces: "e" })],
      entries: [done("e", "2026-01-01", [])],
    },
    /^readings\[0\]\.replaces: the id of another of the readings/,
  ],
  [
    "replacing what is replaced",
    {
      readings: [
        read("2026-01-01", 1, { id: "a" }),
        read("2026-01-01", 2, { id: "b", replaces: "a" }),
        read("2026-01-01", 3, { id: "c", replaces: "a" }),
      ],
    },
    /^readings\[2\]\.replaces: a record not yet replaced/,
  ],
  [
    "replacements in a ring",
    {
      readings: [
        read("2026-01-01", 1, { id: "a", replaces: "b" }),
        read("2026-01-01", 2, { id: "b", replaces: "a" }),
      ],
    },
    /^readings\[0\]\.replaces: .* ring/,
  ],
  [
    "a record that replaces itself",
    { readings: [read("2026-01-01", 1, { id: "a", replaces: "a" })] },
    /^readings\[0\]\.replaces: .* ring/,
  ],
  [
    "two changes of a meter on one date",
    { meterChanges: [change("a", "2026-01-01"), change("b", "2026-01-01")] },
    /^meterChanges\[1\]\.date: one change of a meter/,
  ],
  [
    "hours counted in km",
    { machines: [{ ...VAN, meters: [{ id: "h", measure: "hours", unit: "km" }] }] },
    /^machines\[0\]\.meters\[0\]\.unit: h for hours/,
  ],
  [
    "a limit under a regime called __proto__",
    {
      tasks: [
        JSON.parse(
          '{"id":"t","machine":"van","name":"t","regimes":{"__proto__":[{"days":0}]}}',
        ) as object,
      ],
    },
    /^tasks\[0\]\.regimes\.__proto__\[0\]\.days/,
  ],
])("refused: %s", (_, parts, expected) => {
  expect(firstIssue(bookOf(parts))).toMatch(expected);
});

test("a corrected meter change on the same date is accepted", () => {
  const meterChanges = [change("a", "2026-01-01"), change("b", "2026-01-01", { replaces: "a" })];
  expect(firstIssue(bookOf({ meterChanges }))).toBe("accepted");
});

test.each([
  ["", /the file is empty/],
  ["{", /a book as JSON/],
  ["[]", /an object with format and version/],
  ['{"format":"other"}', /"yonderfell-book"/],
  [
    '{"format":"yonderfell-book","version":3}',
    /version 2 or older \(version 3 was written by a newer program/,
  ],
  ['{"format":"yonderfell-book","version":"1"}', /a whole number from 1/],
  ['{"format":"yonderfell-book","version":1,"machines":{}}', /a list of machines/],
  ['{"format":"yonderfell-book","version":1,"machines":[null]}', /a machine/],
  ['{"format":"yonderfell-book","version":1,"readings":[{"value":1e999}]}', /./],
])("the text %j is refused with what was expected", (text, expected) => {
  const result = readBook(text);
  expect(result.ok ? "accepted" : result.issues[0]?.expected).toMatch(expected);
});

test("book, file, book is the identity, unknown fields and odd ids included", () => {
  const odd =
    '{"format":"yonderfell-book","version":2,"shelf":[{"a":1}],"machines":[{"id":"__proto__","tag":"1","name":"n","kind":"k","colour":"red","meters":[{"id":"constructor","measure":"hours","unit":"h"}]}],"readings":[{"id":"toString","machine":"__proto__","meter":"constructor","date":"2026-01-01","value":1,"by":"me"}]}';
  for (const text of [odd, ...workedCases().map((worked) => worked.book)]) {
    const read = readBook(text);
    if (!read.ok) throw new Error(JSON.stringify(read.issues[0]));
    const stands = JSON.parse(text) as Book;
    expect(JSON.stringify(read.value)).toBe(JSON.stringify({ ...stands, version: 2 }));
  }
});
