import { workedCases } from "../../test/vectors.js";
import { readBook } from "../book/file/readBook.js";
import { dayOf } from "../calendar/dayNumber.js";
import { dueList, type DueList, type DueListLimit } from "./dueList.js";
import { reckonBook } from "./reckonBook.js";

const DATES = ["early", "likely", "late"] as const;

/** The same due list with the dates of meter limits moved to the expected ones where they are within a day of them. */
function toleratingADay(found: DueList, expected: DueList): DueList {
  const limitOf = (machine: number, task: number, limit: number): DueListLimit | undefined =>
    expected.machines[machine]?.tasks[task]?.limits[limit];
  const near = (one: string | null, other: string | null | undefined): string | null =>
    one !== null && other && Math.abs(dayOf(one) - dayOf(other)) <= 1 ? other : one;
  return {
    ...found,
    machines: found.machines.map((machine, m) => ({
      ...machine,
      tasks: machine.tasks.map((task, t) => ({
        ...task,
        limits: task.limits.map((limit, l) => {
          if (limit.kind === "calendar") return limit;
          const dates = DATES.map((key) => [key, near(limit[key], limitOf(m, t, l)?.[key])]);
          return { ...limit, ...(Object.fromEntries(dates) as object) };
        }),
      })),
    })),
  };
}

/** Numbers within 0.01 stand as the expected ones. */
function toleratingHundredths(found: unknown, expected: unknown): unknown {
  if (typeof found === "number" && typeof expected === "number") {
    return Math.abs(found - expected) <= 0.01 ? expected : found;
  }
  if (Array.isArray(found) && Array.isArray(expected)) {
    return found.map((item, index) => toleratingHundredths(item, expected[index]));
  }
  if (
    typeof found === "object" &&
    found !== null &&
    typeof expected === "object" &&
    expected !== null
  ) {
    const known = expected as Record<string, unknown>;
    return Object.fromEntries(
      Object.entries(found).map(([key, value]) => [key, toleratingHundredths(value, known[key])]),
    );
  }
  return found;
}

test.each(workedCases().map((worked) => [worked.name, worked] as const))(
  "worked case %s comes out as expected",
  (_, { book, on, due }) => {
    const read = readBook(book);
    if (!read.ok) throw new Error(JSON.stringify(read.issues[0]));
    const today = dayOf(on);
    const found = toleratingADay(dueList(reckonBook(read.value, today), today), due);
    expect(toleratingHundredths(found, due)).toEqual(due);
  },
);
