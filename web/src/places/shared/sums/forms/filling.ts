import { choice, inUnit, lines, percent, type SumForm } from "../sumForm.js";
import { figure } from "../../../../words/format.js";
import { counted } from "../../../../words/format.js";
import { fillOf, packOf, saidOf } from "./readLine.js";
import { litres, perCent, plainFigure, quantity } from "./say.js";

const OIL_CAUTION =
  "Warm oil drains, hot oil burns: gloves, and time to cool. Never start an engine that has not been filled. The handbook's way to check the level wins.";

const PASSES: SumForm = {
  ...{ sum: "passes", subject: "Filling", source: "Each pass mixes fully before the next." },
  caution:
    "Only the fluid the maker asks for; a gearbox that slips already may not bear a change. Measure what comes out, and put the same back in.",
  question: "How many passes until it is mostly fresh?",
  also: "gearbox automatic transmission exchange flush drain and fill dilution",
  fields: [
    inUnit("vessel", "All that is in it", "L"),
    inUnit("drop", "Out at first, with the pan", "L", { hint: "empty where the pan stays on" }),
    inUnit("pass", "Out and in each time", "L"),
    percent("wanted", "Fresh wanted", { initial: "90" }),
    inUnit("reserve", "Kept back for the level", "L", { hint: "0 where nothing is said" }),
  ],
  told: (answer: { passes: number; old: readonly number[]; buy: number }, asked) => {
    const { passes, old, buy } = answer;
    const wanted = Number(asked["wanted"]);
    const shown = old.slice(0, 12);
    return {
      main: `${counted(passes, "pass", "passes")}, ${litres(buy)} to buy`,
      more: [`${perCent(1 - (old.at(-1) ?? 1))} is fresh then`],
      reason: `Each pass takes the same share of what old is left, so that each is worth less than the one before.`,
      given: [{ label: "to buy", quantity: quantity(buy, "L") }],
      plot: {
        words: `Old fluid left: ${shown.map(perCent).join(", ")}`,
        x: { from: -0.5, to: Math.max(0.5, shown.length - 0.5), words: "passes" },
        y: { from: 0, to: Math.max(...shown) * 1.12, words: "old fluid left" },
        bars: shown.map((share, at) => ({
          ...{ x: at, y: share, label: perCent(share) },
          under: at === 0 ? "first" : String(at),
        })),
        rules: [{ y: 1 - wanted, label: `at most ${perCent(1 - wanted)} wanted` }],
      },
    };
  },
};

const WARNS: Readonly<Record<string, string>> = {
  "read-the-level": "Read the level before any more goes in.",
  "too-full": "Too full: take some out again before it is run.",
  "less-than-expected": "On the mark with less than expected: was all of the old out?",
  "more-than-expected": "More than expected: look whether it is the right vessel, and for a leak.",
};

const FILL: SumForm = {
  ...{ sum: "fill-step", subject: "Filling", caution: OIL_CAUTION },
  question: "How much to pour next?",
  also: "oil fill level dipstick topping up poured tally",
  source: "85 % first, then by the level; 5 % at a time.",
  fields: [
    inUnit("expected", "It should take", "L"),
    inUnit("drained", "Came out", "L", { hint: "empty where it was not measured" }),
    {
      ...{ name: "poured", label: "Poured so far", input: { kind: "quantities", unit: "L" } },
      hint: "each can, apart by spaces; empty where nothing is in yet",
    },
    choice("level", "The level stands", [
      ["unread", "not read"],
      ["below", "below the mark"],
      ["mark", "on the mark"],
      ["above", "above the mark"],
    ]),
  ],
  told: (answer: {
    in: number;
    balance: number | null;
    toExpected: number;
    next: number;
    warn: string | null;
  }) => ({
    main: answer.next === 0 ? "Pour nothing now" : `Pour ${litres(answer.next)}`,
    more: [
      `${litres(answer.in)} in so far; ${litres(Math.abs(answer.toExpected))} ${answer.toExpected < 0 ? "over" : "short of"} what it should take`,
      ...(answer.balance === null
        ? []
        : [
            `${litres(Math.abs(answer.balance))} ${answer.balance < 0 ? "less" : "more"} in than came out`,
          ]),
    ],
    reason:
      WARNS[answer.warn ?? ""] ??
      (answer.next === 0
        ? "The level says it is enough."
        : "First most of it, then by the level, a little at a time."),
    given: [
      { label: "in so far", quantity: quantity(answer.in, "L") },
      ...(answer.next === 0
        ? []
        : [{ label: "to pour next", quantity: quantity(answer.next, "L") }]),
    ],
  }),
};

const LEARNED: SumForm = {
  ...{ sum: "learned-capacity", subject: "Filling", caution: OIL_CAUTION },
  question: "What does it really take?",
  also: "capacity learned fills median printed handbook disagree",
  source: "The middle of the fills that ended on the mark.",
  fields: [
    lines("fills", "Fills, a line each", fillOf, { hint: "12.4 mark · 12.1 (not on the mark)" }),
    lines("printed", "Printed, a line each", saidOf, { hint: "12 handbook" }),
  ],
  told: (answer: {
    fills: number;
    median: number | null;
    low: number | null;
    high: number | null;
    printed: readonly { source: string; off: number | null }[];
    disagree: boolean;
  }) => ({
    main: answer.median === null ? "Not known yet" : litres(answer.median),
    more: [
      ...(answer.low === null || answer.high === null
        ? []
        : [`${litres(answer.low)} to ${litres(answer.high)}`]),
      ...answer.printed.flatMap(({ source, off }) =>
        off === null
          ? []
          : [`${source}: ${figure(off * 100, 1)} % ${off < 0 ? "(less)" : off > 0 ? "more" : ""}`],
      ),
      ...(answer.disagree ? ["What is printed disagrees by more than 5 %."] : []),
    ],
    reason:
      answer.median === null
        ? "No fill ended on the mark: only those say what it takes."
        : `By ${counted(answer.fills, "fill")} that ended on the mark.`,
    ...(answer.median === null
      ? {}
      : { given: [{ label: "it takes", quantity: quantity(answer.median, "L") }] }),
  }),
};

const PACKS: SumForm = {
  ...{ sum: "packs", subject: "Filling", source: "All sets that cover the need are compared." },
  question: "Which packs are cheapest?",
  also: "buy cans drums price size containers cheapest",
  fields: [
    inUnit("need", "Needed", "L"),
    inUnit("stock", "There already", "L", { hint: "0 where nothing is said" }),
    lines("packs", "Packs, a line each: litres, price, how many there are", packOf, {
      hint: "5 32.50 · 1 8.90 6",
    }),
  ],
  told: (answer: {
    buy: readonly { size: number; count: number }[];
    cost: number;
    left: number;
  }) => ({
    main:
      answer.buy.length === 0
        ? "Buy nothing"
        : answer.buy.map(({ size, count }) => `${count} × ${litres(size)}`).join(", "),
    more: [`${plainFigure(answer.cost)} in all`, `${litres(Math.max(0, answer.left))} left over`],
    reason: "Of the sets that cover it the cheapest, then the one with the least left.",
  }),
};

/** The sums of filling. */
export const FILLING_FORMS: readonly SumForm[] = [PASSES, FILL, LEARNED, PACKS];
