import {
  dayOf,
  type CapacityBeside,
  type ConsumptionTrend,
  type IntervalSeen,
  type Lesson,
  type PartLives,
  type Proposal,
  type TurnSeen,
} from "@yonderfell/core";
import {
  adviceWords,
  answerWords,
  between,
  capacityReason,
  evidenceWords,
  lifeWords,
  litres,
  minutes,
  offWords,
  proposalReason,
  proposalTitle,
  saidWords,
  turnWords,
  usualWords,
} from "./learningWords.js";

const plain = (words: string): string => words.replaceAll(/[\u00a0\u2060]/g, " ");

const turn = (date: string, found: TurnSeen["found"], isLate = false): TurnSeen =>
  ({
    entry: date,
    day: dayOf(date),
    run: 9500,
    found,
    evidence: [],
    leftOut: isLate ? "late" : null,
  }) as unknown as TurnSeen;

const seen = (
  advice: IntervalSeen["advice"],
  maker: number | null,
  turns: readonly TurnSeen[],
): Proposal & { readonly about: "interval" } =>
  ({
    about: "interval",
    seen: { task: { name: "Oil" }, unit: "km", every: 10_000, maker, advice, turns },
  }) as unknown as Proposal & { readonly about: "interval" };

describe("a proposal of an interval in words", () => {
  const WORSE = [turn("2024-01-01", "worse"), turn("2025-01-01", "worse", true)];
  const last = turn("2026-01-01", "worse");
  const shorter = { advice: "shorten", to: 8000, past: false } as const;

  test("names the turns that count, not those that came late", () => {
    const proposal = seen(shorter, 15_000, [...WORSE, last]);
    expect(plain(proposalTitle(proposal))).toBe("Oil: every 8 000 km instead of 10 000 km");
    expect(plain(proposalReason(proposal))).toBe(
      "Worse than expected at the last two turns that anything was looked at: 1 Jan 2024 and 1 Jan 2026. The handbook gives every 15 000 km.",
    );
    expect(plain(saidWords(proposal))).toMatch(/It was every 10 000 km\.$/);
    expect(turnWords(WORSE[1] ?? last, proposal.seen)).toContain("not counted");
  });

  test("says where nobody but the mechanic answers for it, and where it stands past the handbook", () => {
    const better = [turn("2025-01-01", "better"), turn("2026-01-01", "better")];
    const longer = { advice: "lengthen", to: 12_000, past: false } as const;
    expect(proposalReason(seen(longer, null, better))).toContain("nobody answers but you");
    const past = { ...shorter, past: true };
    expect(proposalReason(seen(past, 9000, [...WORSE, last]))).toContain("past that already");
  });

  test("keeps silent where one turn says too little", () => {
    const keep = { advice: "keep", to: 10_000, past: false } as const;
    expect(adviceWords(seen(keep, null, [last]).seen)).toContain("too little is known");
    const before = [...WORSE, last].map((one) => ({ ...one, leftOut: "before" as const }));
    expect(adviceWords(seen(keep, null, before).seen)).toContain("since it was changed");
    const mixed = [last, turn("2026-06-01", "as expected")];
    expect(adviceWords(seen(keep, null, mixed).seen)).toBe(
      "keep it: worse than expected and as expected",
    );
  });
});

test("what fills say stands beside each source, the own figure left out", () => {
  const learned = {
    ...{ fills: 3, median: 5, low: 4.9, high: 5.1, disagree: true },
    printed: [
      { source: "handbook", off: 0.1 },
      { source: "label", off: -0.02 },
      { source: "own experience", off: 0 },
    ],
  };
  const beside = { learned, working: { quantity: { value: 5.5, unit: "L" } } };
  expect(plain(capacityReason(beside as unknown as CapacityBeside))).toBe(
    "The middle of 3 fills to the mark: 4.90 to 5.10 L. The figure of the handbook is 10 % above and label is 2 % below.",
  );
  const none = { ...beside, working: null, learned: { ...learned, printed: [], low: 5, high: 5 } };
  expect(plain(capacityReason(none as unknown as CapacityBeside))).toBe(
    "The middle of 3 fills to the mark: each time 5.00 L. Nothing is written down.",
  );
  expect(offWords(null)).toBe("not comparable");
  expect(between(5, 5.1, litres)).toBe("5.00 to 5.10 L");
  expect(between(35, 50, minutes)).toBe("35 to 50 min");
});

test("what is usual is not said of too few spans, and how many there are is", () => {
  const spans = (count: number): unknown[] => Array.from({ length: count }, () => ({ rate: 0.1 }));
  const trend = (count: number, usual: number | null): ConsumptionTrend =>
    ({
      ...{ spans: spans(count), usual, isDoubled: false, per: 100, meter: { unit: "h" } },
    }) as unknown as ConsumptionTrend;
  expect(usualWords(trend(1, null))).toContain("there is none");
  expect(usualWords(trend(2, null))).toContain("there is one");
  expect(usualWords(trend(3, null))).toContain("there are 2");
  expect(plain(usualWords(trend(4, 0.1)))).toBe(
    "Usual is 0.10 L by 100 h, the middle of 3; the last span took no more than twice that.",
  );
});

test("an answer says when what was put off comes again", () => {
  const lesson = (answer: Lesson["answer"]): Lesson =>
    ({ answer, on: "2026-01-05" }) as unknown as Lesson;
  expect(plain(answerWords(lesson("never"), ""))).toBe("Never for this machine, 5 Jan 2026");
  expect(answerWords(lesson("not now"), "")).toContain("90 days");
  expect(answerWords(lesson("done"), "")).toContain("something new");
  const never = { ...lesson("never"), said: "every 8 000 km" } as Lesson;
  expect(answerWords(never, "every 6 400 km")).toContain("to “every 8 000 km”");
  expect(answerWords(never, "every 8 000 km")).not.toContain("to “");
});

test("a life of parts with its range, evidence with its verdict", () => {
  const lives = { median: 12_000, low: 9000, high: 15_000, unit: "km" } as PartLives;
  expect(plain(lifeWords(lives))).toBe("12 000 km, 9 000 to 15 000 km");
  expect(lifeWords({ ...lives, median: null, unit: null })).toBe("its life is not known");
  const sample = { label: "21/2", date: "2026-01-01" };
  expect(evidenceWords({ kind: "sample", sample, advice: "shorten" } as never)).toBe(
    "sample 21/2: change it sooner",
  );
  expect(evidenceWords({ kind: "test", found: "clear" } as never)).toBe(
    "tested sound and put off: clear",
  );
});
