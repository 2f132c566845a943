import { anyFigure, listOf, noneOrMore, orUnknown, usually } from "../sums/field.js";
import { isAtLeast } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import { byLife, trendOf } from "./trend.js";
import { measuredAt } from "./trendSum.js";
import type { Verdict } from "./verdict.js";

const WATCH = 0.8;

const verdictOf = (used: number): Verdict => {
  if (isAtLeast(used, 1)) return "attend";
  return isAtLeast(used, WATCH) ? "watch" : "sound";
};

/** The share of its limit that something which grows has used, 1 where it has met it; `limit` above `clean`, all in one unit. Source: sums, share-of-limit. */
export const shareUsed = (value: number, clean: number, limit: number): number =>
  (value - clean) / (limit - clean);

/** How much of its limit a restriction that grows has used, as of a filter, and when it meets it. */
export const SHARE_OF_LIMIT = asked({
  name: "share-of-limit",
  about: "How much of its limit a restriction has used, and when it meets it.",
  fields: {
    readings: listOf(measuredAt, 1),
    clean: usually(anyFigure("what it is when clean"), 0),
    limit: anyFigure("the limit"),
    lifeNow: noneOrMore("life now, in the meter's unit"),
    perDay: orUnknown(noneOrMore("life a day")),
  },
  mismatch: ({ clean, limit }) =>
    limit > clean ? null : { path: ["limit"], expected: "more than what it is when clean" },
  reckon: ({ readings, clean, limit, lifeNow, perDay }) => {
    const value = byLife(readings).at(-1)?.value ?? clean;
    const used = shareUsed(value, clean, limit);
    const trend = trendOf({
      ...{ points: readings, limit, wears: "up", fitted: null, lifeNow, perDay },
    });
    return { used, verdict: verdictOf(used), trend };
  },
});
