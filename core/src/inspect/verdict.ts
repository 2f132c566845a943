import { VERDICTS } from "../book/records/verdicts.js";
import { anyFigure, listOf, noneOrMore, oneOf, orUnknown, usually } from "../sums/field.js";
import { mean } from "../sums/middle.js";
import { isAbove, isBelow } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";

/** What something that was looked at or measured is found to be. */
export type Verdict = "sound" | "watch" | "attend" | "stop";

/** Whether what was said is a verdict by looking or measuring. */
export const isVerdict = (said: string | null | undefined): said is Verdict =>
  VERDICTS.some((one) => one === said);

/** The worst of some verdicts; sound where there are none. */
export const worstOf = (verdicts: readonly Verdict[]): Verdict =>
  VERDICTS.findLast((one) => verdicts.includes(one)) ?? "sound";

/** What a measurement may also be found to be. */
export type StepVerdict = Verdict | "too close to call";

/** What readings are judged by, all in one unit. */
interface Judged {
  readonly readings: readonly number[];
  readonly least: number | null;
  readonly most: number | null;
  readonly watchLeast: number | null;
  readonly watchMost: number | null;
  readonly uncertainty: number;
  readonly resolution: number;
  readonly severity: "attend" | "stop";
}

/** What readings, one at least, mean against their limits. */
export function verdictOf({
  readings,
  least,
  most,
  watchLeast,
  watchMost,
  severity,
  ...given
}: Judged): {
  readonly value: number;
  readonly uncertainty: number;
  readonly verdict: StepVerdict;
} {
  const value = mean(readings);
  const doubt = Math.max(given.uncertainty / Math.sqrt(readings.length), given.resolution / 2);
  const isUnder = (figure: number, limit: number | null): boolean =>
    limit !== null && isBelow(figure, limit);
  const isOver = (figure: number, limit: number | null): boolean =>
    limit !== null && isAbove(figure, limit);
  const judge = (): StepVerdict => {
    if (isUnder(value + doubt, least) || isOver(value - doubt, most)) return severity;
    const isClose = isUnder(value - doubt, least) || isOver(value + doubt, most);
    if (isAbove(doubt, 0) && isClose) return "too close to call";
    return isUnder(value, watchLeast) || isOver(value, watchMost) ? "watch" : "sound";
  };
  return { value, uncertainty: doubt, verdict: judge() };
}

/** What readings mean against their limits, in the unit of the readings; one that is too near a limit to tell is said to be so. */
export const VERDICT = asked({
  name: "verdict",
  about: "What a measurement means against its limits, with the doubt it has.",
  fields: {
    readings: listOf(anyFigure("what was read"), 1),
    least: orUnknown(anyFigure("not less than this")),
    most: orUnknown(anyFigure("not more than this")),
    watchLeast: orUnknown(anyFigure("to be watched below this")),
    watchMost: orUnknown(anyFigure("to be watched above this")),
    uncertainty: usually(noneOrMore("of one reading"), 0),
    resolution: usually(noneOrMore("the smallest step of the instrument"), 0),
    severity: usually(oneOf(["attend", "stop"]), "attend"),
  },
  mismatch: ({ least, most, watchLeast, watchMost }) =>
    [least, most, watchLeast, watchMost].every((limit) => limit === null)
      ? { path: ["least"], expected: "at least one limit: least, most, watchLeast or watchMost" }
      : null,
  reckon: verdictOf,
});
