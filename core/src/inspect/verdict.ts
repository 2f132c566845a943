import { anyFigure, listOf, noneOrMore, oneOf, orUnknown, usually } from "../sums/field.js";
import { mean } from "../sums/middle.js";
import { isAbove, isBelow } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";

/** What something that was looked at or measured is found to be. */
export type Verdict = "sound" | "watch" | "attend" | "stop";

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
  reckon: ({ readings, least, most, watchLeast, watchMost, severity, ...given }) => {
    const value = mean(readings);
    const doubt = Math.max(given.uncertainty / Math.sqrt(readings.length), given.resolution / 2);
    const isUnder = (figure: number, limit: number | null): boolean =>
      limit !== null && isBelow(figure, limit);
    const isOver = (figure: number, limit: number | null): boolean =>
      limit !== null && isAbove(figure, limit);
    const judge = (): Verdict | "too close to call" => {
      if (isUnder(value + doubt, least) || isOver(value - doubt, most)) return severity;
      const isClose = isUnder(value - doubt, least) || isOver(value + doubt, most);
      if (isAbove(doubt, 0) && isClose) return "too close to call";
      return isUnder(value, watchLeast) || isOver(value, watchMost) ? "watch" : "sound";
    };
    return { value, uncertainty: doubt, verdict: judge() };
  },
});
