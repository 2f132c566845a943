import type {
  AheadCost,
  OnTimeShare,
  RecordLine,
  WarrantyLimit,
  WaitingCost,
} from "@yonderfell/core";
import { incompleteWords, waitingWords } from "./ahead/aheadWords.js";
import {
  backlogWords,
  followedWords,
  notKnownWords,
  outWords,
  shareRows,
  wholeWords,
} from "./onTime/onTimeWords.js";
import {
  detailWords,
  dialWords,
  fluidWords,
  gapWords,
  markWords,
  titleWords,
} from "./record/recordWords.js";
import { warrantyLimitWords } from "./warranty/warrantyWords.js";

const plain = (words: string): string => words.replaceAll(/[\u00a0\u2060]/g, " ");
const all = (words: readonly string[]): string[] => words.map(plain);

describe("a service record in words", () => {
  test("a dial says all that was run where that is more, and that it was reckoned", () => {
    const odo = { meter: "odometer", unit: "km", dial: 500, life: 91500 } as const;
    expect(plain(dialWords(odo))).toBe("500 km, 91 500 km in all");
    expect(plain(dialWords({ ...odo, life: 500, estimated: true }))).toBe("500 km (reckoned)");
  });

  test("a fluid with its product, claims and amounts", () => {
    const fluid = { system: "engine", product: "Fell 5W-30", claims: ["A5", "SN"] };
    const amounts = { out: { value: 3.5, unit: "L" }, in: { value: 3.8, unit: "L" } } as const;
    expect(plain(fluidWords({ ...fluid, ...amounts, onMark: true }))).toBe(
      "Engine: Fell 5W-30 (A5, SN), out 3.5 L, in 3.8 L, on the mark",
    );
  });

  test("what was not looked at for one reason stands together, after the rest", () => {
    const closed = (name: string) => ({ name, verdict: "left closed", note: "no time" });
    const round: RecordLine = {
      ...{ date: "2026-01-01", kind: "round", checklist: "Wheels off" },
      verdicts: { sound: 1, "left closed": 2 },
      results: [
        closed("tread, left"),
        { name: "pad", readings: [{ value: 4, unit: "mm" }], verdict: "sound" },
        closed("tread, right"),
      ],
    };
    expect(all(detailWords(round))).toEqual([
      "1 sound, 2 left closed",
      "Pad: 4 mm, sound",
      "Left closed, no time: tread, left; tread, right",
    ]);
  });

  test.each<[RecordLine, string, string[], string[]]>([
    [
      { date: "2026-01-01", kind: "work", tasks: ["Oil", "Filter"], assumed: true },
      ...(["Oil, Filter", ["assumed: nobody saw it done"], []] as const),
    ],
    [
      {
        ...{ date: "2026-01-01", kind: "work", others: ["alignment"], corrected: true },
        parts: [{ number: "P 1", name: "Filter", count: 2 }],
      },
      "Work",
      ["corrected since it was first written"],
      ["2 × P 1 Filter", "Done by a shop: alignment"],
    ],
    [
      { date: "2026-01-01", kind: "finding", what: "weep", verdict: "watch", decision: "declined" },
      ...(["Found: weep", [], ["Watch", "Open on the day of issue; decided: declined"]] as const),
    ],
    [
      {
        ...{ date: "2026-01-01", kind: "dial change", meter: "odometer", unit: "km" },
        ...{ oldFinal: 91000, newStart: 0, lost: 40 },
      },
      "Dial replaced: odometer",
      [],
      ["from 91 000 km to 0 km", "40 km run without a dial"],
    ],
    [
      { date: "2026-01-01", kind: "out of service", reason: "brakes" },
      ...(["Out of service: brakes", [], ["Still out of service on the day of issue"]] as const),
    ],
    [
      { date: "2026-01-01", kind: "sample", system: "engine", label: "S 1" },
      ...(["Sample: engine", [], ["S 1", "no answer yet"]] as const),
    ],
  ] as [RecordLine, string, string[], string[]][])("%j", (line, title, marks, details) => {
    expect(plain(titleWords(line))).toBe(title);
    expect(all(markWords(line))).toEqual(marks);
    expect(all(detailWords(line))).toEqual(details);
  });

  test("a gap is told by its days", () => {
    const gap = { from: "2020-01-01", to: "2022-01-01", days: 731 };
    expect(plain(gapWords({ ...gap, why: "since-the-last" }))).toBe(
      "No record since: 1 Jan 2020 to 1 Jan 2022, 731 days",
    );
  });
});

test.each<[Partial<WarrantyLimit>, string]>([
  [{ dueOn: "2026-01-10", remaining: 3 }, "due 10 Jan 2026: 3 days left"],
  [{ dueOn: "2026-01-10", remaining: 0 }, "due 10 Jan 2026: on its last day"],
  [{ dueOn: "2026-01-10", remaining: -1 }, "due 10 Jan 2026: 1 day past it"],
  [{ dueAt: 10000, unit: "km", remaining: -200 }, "due at 10 000 km: 200 km past it"],
  [{ dueAt: null, unit: "h", remaining: null }, "when it was due is not known"],
])("a limit of a turn, %j", (limit, words) => {
  const none = { kind: "calendar", meter: null, unit: null, dueAt: null, dueOn: null } as const;
  expect(plain(warrantyLimitWords({ ...none, remaining: null, governs: true, ...limit }))).toBe(
    words,
  );
});

describe("on time in words", () => {
  const share: OnTimeShare = {
    ...{ inTime: 5, withinGrace: 1, late: 2, notKnown: 3, share: 0.625, withGrace: 0.75 },
  };
  const nothing = { inTime: 0, withinGrace: 0, late: 0, notKnown: 2, share: null, withGrace: null };

  test("the share with what it is of; with nothing to judge no figure", () => {
    expect(plain(wholeWords(share))).toBe(
      "63 % of 8 turns within their limit, 75 % with their grace",
    );
    expect(wholeWords({ ...share, withinGrace: 0 })).not.toContain("grace");
    expect(wholeWords(nothing)).toMatch(/^Too little is known/);
    expect(plain(notKnownWords(share))).toMatch(/^3 turns more/);
    expect(notKnownWords({ ...share, notKnown: 0 })).toBe("");
  });

  test("what waits, with what has no minutes", () => {
    expect(plain(backlogWords({ jobs: 3, minutes: 90, withoutMinutes: 1 }))).toBe(
      "3 jobs wait, 1.5 h of work; 1 of them has no minutes written down.",
    );
    expect(backlogWords({ jobs: 0, minutes: 0, withoutMinutes: 0 })).toMatch(/^Nothing waits/);
  });

  test("days out of service, and what was found", () => {
    const out = { machine: "m" as never, reason: "x", since: "2026-01-01", days: 9 };
    expect(plain(outWords({ ...out, released: null }))).toBe("since 1 Jan 2026, 9 days so far");
    expect(plain(outWords({ ...out, released: "2026-01-10" }))).toBe(
      "1 Jan 2026 to 10 Jan 2026, 9 days",
    );
    const none = { found: 0, byWork: 0, byPerson: 0, declined: 0, open: 0, days: null };
    expect(followedWords(none)).toBe("Nothing was found in these days.");
    expect(plain(followedWords({ ...none, found: 3, byWork: 2, open: 1, days: 4 }))).toBe(
      "3 findings: 2 put right by work, 1 open. What ended took 4 days in the middle.",
    );
  });

  test("as a table the whole stands first, a share that nobody knows is empty", () => {
    const rows = shareRows({
      ...{ all: share, months: [{ month: "2026-01", ...nothing }], kinds: [] },
      ...{ overdue: [], outOfService: [] },
      backlog: { jobs: 0, minutes: 0, withoutMinutes: 0 },
      followedUp: { found: 0, byWork: 0, byPerson: 0, declined: 0, open: 0, days: null },
    });
    expect(rows.slice(1)).toEqual([
      ["all", "5", "1", "2", "3", "62.5", "75"],
      ["2026-01", "0", "0", "0", "2", "", ""],
    ]);
  });
});

describe("spending ahead in words", () => {
  test("what cannot be told in full", () => {
    const cost: AheadCost = {
      ...{ turns: 9, parts: 1, fluids: 1, work: 1, total: 3, incomplete: 2 },
    };
    expect(plain(incompleteWords(cost))).toMatch(/^2 of 9 turns cannot be told in full/);
    expect(incompleteWords({ ...cost, incomplete: 0 })).toBe("");
  });

  test.each<[WaitingCost, string]>([
    [{ jobs: 0, cost: 0, without: 0 }, "none"],
    [{ jobs: 2, cost: 12, without: 0 }, "12.00 cr for 2"],
    [{ jobs: 3, cost: 12, without: 1 }, "12.00 cr for 3, 1 of them without a figure"],
    [{ jobs: 1, cost: 0, without: 1 }, "1, of which nobody has written down what it costs"],
  ])("work that waits, %j", (waiting, words) => {
    expect(plain(waitingWords(waiting, "cr"))).toBe(words);
  });
});
