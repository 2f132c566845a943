import { aboveNone, anyFigure, byName, fieldsOf, listOf, orUnknown, text } from "../sums/field.js";
import { median } from "../sums/middle.js";
import { isAbove, isAtLeast, isAtMost, isBelow } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import type { Verdict } from "./verdict.js";

type Values = Readonly<Record<string, number>>;

interface Limit {
  readonly watch: number | null;
  readonly stop: number | null;
}
type Limits = Readonly<Record<string, Limit>> | null;

interface Sampled {
  readonly oilLife: number;
  readonly values: Values;
}

interface Given extends Sampled {
  readonly wear: readonly string[];
  readonly earlier: readonly Sampled[];
  readonly limits: Limits;
  readonly lowest: Limits;
}

/** Earlier samples from which on their spread says something. */
const ENOUGH = 5;
/** A median absolute deviation as a standard deviation of a normal spread. */
const MAD_AS_SIGMA = 1.4826;
const LEAST_SIGMA_SHARE = 0.1;
const LEAST_SIGMA_OF_WEAR = 1;
const SIGMAS = 3;

const named = <Value>(of: Readonly<Record<string, Value>> | null, name: string): Value | null =>
  of !== null && Object.hasOwn(of, name) ? (of[name] ?? null) : null;

/** What is compared of a value: what wears by hundred of its oil's life, else as it is. */
const figureOf = (value: number, oilLife: number, isWear: boolean): number =>
  isWear ? (value / oilLife) * 100 : value;

interface Spread {
  readonly median: number;
  readonly sigma: number;
}

/** How the figure was spread over the earlier samples; null where there are too few. */
function spreadOf(name: string, isWear: boolean, earlier: readonly Sampled[]): Spread | null {
  const figures = earlier.flatMap(({ oilLife, values }) => {
    const value = named(values, name);
    return value === null ? [] : [figureOf(value, oilLife, isWear)];
  });
  if (figures.length < ENOUGH) return null;
  const middle = median(figures);
  const deviation = median(figures.map((figure) => Math.abs(figure - middle)));
  const sigma = Math.max(
    MAD_AS_SIGMA * deviation,
    LEAST_SIGMA_SHARE * Math.abs(middle),
    isWear ? LEAST_SIGMA_OF_WEAR : 0,
  );
  return { median: middle, sigma };
}

/** Whether a value reaches a limit of one of the two kinds. */
function reaches(
  name: string,
  value: number,
  { limits, lowest }: Pick<Given, "limits" | "lowest">,
  which: keyof Limit,
): boolean {
  const most = named(limits, name)?.[which] ?? null;
  const least = named(lowest, name)?.[which] ?? null;
  return (most !== null && isAtLeast(value, most)) || (least !== null && isAtMost(value, least));
}

function verdictOf(
  name: string,
  value: number,
  figure: number,
  spread: Spread | null,
  given: Given,
): Verdict {
  if (reaches(name, value, given, "stop")) return "stop";
  if (reaches(name, value, given, "watch")) return "attend";
  if (spread === null) return "sound";
  const { median: middle, sigma } = spread;
  const mustNotRise = given.wear.includes(name) || named(given.limits, name) !== null;
  const hasRisen = mustNotRise && isAbove(figure, middle + SIGMAS * sigma);
  const hasFallen = named(given.lowest, name) !== null && isBelow(figure, middle - SIGMAS * sigma);
  return hasRisen || hasFallen ? "watch" : "sound";
}

/** Whether the oil could well stay longer: little is used of every limit, and the last samples were as good. */
function canBeExtended(given: Given): boolean {
  const { values, earlier, limits, lowest } = given;
  const all = [...Object.values(limits ?? {}), ...Object.values(lowest ?? {})];
  const isLimited = all.some(({ watch, stop }) => watch !== null || stop !== null);
  const lastAreSound = earlier
    .slice(-3)
    .every((sample) =>
      Object.entries(sample.values).every(
        ([name, value]) =>
          !reaches(name, value, given, "watch") && !reaches(name, value, given, "stop"),
      ),
    );
  const hasRoom = Object.entries(values).every(([name, value]) => {
    const [most, least] = [named(limits, name), named(lowest, name)];
    const highest = most?.watch ?? most?.stop ?? null;
    const deepest = least?.watch ?? least?.stop ?? null;
    return (
      (highest === null || isAtMost(value, highest / 2)) &&
      (deepest === null || isAtLeast(value, deepest * 1.5))
    );
  });
  return earlier.length >= 3 && isLimited && lastAreSound && hasRoom;
}

function adviceFor(verdicts: readonly Verdict[], given: Given): string {
  if (verdicts.includes("stop")) return "stop and look";
  if (verdicts.some((verdict) => verdict !== "sound")) return "shorten";
  return canBeExtended(given) ? "extend" : "keep";
}

const valuesField = byName(anyFigure("a figure of the laboratory"));
const limitsField = orUnknown(
  byName(
    fieldsOf({
      watch: orUnknown(anyFigure("to be attended to from here")),
      stop: orUnknown(anyFigure("to be stopped from here")),
    }),
  ),
);
const oilLife = aboveNone("life of the oil in hours, or hundreds of km");

/** What a sample of oil says against its limits and the machine's own earlier ones. */
export const SAMPLE = asked({
  name: "sample",
  about: "What a sample of oil says against its limits and against earlier ones.",
  fields: {
    oilLife,
    values: valuesField,
    wear: listOf(text("a name that is reckoned by the life of the oil")),
    earlier: listOf(fieldsOf({ oilLife, values: valuesField })),
    limits: limitsField,
    lowest: limitsField,
  },
  reckon: (given: Given) => {
    const each = Object.entries(given.values).map(([name, value]) => {
      const isWear = given.wear.includes(name);
      const figure = figureOf(value, given.oilLife, isWear);
      const spread = spreadOf(name, isWear, given.earlier);
      return {
        ...{ name, value, rate: isWear ? figure : null },
        ...{ median: spread?.median ?? null, sigma: spread?.sigma ?? null },
        verdict: verdictOf(name, value, figure, spread, given),
      };
    });
    return {
      each,
      advice: adviceFor(
        each.map(({ verdict }) => verdict),
        given,
      ),
    };
  },
});
