import type { Check } from "../book/records/checklist.js";
import { valueIn, type Quantity } from "../quantity/quantity.js";
import { dimensionOf } from "../quantity/unit.js";
import type { CheckLimits } from "./checkLimits.js";
import { judgeSum } from "./judgeSum.js";
import { isFound, type CheckResult } from "./places.js";
import { verdictOf, type StepVerdict, type Verdict } from "./verdict.js";

/** What the readings of a check come to. */
export interface JudgedReadings {
  /** Their mean and its doubt, in the unit of the limits. */
  readonly value: number;
  readonly uncertainty: number;
  /** Null where there is no limit to judge by. */
  readonly verdict: StepVerdict | null;
}

/** What readings mean against the limits of a check (sum *verdict*); readings of another dimension are left out. Null without any. */
export function judgeReadings(
  limits: CheckLimits,
  readings: readonly Quantity[],
): JudgedReadings | null {
  const values = readings
    .filter(({ unit }) => dimensionOf(unit) === dimensionOf(limits.unit))
    .map((reading) => valueIn(reading, limits.unit));
  if (values.length === 0) return null;
  const { least, most, watchLeast, watchMost } = limits;
  const judged = verdictOf({ ...limits, readings: values });
  const isJudged = [least, most, watchLeast, watchMost].some((limit) => limit !== null);
  return { ...judged, verdict: isJudged ? judged.verdict : null };
}

/** Fewer readings than this near a limit are read again. */
const ENOUGH = 3;

/** Whether a reading so near its limit is to be read again before anything is said of it. */
export const readAgain = (judged: JudgedReadings | null, readings: readonly Quantity[]): boolean =>
  judged?.verdict === "too close to call" && readings.length < ENOUGH;

/** A word to pick, and what it means. */
export type CheckPick = NonNullable<Check["picks"]>[number];

/** What picking a word means; null where it is none of the check's. */
export function pickOf({ picks }: Check, word: string | null | undefined): CheckPick | null {
  return (picks ?? []).find((pick) => pick.word === word) ?? null;
}

/** The verdict that a result would have by its sum, its readings or its word, before a person says otherwise; null where neither says anything. */
export function proposedVerdict(
  check: Check,
  limits: CheckLimits | null,
  result: Pick<CheckResult, "readings" | "picked" | "figures">,
): Verdict | "too close to call" | null {
  const bySum = judgeSum(check, result.figures);
  if (bySum !== null) return bySum.verdict;
  const judged = limits === null ? null : judgeReadings(limits, result.readings ?? []);
  return judged?.verdict ?? pickOf(check, result.picked)?.verdict ?? null;
}

/** Whether the question that tells two causes apart is still to be answered: it is not sound, and nothing was answered. */
export function isAsked(
  { separates }: Check,
  result: Pick<CheckResult, "verdict" | "answered"> | null,
): boolean {
  return Boolean(separates) && isFound(result?.verdict ?? null) && !result?.answered;
}
