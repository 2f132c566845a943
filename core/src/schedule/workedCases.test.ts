import { workedCases } from "../../test/vectors.js";
import { readBook } from "../book/file/readBook.js";
import { dayOf } from "../calendar/dayNumber.js";
import { dueList } from "./dueList.js";
import { reckonBook } from "./reckonBook.js";

const DATES = ["early", "likely", "late"];

const isNear = (one: string, other: string): boolean => Math.abs(dayOf(one) - dayOf(other)) <= 1;

/** Numbers within 0.01, and dates of forecasts by a meter within a day, stand as the expected ones. */
function tolerated(found: unknown, expected: unknown, mayBeADayOff = false): unknown {
  if (typeof found === "number" && typeof expected === "number") {
    return Math.abs(found - expected) <= 0.01 ? expected : found;
  }
  if (typeof found === "string" && typeof expected === "string" && mayBeADayOff) {
    return isNear(found, expected) ? expected : found;
  }
  if (Array.isArray(found) && Array.isArray(expected)) {
    return found.map((item, index) => tolerated(item, expected[index]));
  }
  if (typeof found !== "object" || found === null) return found;
  const known = (expected ?? {}) as Readonly<Record<string, unknown>>;
  const isByMeter = "kind" in found && found.kind !== "calendar";
  return Object.fromEntries(
    Object.entries(found).map(([key, value]) => [
      key,
      tolerated(value, known[key], isByMeter && DATES.includes(key)),
    ]),
  );
}

test.each(workedCases().map((worked) => [worked.name, worked] as const))(
  "worked case %s comes out as expected",
  (_, { book, on, due }) => {
    const read = readBook(book);
    if (!read.ok) throw new Error(JSON.stringify(read.issues[0]));
    const today = dayOf(on);
    expect(tolerated(dueList(reckonBook(read.value, today), today), due)).toEqual(due);
  },
);
