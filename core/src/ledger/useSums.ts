import {
  aboveNone,
  anyFigure,
  fieldsOf,
  listOf,
  noneOrMore,
  oneOf,
  orUnknown,
  partShare,
  usually,
  yesOrNo,
} from "../sums/field.js";
import { isAbove, isAtMost } from "../sums/nearly.js";
import { asked, type Mismatch } from "../sums/sum.js";

const life = (what: string) => noneOrMore(`life ${what}, in the meter's unit`);
const span = { from: life("at the start"), to: life("at the end") };

const spanMismatch = ({
  from,
  to,
}: {
  readonly from: number;
  readonly to: number;
}): Mismatch | null =>
  from < to ? null : { path: ["to"], expected: "more than the life at the start" };

/** Those after the start, up to and with the end. */
const within = <One extends { readonly life: number }>(
  all: readonly One[],
  from: number,
  to: number,
): One[] => all.filter((one) => isAbove(one.life, from) && isAtMost(one.life, to));

const sumOf = (all: readonly { readonly amount: number }[]): number =>
  all.reduce((sum, { amount }) => sum + amount, 0);

/** A top-up: at which life, how many litres. */
export interface TopUpAt {
  readonly life: number;
  readonly amount: number;
}

/** What was topped up between two lives (`from` below `to`), and by `per` of life. */
export function consumptionOf({
  from,
  to,
  topUps,
  per,
}: {
  readonly from: number;
  readonly to: number;
  readonly topUps: readonly TopUpAt[];
  readonly per: number;
}): { readonly amount: number; readonly count: number; readonly rate: number } {
  const counted = within(topUps, from, to);
  const amount = sumOf(counted);
  return { amount, count: counted.length, rate: (amount / (to - from)) * per };
}

/** Litres topped up between two lives, and by how much of life. */
export const CONSUMPTION = asked({
  name: "consumption",
  about: "How much of a fluid is used up, by what is topped up.",
  fields: {
    ...span,
    topUps: listOf(fieldsOf({ life: life("then"), amount: aboveNone("litres") })),
    per: usually(aboveNone("so much life"), 1000),
  },
  mismatch: spanMismatch,
  reckon: consumptionOf,
});

/** What was found at a turn, beside what was to be expected of its interval. */
const AS_FOUND = ["worse", "as expected", "better"] as const;
export type AsFound = (typeof AS_FOUND)[number];

/** What follows for an interval from what was found at its turns. */
export interface IntervalAdvice {
  readonly advice: "shorten" | "lengthen" | "keep";
  readonly to: number;
  /** The interval stands past the maker's already. */
  readonly past: boolean;
}

/** Whether an interval is to be shortened or lengthened, by what was found the last two times (`findings`, the oldest first). */
export function intervalAdvice({
  interval,
  maker,
  findings,
  step,
}: {
  readonly interval: number;
  readonly maker: number | null;
  readonly findings: readonly AsFound[];
  readonly step: number;
}): IntervalAdvice {
  const past = maker !== null && isAbove(interval, maker);
  const [before, last] = findings.slice(-2);
  if (before === "worse" && last === "worse") {
    return { advice: "shorten", to: interval * (1 - step), past };
  }
  if (before === "better" && last === "better") {
    const longer = interval * (1 + step);
    const to = maker === null ? longer : Math.min(maker, longer);
    if (isAbove(to, interval)) return { advice: "lengthen", to, past };
  }
  return { advice: "keep", to: interval, past };
}

/** By how much an interval is changed at a time, as a share of it. */
export const INTERVAL_STEP = 0.2;

/** Whether an interval is to be shortened or lengthened, by what was found the last two times. */
export const INTERVAL_ADVICE = asked({
  name: "interval-advice",
  about: "Whether an interval is too long or too short, by what was found.",
  fields: {
    interval: aboveNone("the interval"),
    maker: orUnknown(aboveNone("the interval of the maker")),
    findings: listOf(oneOf(AS_FOUND)),
    step: usually(partShare("a share of the interval"), INTERVAL_STEP),
  },
  reckon: (asked) => ({ ...intervalAdvice(asked) }),
});

/** What a machine costs between two lives, and by life; what came under warranty apart. */
export const RUNNING_COST = asked({
  name: "running-cost",
  about: "What a machine costs by what it runs.",
  fields: {
    ...span,
    costs: listOf(
      fieldsOf({
        life: life("then"),
        amount: anyFigure("money"),
        warranty: usually(yesOrNo(), false),
      }),
    ),
  },
  mismatch: spanMismatch,
  reckon: ({ from, to, costs }) => {
    const counted = within(costs, from, to);
    const amount = sumOf(counted.filter(({ warranty }) => !warranty));
    const warranty = sumOf(counted.filter((one) => one.warranty));
    return { amount, warranty, rate: amount / (to - from) };
  },
});
