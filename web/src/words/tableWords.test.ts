import { CSV_DOUBTS, dayOf, type CsvDoubt, type FigureDoubt, type Meter } from "@yonderfell/core";
import type { TablePlan } from "@yonderfell/core";
import {
  alongWords,
  countedKind,
  differencesWords,
  doubtGroupWords,
  planWords,
  tableDoubtWords,
  tableFollowUpsWords,
  tableRefusalWords,
  writtenWords,
} from "./tableWords.js";

const plain = (text: string): string => text.replaceAll("\u00a0", " ");
const PLAN: TablePlan = {
  kind: "readings",
  counts: { new: 0, same: 0, changed: 0, repeated: 0, refused: 0 },
  ...{ issues: [], issueCount: 0, isRefused: false },
  ...{ groups: [], changed: [], fresh: [], sure: 0, followUps: null },
};
const ODO = { id: "odo", measure: "distance", unit: "km" } as Meter;
const DOUBT = {
  code: "goes-back",
  against: { day: dayOf("2026-11-20") },
  againstDial: 11100,
} as FigureDoubt;

test("what a table holds is said in one sentence", () => {
  const of = (counts: Partial<TablePlan["counts"]>, more: Partial<TablePlan> = {}): string =>
    plain(planWords({ ...PLAN, ...more, counts: { ...PLAN.counts, ...counts } }));
  expect(of({ new: 1 })).toBe("1 reading: 1 new.");
  expect(of({ new: 1200, same: 3, refused: 2 })).toBe(
    "1 205 readings: 1 200 new, 3 in the book already, 2 not readable.",
  );
  const groups = [
    { code: "in-future", count: 1, aside: 0, questions: [] },
    { code: "repeated", count: 2, aside: 0, questions: [] },
  ] as const;
  expect(of({ changed: 4 }, { groups })).toBe("4 readings: 4 changed. 3 are in doubt.");
  expect(of({ new: 1 }, { groups: groups.slice(0, 1) })).toBe("1 reading: 1 new. 1 is in doubt.");
  expect(of({ new: 2, repeated: 1 })).toBe("3 readings: 2 new, 1 said twice, taken once.");
  expect(of({}, { isRefused: true })).toBe("This table cannot be read as it stands.");
  expect(plain(countedKind(1, "entries"))).toBe("1 entry of the log");
});

test.each(CSV_DOUBTS)(
  "the reason %s reads for one and for several, and says what taking does",
  (code) => {
    const [one, then] = doubtGroupWords(code, 1);
    const [several, same] = doubtGroupWords(code, 12);
    expect(one).toMatch(/^1 (does|says|is|ends|fits|names|refers) /);
    expect(several).toMatch(/^12 (do|say|are|end|fit|name|refer) /);
    expect(one.split(" ").slice(2)).toEqual(several.split(" ").slice(2));
    expect(then).toBe(same);
    expect(then).toMatch(/\.$/);
  },
);

test.each<[CsvDoubt, string]>([
  [
    { code: "figure-in-doubt", meter: ODO, doubt: DOUBT },
    "That is below 11 100 km on 20 Nov 2026.",
  ],
  [{ code: "in-future", date: "2030-01-02" }, "2 Jan 2030 is after today."],
  [{ code: "row-short" }, "The row has fewer cells than there are headings."],
  [{ code: "repeated", row: 1204 }, "Row 1 204 says the same."],
  [{ code: "tag-alike", text: "7", tag: "07" }, "7 is taken for 07."],
  [{ code: "work-unknown", names: ["mirror", "wax"] }, "No task of the machine: mirror; wax."],
  [{ code: "place-unknown", name: "Moor barn" }, "New place: Moor barn."],
  [{ code: "person-unknown", name: "Ina Tarn" }, "New person: Ina Tarn."],
  [
    { code: "references-missing", fields: ["reminders", "inService"] },
    "Some of these are not here: reminders, in service.",
  ],
  [{ code: "differs", fields: [{ name: "value", ours: 5, theirs: null }] }, "value: 5 → nothing."],
])("the doubt %j reads %s", (doubt, words) => {
  expect(plain(tableDoubtWords(doubt))).toBe(words);
});

test("what was written is said section by section, with what was changed or corrected", () => {
  const words = writtenWords([
    { section: "machines", added: 12, changed: 1 },
    { section: "readings", added: 1, changed: 2 },
    { section: "places", added: 1, changed: 0 },
  ]);
  expect(plain(words)).toBe(
    "12 machines, 1 machine changed, 1 reading, 2 readings corrected, 1 place",
  );
  expect(writtenWords([])).toBe("nothing");
  const along = { meter: ODO, value: 84350, date: "2026-04-03" };
  expect(plain(alongWords(along))).toBe("reading 84 350 km on 3 Apr 2026");
});

test("what follows the work of a table is asked of one and of several", () => {
  const names = ["wheel nuts, torque again", "second look"];
  expect(tableFollowUpsWords({ names: names.slice(0, 1), count: 1, machines: 1 })).toEqual({
    what: "wheel nuts, torque again followed this work on one machine.",
    isOne: true,
  });
  expect(tableFollowUpsWords({ names, count: 9, machines: 7 })).toMatchObject({
    what: "wheel nuts, torque again and second look followed this work on 7 machines.",
    isOne: false,
  });
});

test("differences are told field by field, nested ones in words", () => {
  const regimes = { handbook: [{ months: 12 }] };
  expect(
    differencesWords([
      { name: "kind", ours: "van", theirs: "lorry" },
      { name: "regimes", ours: null, theirs: regimes },
    ]),
  ).toBe("kind: van → lorry, regimes: nothing → handbook: months: 12");
});

test("why a table was not brought in is said with what to do", () => {
  expect(plain(tableRefusalWords({ code: "rows-refused", count: 3 }))).toBe(
    "3 rows cannot be read; put them right in the file, or leave them out.",
  );
  expect(tableRefusalWords({ code: "cancelled" })).toContain("nothing is changed");
  expect(tableRefusalWords({ code: "book-changed" })).toContain("Look again");
  const elsewhere = { code: "changed-elsewhere", section: "parts", id: "p" } as const;
  expect(tableRefusalWords(elsewhere)).toContain("was changed while");
});
