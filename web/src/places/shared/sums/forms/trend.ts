import { choice, lines, plain, type Asked, type SumForm } from "../sumForm.js";
import type { PlotPoint, PlotSpec } from "../plot.js";
import { counted, figure, spanOfDays } from "../../../../words/format.js";
import { pairOf } from "./readLine.js";
import { perCent, plainFigure, READINGS, VERDICT_WORDS, type Verdict } from "./say.js";

/** Points with their limit, the line through them to the day it is met. */
function trendPlot(
  points: readonly PlotPoint[],
  { limit, lifeNow }: { readonly limit: number; readonly lifeNow: number },
  trend: { readonly slope: number | null; readonly atLimit: number | null },
): PlotSpec {
  const end = Math.max(lifeNow, trend.atLimit ?? 0, ...points.map(({ x }) => x));
  const start = Math.min(lifeNow, ...points.map(({ x }) => x));
  const values = [limit, ...points.map(({ y }) => y)];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = (high - low) * 0.15 || 1;
  const reach = Math.max(end - start, 1);
  const { atLimit, slope } = trend;
  const back = points.reduce((first, { x }) => Math.min(first, x), Infinity);
  return {
    words: `What was measured, with its limit ${plainFigure(limit)}${atLimit === null ? "" : `, met at ${plainFigure(atLimit)}`}`,
    x: {
      from: start - reach * 0.04,
      to: end + reach * 0.06,
      words: `life, ${figure(Math.round(start))} to ${figure(Math.round(end))}`,
    },
    y: { from: low - room, to: high + room, words: "measured" },
    ...(atLimit === null || slope === null || back === Infinity
      ? {}
      : {
          line: [
            { x: back, y: limit - slope * (atLimit - back) },
            { x: atLimit, y: limit },
          ],
        }),
    marks: [
      ...points.map((point) => ({ ...point, label: "" })),
      ...(atLimit === null
        ? []
        : [{ x: atLimit, y: limit, label: figure(Math.round(atLimit)), isHollow: true }]),
    ],
    rules: [{ y: limit, label: `limit ${plainFigure(limit)}` }],
  };
}

interface Trend {
  readonly slope: number | null;
  readonly atLimit: number | null;
  readonly remaining: number | null;
  readonly days: number | null;
  readonly rough: boolean;
  readonly points: number;
}

const pointsIn = (asked: Asked, name: string): PlotPoint[] =>
  (asked[name] as readonly { life: number; value: number }[]).map(({ life, value }) => ({
    ...{ x: life, y: value },
  }));

function trendWords({ atLimit, remaining, days, rough }: Trend): string[] {
  if (atLimit === null || remaining === null) return [];
  return [
    remaining <= 0
      ? "its limit is met already"
      : `${figure(Math.round(remaining))} more${days === null ? "" : `, ${spanOfDays(Math.round(days))}`}`,
    ...(rough ? ["Rough: fewer than three were measured."] : []),
  ];
}

/** The sum of wear that meets its limit. */
export const TREND: SumForm = {
  ...{ sum: "trend", subject: "Wear and condition", source: READINGS },
  question: "When does wear meet its limit?",
  also: "trend slope pads tyres worn remaining life forecast",
  caution: "Wear may quicken near its end: measure again well before.",
  fields: [
    lines("points", "Measured, a line each: life and figure", pairOf("life", "value"), {
      hint: "52000 6.1",
    }),
    plain("limit", "Limit"),
    choice("wears", "It wears", [
      ["down", "down to it"],
      ["up", "up to it"],
    ]),
    lines("fitted", "New: life and figure", pairOf("life", "value"), {
      ...{ hint: "empty where it is not known", gather: "one" },
    }),
    plain("lifeNow", "Life now"),
    plain("perDay", "Life a day", { hint: "empty where it is not known" }),
  ],
  told: (answer: Trend, asked) => ({
    main:
      answer.atLimit === null
        ? answer.slope === null
          ? "Too few readings"
          : "It does not near its limit"
        : `Limit at ${figure(Math.round(answer.atLimit))}`,
    more: trendWords(answer),
    reason:
      answer.points < 2
        ? "A line needs two lives at which it was measured."
        : `By the line through ${counted(answer.points, "life", "lives")}: the middle of all slopes, so that one bad reading does not tip it.`,
    plot: trendPlot(
      pointsIn(asked, "points"),
      { limit: Number(asked["limit"]), lifeNow: Number(asked["lifeNow"]) },
      answer,
    ),
  }),
};

/** The sum of a restriction that grows. */
export const SHARE: SumForm = {
  ...{ sum: "share-of-limit", subject: "Wear and condition", source: READINGS },
  question: "How clogged is a filter?",
  also: "filter restriction gauge air intake differential pressure clogged",
  fields: [
    lines("readings", "Read, a line each: life and figure", pairOf("life", "value"), {
      hint: "1200 3.1",
    }),
    plain("clean", "When clean", { hint: "0 where nothing is said" }),
    plain("limit", "Limit"),
    plain("lifeNow", "Life now"),
    plain("perDay", "Life a day", { hint: "empty where it is not known" }),
  ],
  told: (answer: { used: number; verdict: Verdict; trend: Trend }, asked) => ({
    main: `${perCent(answer.used)} used`,
    more: [VERDICT_WORDS[answer.verdict], ...trendWords(answer.trend)],
    reason: "How far it has gone from clean to its limit, by the latest reading.",
    plot: trendPlot(
      pointsIn(asked, "readings"),
      { limit: Number(asked["limit"]), lifeNow: Number(asked["lifeNow"]) },
      answer.trend,
    ),
  }),
};
