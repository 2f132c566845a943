import type { Book } from "../book/file/book.js";
import { dayOf } from "../calendar/dayNumber.js";
import type { MachineId } from "../book/records/ids.js";
import { hashOf } from "../book/file/hashOf.js";
import type { RecordContent, RecordLine, ServiceRecord } from "./document.js";
import { gapsIn } from "./gaps.js";
import { makeRecord } from "./makeRecord.js";
import { issueRecord, recordText } from "./recordFile.js";
import { recordRows } from "./recordRows.js";
import { verifyRecord } from "./verifyRecord.js";

/** A hatchback with one of each kind of record, and a bus that is none of its business. */
function demonstrationLike({ entries = [] }: { readonly entries?: object[] } = {}): Book {
  const hatch = (id: string, date: string, rest: object): object => ({
    ...{ id, machine: "hatch", date, ...rest },
  });
  return {
    machines: [
      {
        ...{ id: "hatch", tag: "H1", name: "Hatchback", kind: "car", inService: "2015-01-01" },
        meters: [{ id: "odo", measure: "distance", unit: "km" }],
        stops: [
          {
            ...{ id: "s1", since: "2024-03-01", reason: "brake pipe" },
            released: { on: "2024-03-02", by: "Edda Thwaite", done: "pipe renewed" },
          },
        ],
      },
      { id: "bus", tag: "07", name: "Bus", kind: "bus" },
    ],
    tasks: [{ id: "oil", machine: "hatch", name: "Engine oil" }],
    fluids: [{ id: "sump", machine: "hatch", system: "engine", kind: "engine oil" }],
    people: [{ id: "et", name: "Edda Thwaite" }],
    parts: [{ id: "filter", number: "P 14-01", name: "Oil filter" }],
    products: [{ id: "tarn", name: "Tarn 5W-30", kind: "engine oil", claims: ["A5/B5"] }],
    checklists: [
      { id: "cl", name: "Wheels off", checks: [{ id: "k", name: "pad", how: "measure" }] },
    ],
    readings: [
      hatch("r1", "2024-01-01", { meter: "odo", value: 89500 }),
      hatch("r2", "2024-03-09", { meter: "odo", value: 500, estimated: true }),
    ],
    meterChanges: [hatch("m1", "2024-02-01", { meter: "odo", oldFinal: 91000, newStart: 0 })],
    rounds: [
      hatch("n1", "2024-03-05", {
        ...{ checklist: "cl", by: "et", finished: true },
        results: [
          { check: "k", point: "left", readings: [{ value: 4, unit: "mm" }], verdict: "watch" },
        ],
      }),
    ],
    findings: [
      { id: "fd", machine: "hatch", found: "2024-03-05", what: "weep", decision: "next visit" },
    ],
    samples: [hatch("sa", "2024-04-02", { fluid: "sump", label: "S 1" })],
    entries: [
      ...entries,
      hatch("wrong", "2024-01-10", { tasks: ["oil"] }),
      hatch("right", "2024-01-10", {
        ...{ replaces: "wrong", tasks: ["oil"], meters: { odo: 90000 } },
        fluids: [
          {
            fluid: "sump",
            product: "tarn",
            in: { value: 3.8, unit: "L" },
            onMark: true,
            price: 6.4,
          },
        ],
        parts: [{ part: "filter", count: 1, price: 14.6 }],
        work: [{ person: "et", minutes: 55, rate: 42 }],
        torques: [{ name: "sump plug", torque: { value: 30, unit: "N·m" }, by: "et" }],
        pictures: [{ hash: "a".repeat(64), caption: "the plug" }],
      }),
      hatch("seal", "2024-03-09", { closes: ["fd"], note: "new seal fitted", tasks: ["oil"] }),
      hatch("top", "2024-04-01", {
        ...{ isTopUp: true, fluids: [{ fluid: "sump", in: { value: 0.5, unit: "L" } }] },
      }),
      hatch("note", "2024-05-01", { note: "seen by the owner" }),
      hatch("gone", "2024-05-02", { note: "struck out", void: true }),
      { id: "b", machine: "bus", date: "2024-02-02", note: "bus" },
    ],
  } as unknown as Book;
}

const ISSUED = dayOf("2026-11-30");

function recordOf(from = "2020-01-01", to = "2026-11-30", more: object = {}): RecordContent {
  const made = makeRecord(demonstrationLike(more), {
    ...{ machine: "hatch" as MachineId, from: dayOf(from), to: dayOf(to) },
    ...{ issued: ISSUED, book: "Skarrow Vale" },
  });
  if (made === null) throw new Error("the book has the machine");
  return made;
}

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const TABLE = "Date,Kind\r\n";
const issued = (content = recordOf()): ServiceRecord => issueRecord(content, hashOf(bytes(TABLE)));
const linesOf = (content: RecordContent): string[] =>
  content.lines.map(({ date, kind }) => `${date} ${kind}`);

describe("what a record tells", () => {
  test("everything of the machine in order of date, and nothing of another", () => {
    expect(linesOf(recordOf())).toEqual([
      "2024-01-10 work",
      "2024-02-01 dial change",
      "2024-03-01 out of service",
      "2024-03-05 round",
      "2024-03-05 finding",
      "2024-03-09 work",
      "2024-04-01 top-up",
      "2024-04-02 sample",
      "2024-05-01 note",
    ]);
  });

  test("quantities, codes, numbers, names and lives stand in words; what it cost does not", () => {
    const [service] = recordOf().lines;
    expect(service).toEqual({
      ...{ date: "2024-01-10", kind: "work", tasks: ["Engine oil"], who: ["Edda Thwaite"] },
      dials: [{ meter: "odometer", unit: "km", dial: 90000, life: 90000 }],
      corrected: true,
      fluids: [
        {
          ...{ system: "engine", product: "Tarn 5W-30", claims: ["A5/B5"], onMark: true },
          in: { value: 3.8, unit: "L" },
        },
      ],
      parts: [{ number: "P 14-01", name: "Oil filter", count: 1 }],
      torques: [{ name: "sump plug", torque: { value: 30, unit: "N·m" }, by: "Edda Thwaite" }],
      pictures: [{ hash: "a".repeat(64), caption: "the plug" }],
    });
    expect(JSON.stringify(recordOf())).not.toMatch(/price|rate|amount"|14\.6/);
  });

  test("a life goes on over a dial that was replaced, and one that was not read is told as reckoned", () => {
    const after = recordOf().lines.find(({ date }) => date === "2024-03-09");
    expect(after?.dials).toEqual([
      { meter: "odometer", unit: "km", dial: 500, life: 91500, estimated: true },
    ]);
    const change = recordOf().lines.find(({ kind }) => kind === "dial change");
    expect(change).toMatchObject({ oldFinal: 91000, newStart: 0 });
  });

  test("a finding says how it ended; one that ended after the day of issue is open", () => {
    const of = (kind: RecordLine["kind"], content: RecordContent): object | undefined =>
      content.lines.find((line) => line.kind === kind);
    expect(of("finding", recordOf())).toMatchObject({
      ended: { on: "2024-03-09", how: "new seal fitted" },
    });
    const early = makeRecord(demonstrationLike(), {
      ...{ machine: "hatch" as MachineId, from: dayOf("2024-01-01"), to: dayOf("2024-03-08") },
      ...{ issued: dayOf("2024-03-08"), book: "x" },
    });
    expect(of("finding", early as RecordContent)).not.toHaveProperty("ended");
  });

  test("only the days asked for are told; a machine that is not there has no record", () => {
    expect(linesOf(recordOf("2024-03-05", "2024-03-09"))).toEqual([
      ...["2024-03-05 round", "2024-03-05 finding", "2024-03-09 work"],
    ]);
    const nobody = { ...{ machine: "none" as MachineId, from: ISSUED, to: ISSUED }, book: "x" };
    expect(makeRecord(demonstrationLike(), { ...nobody, issued: ISSUED })).toBeNull();
  });

  test("all there is begins with the day in service, or with an earlier record", () => {
    const all = (entries: object[]): string | undefined =>
      makeRecord(demonstrationLike({ entries }), {
        ...{ machine: "hatch" as MachineId, from: null, to: ISSUED, issued: ISSUED, book: "x" },
      })?.from;
    expect(all([])).toBe("2015-01-01");
    expect(all([{ id: "old", machine: "hatch", date: "2014-06-01", note: "built" }])).toBe(
      "2014-06-01",
    );
  });

  test("what is only assumed is marked, and fills no gap", () => {
    const assumed = { id: "old", machine: "hatch", date: "2022-06-01", tasks: ["oil"] };
    const content = recordOf("2020-01-01", "2024-06-01", {
      entries: [{ ...assumed, assumed: true }],
    });
    expect(content.lines[0]).toMatchObject({ date: "2022-06-01", assumed: true });
    expect(content.gaps[0]).toMatchObject({ from: "2020-01-01", why: "before-the-first" });
  });
});

test("gaps are stretches of over 365 days without a record: before the first, between, since the last", () => {
  const day = dayOf;
  const gaps = (days: string[], inService: string | null): string[] =>
    gapsIn(
      days.map(day),
      day("2020-01-01"),
      day("2026-01-01"),
      inService === null ? null : day(inService),
    ).map(({ from, to, days: long, why }) => `${from} ${to} ${long} ${why}`);
  expect(gaps(["2022-01-01", "2023-01-01", "2024-01-02"], "2021-06-01")).toEqual([
    "2023-01-01 2024-01-02 366 between",
    "2024-01-02 2026-01-01 730 since-the-last",
  ]);
  expect(gaps(["2022-01-01"], "2010-01-01")[0]).toBe("2020-01-01 2022-01-01 731 before-the-first");
  expect(gaps([], null)).toEqual([]);
  expect(gaps([], "2024-06-01")).toEqual(["2024-06-01 2026-01-01 579 before-the-first"]);
});

test("the table has a row each line, gap and reading, in order of date", () => {
  const content = recordOf();
  const [headings, ...rows] = recordRows(content);
  const { lines, gaps, readings } = content;
  expect(rows).toHaveLength(lines.length + gaps.length + readings.length);
  expect(rows.every((row) => row.length === headings?.length)).toBe(true);
  const dates = rows.map(([date]) => date);
  expect(dates).toEqual(dates.toSorted());
  const service = rows.find(([date, kind]) => date === "2024-01-10" && kind === "work");
  expect(service?.join("|")).toContain(
    "Engine oil|corrected|Edda Thwaite|engine: Tarn 5W-30 (A5/B5) in 3.8 L on the mark|1 × P 14-01 Oil filter",
  );
});

describe("whether it is as issued", () => {
  const changesOf = (text: string, beside: Parameters<typeof verifyRecord>[1] = null) =>
    verifyRecord(text, beside)?.changed ?? "no record";

  test("as it was issued nothing is changed, and the digest is the same whatever the order of its keys", () => {
    const record = issued();
    expect(verifyRecord(recordText(record), null)).toMatchObject({
      ...{ digest: record.digest, changed: [] },
    });
    const { digest, ...rest } = record;
    const turned = Object.fromEntries(Object.entries(rest).toReversed());
    expect(verifyRecord(recordText({ digest, ...turned }), null)?.digest).toBe(digest);
  });

  test.each<[string, (record: ServiceRecord) => object, object[]]>([
    [
      "a line",
      (one) => ({ lines: one.lines.with(2, { ...(one.lines[2] as RecordLine), note: "fine" }) }),
      [{ code: "line", at: 3, date: "2024-03-01" }],
    ],
    [
      "a line left out",
      (one) => ({ lines: one.lines.slice(1) }),
      [{ code: "lines", issued: 9, found: 8 }],
    ],
    ["the machine", (one) => ({ machine: { ...one.machine, tag: "H2" } }), [{ code: "machine" }]],
    ["the gaps", () => ({ gaps: [] }), [{ code: "gaps" }]],
    ["the readings", () => ({ readings: [] }), [{ code: "readings" }]],
    ["the day of issue", () => ({ issued: "2020-01-01" }), [{ code: "head" }]],
    ["something more", () => ({ praise: "one owner" }), [{ code: "head" }]],
  ])("%s that was changed is named", (_what, change, expected) => {
    const record = issued();
    expect(changesOf(recordText({ ...record, ...change(record) }))).toEqual(expected);
  });

  test("a line changed with its own digest is found all the same", () => {
    const record = issued();
    const lines = record.lines.slice(1);
    const digests = { ...record.digests, lines: record.digests.lines.slice(1) };
    expect(changesOf(recordText({ ...record, lines, digests }))).toEqual([{ code: "head" }]);
  });

  test("each byte of the text that is changed is found", () => {
    const text = recordText(issued());
    for (let at = 0; at < text.length; at += 1) {
      const other = text[at] === "x" ? "y" : "x";
      expect([at, changesOf(text.slice(0, at) + other + text.slice(at + 1))]).not.toEqual([at, []]);
    }
    expect(changesOf(text.replace("\n", "\r\n"))).toEqual([{ code: "writing" }]);
    expect(changesOf(text.trimEnd())).toEqual([{ code: "writing" }]);
  });

  test("its table and pictures are looked at where they come with it", () => {
    const picture = bytes("a picture");
    const hash = hashOf(picture);
    const content = recordOf();
    const [first, ...others] = content.lines as [RecordLine, ...RecordLine[]];
    const text = recordText(
      issued({ ...content, lines: [{ ...first, pictures: [{ hash }] }, ...others] }),
    );
    const table = { name: "record.csv", bytes: bytes(TABLE) };
    const shot = { name: `pictures/${hash}.jpg`, bytes: picture };
    expect(changesOf(text, [table, shot])).toEqual([]);
    expect(changesOf(text, [{ ...table, bytes: bytes("other") }, shot])).toEqual([
      { code: "table", isMissing: false },
    ]);
    expect(changesOf(text, [table])).toEqual([{ code: "picture", hash, isMissing: true }]);
    expect(changesOf(text, [shot, { ...shot, name: "more.txt" }])).toEqual([
      { code: "table", isMissing: true },
      { code: "other-file", name: "more.txt" },
    ]);
    expect(changesOf(text, [table, { ...shot, bytes: bytes("b picture") }])).toEqual([
      { code: "picture", hash, isMissing: false },
    ]);
  });

  test.each(["", "{}", "[]", '{"format":"yonderfell-book"}'])("%j is no record", (text) => {
    expect(verifyRecord(text, null)).toBeNull();
  });
});
