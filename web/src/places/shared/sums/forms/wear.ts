import { SUMS } from "@yonderfell/core";
import { choice, inUnit, lines, plain, type Asked, type SumForm } from "../sumForm.js";
import type { PlotSpec } from "../plot.js";
import { figure } from "../../../../words/format.js";
import { quantityWords } from "../../../../words/quantityWords.js";
import { earlierOf, namedFigure, namedLimits } from "./readLine.js";
import { perCent, plainFigure, quantity, READINGS, VERDICT_WORDS, type Verdict } from "./say.js";
import { SHARE, TREND } from "./trend.js";

const VERDICT: SumForm = {
  ...{ sum: "verdict", subject: "Wear and condition", source: READINGS },
  question: "Is a measurement still within its limits?",
  also: "measure limit pad disc chain free play gap uncertainty judge",
  caution: "The maker's limit wins; under it, replace in pairs where the handbook says so.",
  fields: [
    {
      ...{ name: "readings", label: "Readings", input: { kind: "figures" } },
      hint: "one or more, apart by spaces, all in one unit",
    },
    plain("least", "At least", { hint: "one of the four limits must be said" }),
    plain("most", "At most"),
    plain("watchLeast", "Watch it below"),
    plain("watchMost", "Watch it above"),
    plain("uncertainty", "The tool may be off by", { hint: "0 where nothing is said" }),
    plain("resolution", "It reads in steps of", { hint: "0 where nothing is said" }),
    choice("severity", "Past its limit", [
      ["attend", "attend to it"],
      ["stop", "stop using it"],
    ]),
  ],
  told: (answer: { value: number; uncertainty: number; verdict: keyof typeof VERDICT_WORDS }) => ({
    main: VERDICT_WORDS[answer.verdict],
    more: [
      `${plainFigure(answer.value)}${answer.uncertainty > 0 ? ` ± ${plainFigure(answer.uncertainty)}` : ""}`,
    ],
    reason:
      answer.verdict === "too close to call"
        ? "The limit lies within what the tool may be off: measure again, or with a better tool."
        : "The mean of the readings against the limits, with what the tool may be off.",
  }),
};

const HINTS: Readonly<Record<string, string>> = {
  "centre-worn": "Worn in the centre: too much pressure?",
  "shoulders-worn": "Worn at both shoulders: too little pressure?",
  "inner-worn": "Worn on the inside: alignment, or a worn joint.",
  "outer-worn": "Worn on the outside: alignment, or hard corners.",
};

const TREAD: SumForm = {
  ...{ sum: "tread", subject: "Wear and condition" },
  question: "What does the tread of a tyre say?",
  also: "tyre tread depth uneven wear pressure alignment legal limit",
  source:
    "1.6 mm is the least in most places; some ask for more, for winter and for heavy machines.",
  caution: "Cuts, bulges and cords stop a tyre at any depth. Local law wins.",
  fields: [
    inUnit("inner", "Inside", "mm"),
    inUnit("middle", "Middle", "mm"),
    inUnit("outer", "Outside", "mm"),
    inUnit("limit", "Least by law", "mm", { hint: "1.6 where nothing is said" }),
    inUnit("watch", "Watch it below", "mm", { hint: "3 where nothing is said" }),
    inUnit("uneven", "Uneven from", "mm", { hint: "1 where nothing is said" }),
  ],
  told: (answer: { least: number; verdict: Verdict; hints: readonly string[] }, asked) => {
    const across = (["inner", "middle", "outer"] as const).map(
      (name) => asked[name] as number | null,
    );
    const [limit, watch] = [Number(asked["limit"]), Number(asked["watch"])];
    const read = across.filter((value) => value !== null);
    const most = Math.max(watch, ...read);
    const names = ["inside", "middle", "outside"];
    return {
      main: VERDICT_WORDS[answer.verdict],
      more: answer.hints.map((hint) => HINTS[hint] ?? hint),
      reason: `The least of it is ${quantityWords(quantity(answer.least, "mm"))}; ${quantityWords(quantity(limit, "mm"))} is the least allowed.`,
      measure: {
        name: "tread, inside to outside",
        readings: read.map((value) => quantity(value, "mm")),
        verdict: answer.verdict,
      },
      plot: {
        words: `Tread: ${across.map((value, at) => `${names[at] ?? ""} ${value ?? "not measured"}`).join(", ")}`,
        x: { from: -0.5, to: 2.5, words: "across the tread" },
        y: { from: 0, to: most * 1.15, words: "millimetres" },
        bars: across.flatMap((value, at) =>
          value === null
            ? []
            : [{ x: at, y: value, label: plainFigure(value), under: names[at] ?? "" }],
        ),
        rules: [
          { y: limit, label: `least ${plainFigure(limit)}` },
          { y: watch, label: `watch ${plainFigure(watch)}` },
        ],
      },
    };
  },
};

const AGE: SumForm = {
  ...{ sum: "tyre-age", subject: "Wear and condition" },
  question: "How old is a tyre?",
  also: "tyre age date code week year",
  source: "The four figures of the date code: week and year. Six and ten years are usual.",
  caution: "An old tyre may look sound: rubber hardens from within.",
  fields: [
    { name: "code", label: "Date code", input: { kind: "text" }, hint: "such as 2319" },
    { name: "on", label: "As of", input: { kind: "day" } },
    plain("watchFrom", "Watch from, years", { hint: "6 where nothing is said" }),
    plain("attendFrom", "Attend from, years", { hint: "10 where nothing is said" }),
  ],
  told: (answer: { made: string | null; years: number | null; verdict: Verdict }) => ({
    main: VERDICT_WORDS[answer.verdict],
    more: answer.years === null ? [] : [`${figure(answer.years, 1)} years old`],
    reason:
      answer.made === null
        ? "Three figures: made before 2000."
        : `Made in the week of ${answer.made}.`,
  }),
};

const BATTERY_SUM = SUMS.find(({ name }) => name === "battery");

/** The slope of charge of a kind of battery, with what was read on it. */
function chargeLine(asked: Asked, charge: number): PlotSpec {
  const system = Number(asked["system"]);
  const [from, to] = [11.7 * (system / 12), 13 * (system / 12)];
  const line = Array.from({ length: 27 }, (_, step) => from + ((to - from) * step) / 26).flatMap(
    (volts) => {
      const found = BATTERY_SUM?.ask({ ...asked, volts });
      const answer = found !== undefined && "answer" in found ? found.answer : {};
      return "charge" in answer ? [{ x: volts, y: answer.charge as number }] : [];
    },
  );
  const volts = Number(asked["volts"]);
  return {
    words: `Charge by resting voltage; ${figure(volts, 2)} V is ${perCent(charge)}`,
    x: { from, to, words: `volts at rest, ${figure(from, 1)} to ${figure(to, 1)}` },
    y: { from: 0, to: 1.1, words: "charge" },
    line,
    marks: [
      { x: Math.min(to, Math.max(from, volts)), y: charge, label: `${perCent(charge)} here` },
    ],
    rules: [{ y: 0.75, label: "75 %" }],
  };
}

const BATTERY: SumForm = {
  ...{ sum: "battery", subject: "Wear and condition" },
  question: "How far is a battery charged?",
  also: "battery volts charge resting voltage state of charge",
  source: "Usual figures of resting voltage by kind.",
  caution:
    "Acid and gas: goggles, no spark, ventilated; the earth lead off first and on last. A frozen or swollen battery is not charged.",
  fields: [
    inUnit("volts", "Volts at rest", "V"),
    choice(
      "system",
      "System",
      [
        ["12", "12 V"],
        ["24", "24 V"],
      ],
      { isFigure: true },
    ),
    choice("kind", "Kind", [
      ["flooded", "flooded"],
      ["agm", "mat, AGM"],
      ["gel", "gel"],
      ["lithium", "lithium"],
    ]),
    inUnit("rested", "At rest for", "h"),
  ],
  told: (answer: { charge: number; verdict: Verdict }, asked) => ({
    main: `${perCent(answer.charge)} charged`,
    more: [VERDICT_WORDS[answer.verdict]],
    reason: "Volts at rest say how far it is charged, not how much it can still hold.",
    measure: {
      name: "battery, at rest",
      readings: [{ value: Number(asked["volts"]), unit: "V" }],
      verdict: answer.verdict,
    },
    plot: chargeLine(asked, answer.charge),
  }),
};

interface SampleAnswer {
  readonly each: readonly {
    readonly name: string;
    readonly value: number;
    readonly rate: number | null;
    readonly median: number | null;
    readonly verdict: Verdict;
  }[];
  readonly advice: string;
}

const ADVICE: Readonly<Record<string, string>> = {
  "stop and look": "Stop and look",
  shorten: "Change it sooner",
  keep: "Keep the interval",
  extend: "It may run longer",
};

const SAMPLE: SumForm = {
  ...{ sum: "sample", subject: "Wear and condition" },
  question: "What does an oil sample say?",
  also: "oil analysis laboratory iron copper silicon wear metals",
  source: "Against the machine's own earlier samples and the laboratory's limits.",
  caution: "One sample is a hint; the laboratory's remarks and the maker win.",
  fields: [
    plain("oilLife", "Life of the oil, hours or hundreds of km"),
    lines("values", "Found, a line each: name and figure", namedFigure, {
      ...{ hint: "iron 32", gather: "by name" },
    }),
    {
      ...{ name: "wear", label: "Of these wear metals", input: { kind: "words" } },
      hint: "names apart by commas; reckoned by the life of the oil",
    },
    lines("earlier", "Earlier samples, a line each, oldest first", earlierOf, {
      hint: "250 iron 30 copper 4",
    }),
    lines("limits", "Limits, a line each: name, watch from, stop at", namedLimits, {
      ...{ hint: "iron 100 150; a dash for one there is not", gather: "by name" },
    }),
    lines("lowest", "Must not fall below: name, watch, stop", namedLimits, {
      ...{ hint: "base number 4 2", gather: "by name" },
    }),
  ],
  told: ({ each, advice }: SampleAnswer) => ({
    main: ADVICE[advice] ?? advice,
    more: each.map(
      ({ name, value, rate, median, verdict }) =>
        `${name} ${plainFigure(value)}${rate === null ? "" : `, ${plainFigure(rate)} per hundred of life`}${median === null ? "" : `, usual ${plainFigure(median)}`}: ${verdict}`,
    ),
    reason: "The worst of what was found decides.",
  }),
};

/** The sums of wear and condition. */
export const WEAR_FORMS: readonly SumForm[] = [
  ...[TREAD, AGE, BATTERY, VERDICT, TREND, SHARE, SAMPLE],
];
