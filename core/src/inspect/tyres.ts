import {
  addDays,
  dayFromParts,
  formatDay,
  parseDay,
  partsFromDay,
  type DayNumber,
} from "../calendar/dayNumber.js";
import { aboveNone, noneOrMore, orUnknown, text, usually, whole } from "../sums/field.js";
import { isAtMost, isBelow } from "../sums/nearly.js";
import { asked } from "../sums/sum.js";
import type { Verdict } from "./verdict.js";

/** Above the limit by less than this it is to be attended to. */
const NEAR_LIMIT = 0.5;

const depth = (where: string) => orUnknown(noneOrMore(`millimetres ${where}`));

/** What the tread of a tyre says, in millimetres: how deep, and how it wears across. */
export const TREAD = asked({
  name: "tread",
  about: "What the tread of a tyre says: how deep it is, and how it wears.",
  fields: {
    inner: depth("inside"),
    middle: depth("in the middle"),
    outer: depth("outside"),
    limit: usually(aboveNone("millimetres that the law asks for"), 1.6),
    watch: usually(aboveNone("millimetres below which it is watched"), 3),
    uneven: usually(aboveNone("millimetres that are no longer even"), 1),
  },
  mismatch: ({ inner, middle, outer }) =>
    inner === null && middle === null && outer === null
      ? { path: ["middle"], expected: "at least one figure: inner, middle or outer" }
      : null,
  reckon: ({ inner, middle, outer, limit, watch, uneven }) => {
    const read = [inner, middle, outer].filter((value) => value !== null);
    const least = Math.min(...read);
    const isLess = (one: number | null, other: number | null): boolean =>
      one !== null && other !== null && isAtMost(one + uneven, other);
    const hints = [
      ["centre-worn", isLess(middle, inner) && isLess(middle, outer)],
      ["shoulders-worn", isLess(inner, middle) && isLess(outer, middle)],
      ["inner-worn", isLess(inner, outer)],
      ["outer-worn", isLess(outer, inner)],
    ] as const;
    return {
      least,
      verdict: treadVerdict(least, limit, watch),
      hints: hints.flatMap(([hint, isSo]) => (isSo ? [hint] : [])),
    };
  },
});

function treadVerdict(least: number, limit: number, watch: number): Verdict {
  if (isBelow(least, limit)) return "stop";
  if (isBelow(least, limit + NEAR_LIMIT)) return "attend";
  return isBelow(least, watch) ? "watch" : "sound";
}

const DAYS_IN_YEAR = 365.2425;
const LAST_WEEK = 53;

/** The Monday of a week of a year by ISO 8601: that of week 1 holds 4 January. */
function mondayOf(year: number, week: number): DayNumber {
  const fourth = dayFromParts(year, 1, 4);
  // 1970-01-01 was a Thursday.
  const sinceMonday = (((fourth + 3) % 7) + 7) % 7;
  return addDays(fourth, (week - 1) * 7 - sinceMonday);
}

/** Whether a day is at least so many years after another; 29 February counts as the 28th in other years. */
function isYearsAfter(made: DayNumber, years: number, on: DayNumber): boolean {
  const { year, month, dayOfMonth } = partsFromDay(made);
  const then = year + years;
  const isLeap = (then % 4 === 0 && then % 100 !== 0) || then % 400 === 0;
  const day = month === 2 && dayOfMonth === 29 && !isLeap ? 28 : dayOfMonth;
  return on >= dayFromParts(then, month, day);
}

/** How old a tyre is on a day (`YYYY-MM-DD`), by the date code on its side: week and year, as `4826`. */
export const TYRE_AGE = asked({
  name: "tyre-age",
  about: "How old a tyre is, by the date code on its side.",
  fields: {
    code: text("the date code, such as 4826"),
    on: text("a date as YYYY-MM-DD", (value) => parseDay(value) !== null),
    watchFrom: usually(whole("years from which it is watched", 1), 6),
    attendFrom: usually(whole("years from which it is attended to", 1), 10),
  },
  reckon: ({ code, watchFrom, attendFrom, ...given }) => {
    // Before 2000 the code had three figures, and did not say which ten years.
    if (/^\d{3}$/.test(code)) return { made: null, years: null, verdict: "attend" };
    if (!/^\d{4}$/.test(code)) return { refused: "not-a-date-code" };
    const week = Number(code.slice(0, 2));
    if (week === 0 || week > LAST_WEEK) return { refused: "no-such-week" };
    const made = mondayOf(2000 + Number(code.slice(2)), week);
    const on = parseDay(given.on) ?? made;
    if (made > on) return { refused: "not-made-yet" };
    const verdict = isYearsAfter(made, attendFrom, on)
      ? "attend"
      : isYearsAfter(made, watchFrom, on)
        ? "watch"
        : "sound";
    return { made: formatDay(made), years: (on - made) / DAYS_IN_YEAR, verdict };
  },
});
