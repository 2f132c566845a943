import type { Check } from "../book/records/checklist.js";
import type { Round } from "../book/records/round.js";
import { byDate, currentRecords } from "../book/slice/currentRecords.js";
import { BRAKE_FLUID } from "../fluid/brakeFluid.js";
import { COOLANT_JUDGE } from "../fluid/coolantSums.js";
import type { Quantity } from "../quantity/quantity.js";
import type { Unit } from "../quantity/unit.js";
import type { AnySum } from "../sums/sum.js";
import { isAbove } from "../sums/nearly.js";
import { BATTERY } from "./battery.js";
import type { CheckLimits } from "./checkLimits.js";
import { TREAD, TYRE_AGE } from "./tyres.js";
import type { Verdict } from "./verdict.js";

/** What a sum was asked with at a check, by the names of its fields. */
export type Figures = NonNullable<NonNullable<Round["results"]>[number]["figures"]>;

/** What an answer shows beside its verdict: what is seen, what it usually means, what to do. */
interface Sign {
  readonly seen: string;
  readonly means: string;
  readonly todo: string;
}

/** What the sum of a check makes of its figures. */
export interface JudgedSum {
  /** Null where what is known says nothing yet. */
  readonly verdict: Verdict | null;
  /** The one figure that is kept as the reading, for its trend; null where there is none. */
  readonly reading: Quantity | null;
  readonly signs: readonly Sign[];
  /** What was read beside that reading, in words: all figures across a tyre, its code; empty where it is all. */
  readonly told: string;
}

type Answer = Readonly<Record<string, unknown>>;

const sign = (seen: string, means: string, todo: string): Sign => ({ seen, means, todo });

/** What the codes of answers usually mean. Source: reckoning, tyres, coolant, brake fluid. */
const SIGNS: Readonly<Record<string, Sign>> = {
  "centre-worn": sign(
    "worn in the middle",
    "run too hard",
    "set the pressure cold, by the placard",
  ),
  "shoulders-worn": sign(
    ...(["worn on both shoulders", "run too soft"] as const),
    "set the pressure cold, by the placard; look for a slow leak",
  ),
  "inner-worn": sign(
    ...(["worn inside", "alignment, or worn joints"] as const),
    "feel for play and measure the alignment before new tyres",
  ),
  "outer-worn": sign(
    ...(["worn outside", "alignment, or worn joints"] as const),
    "feel for play and measure the alignment before new tyres",
  ),
  weak: sign("a weak mix", "it protects too little against rust", "correct the mix"),
  strong: sign("a strong mix", "it carries less heat", "correct the mix, or read it again"),
  "wrong-fluid": sign(
    ...(["a fluid that must not be in it", "seals swell or shrink"] as const),
    "do not drive; flushed and its rubber renewed by licensed hands",
  ),
  "too-low-a-type": sign("a lower type than required", "it boils too soon", "renew all of it"),
  "boils-too-soon": sign("it boils too soon", "water in it: the pedal may go", "renew it"),
  wet: sign("more than 3 % of water", "the pedal may go on a long hill", "renew it"),
  "boils-soon": sign("it boils soon", "it draws water", "renew it within the year"),
  damp: sign("1.5 % of water or more", "it draws water", "renew it within the year"),
};

interface SumOfCheck {
  readonly sum: AnySum;
  /** The unit of the figure that is kept as the reading; null where there is none. */
  readonly unit: Unit | null;
  readonly reading: (figures: Figures, answer: Answer) => unknown;
  readonly codes: (answer: Answer) => readonly string[];
  readonly told: (figures: Figures, answer: Answer) => string;
  /** Which of its figures are the same from one round to the next. */
  readonly stays: readonly string[];
}

const wordsOf = (value: unknown): readonly string[] =>
  (Array.isArray(value) ? value : [value]).filter((one) => typeof one === "string");

/** The figures across a tyre, where more than one was read. */
function acrossWords({ inner, middle, outer }: Figures): string {
  const read = [inner, middle, outer].filter((value) => typeof value === "number");
  return read.length < 2 ? "" : `${read.join(", ")} mm across`;
}

/** The sums that a check may be judged by. */
const SUMS_OF_CHECKS: Readonly<Record<string, SumOfCheck>> = {
  battery: {
    sum: BATTERY,
    unit: "V",
    reading: ({ volts }) => volts,
    codes: () => [],
    told: () => "",
    stays: ["system", "kind"],
  },
  tread: {
    sum: TREAD,
    unit: "mm",
    reading: (_, { least }) => least,
    codes: ({ hints }) => wordsOf(hints),
    told: acrossWords,
    stays: ["limit", "watch", "uneven"],
  },
  "tyre-age": {
    ...{ sum: TYRE_AGE, unit: null, reading: () => null, codes: () => [], stays: [] },
    told: ({ code }, { years }) =>
      `code ${String(code)}${typeof years === "number" ? `, ${years.toFixed(1)} years` : ""}`,
  },
  "coolant-judge": {
    sum: COOLANT_JUDGE,
    unit: "degC",
    reading: ({ freezesAt }) => freezesAt,
    codes: ({ advice }) => wordsOf(advice),
    told: ({ coldest }) => (typeof coldest === "number" ? `coldest day ${coldest} °C` : ""),
    stays: ["glycol", "coldest", "margin"],
  },
  "brake-fluid": {
    sum: BRAKE_FLUID,
    unit: "percent",
    reading: ({ moisture }) => moisture,
    codes: ({ reason }) => wordsOf(reason),
    told: ({ boiling }) => (typeof boiling === "number" ? `boils at ${boiling} °C` : ""),
    stays: ["required", "inside"],
  },
};

/** The names of the sums that a check may be judged by. */
export const CHECK_SUMS: readonly string[] = Object.keys(SUMS_OF_CHECKS);

const sumFor = ({ sum }: Pick<Check, "sum">): SumOfCheck | null =>
  sum && Object.hasOwn(SUMS_OF_CHECKS, sum) ? (SUMS_OF_CHECKS[sum] ?? null) : null;

/** The name of the sum that a check is judged by; null where it is judged by none that is known. */
export const sumOfCheck = (check: Pick<Check, "sum">): string | null =>
  sumFor(check)?.sum.name ?? null;

/** The unit that the reading of a check judged by a sum is in; null where its sum keeps none, and for a check without one. */
export const unitOfSum = (check: Pick<Check, "sum">): Unit | null => sumFor(check)?.unit ?? null;

/** The names of the figures of a check that are usually known before it is looked at: what stays from round to round, and what the check gives. */
export const knownFigures = (check: Pick<Check, "sum" | "given">): readonly string[] => [
  ...(sumFor(check)?.stays ?? []),
  ...Object.keys(check.given ?? {}),
];

/** What a limit of the machine's own plate says of the figures of a check: it goes before what the check gives and what was told before. */
export function plateFigures(
  check: Pick<Check, "sum">,
  { isOfPlate, least, unit }: CheckLimits,
): Figures {
  const isOfTread = sumOfCheck(check) === TREAD.name && isOfPlate && unit === "mm";
  return isOfTread && least !== null && isAbove(least, 0) ? { limit: least } : {};
}

/** Of the figures told at a check before, those that stay from one round to the next: the kind of battery, the coldest day. */
function figuresThatStay(check: Pick<Check, "sum">, figures: Figures): Figures {
  const stays = sumFor(check)?.stays ?? [];
  return Object.fromEntries(Object.entries(figures).filter(([name]) => stays.includes(name)));
}

/** What was told at a check of a machine before and stays, whichever of its points it was: in this round first, then in the latest that has it. */
export function figuresBefore(
  check: Pick<Check, "id" | "sum">,
  round: Round,
  rounds: readonly Round[],
): Figures {
  const earlier = currentRecords(rounds)
    .filter(({ record }) => record.id !== round.id)
    .toSorted((one, other) => byDate(other, one))
    .map(({ record }) => record);
  for (const { results } of [round, ...earlier]) {
    const told = (results ?? []).findLast((one) => one.check === check.id && Boolean(one.figures));
    if (told?.figures) return figuresThatStay(check, told.figures);
  }
  return {};
}

/** What the sum of a check makes of figures (sums, as it is named); null for a check without one, and where it has no answer to them. */
export function judgeSum(
  check: Pick<Check, "sum">,
  figures: Figures | null | undefined,
): JudgedSum | null {
  const found = sumFor(check);
  if (found === null || !figures) return null;
  const asked = found.sum.ask(figures);
  if ("wrong" in asked || "refused" in asked.answer) return null;
  const answer = asked.answer as Answer;
  const value = found.reading(figures, answer);
  const { unit } = found;
  return {
    verdict: (answer["verdict"] ?? null) as Verdict | null,
    reading: unit === null || typeof value !== "number" ? null : { value, unit },
    told: found.told(figures, answer),
    signs: found.codes(answer).flatMap((code) => SIGNS[code] ?? []),
  };
}
