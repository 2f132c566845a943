import { formatDay, type DayNumber } from "../calendar/dayNumber.js";
import type { RecordGap } from "./document.js";

/** More days than these without any record are named as a gap. */
export const GAP_DAYS = 365;

/**
 * Stretches of over {@link GAP_DAYS} days of a span of which there is no record: before the first one (from the day in
 * service, where that is known and inside the span), between two, and since the last.
 *
 * @param days the days of which there is a record, in any order; those outside the span are passed over.
 */
export function gapsIn(
  days: readonly DayNumber[],
  from: DayNumber,
  to: DayNumber,
  inService: DayNumber | null,
): RecordGap[] {
  const known = [...new Set(days)]
    .filter((day) => day >= from && day <= to)
    .toSorted((a, b) => a - b);
  const begins = inService === null ? null : (Math.max(from, inService) as DayNumber);
  const first = known[0] ?? null;
  const edges: [DayNumber | null, DayNumber, RecordGap["why"]][] = [
    [begins, first ?? to, "before-the-first"],
    ...known
      .slice(1)
      .map((day, index): [DayNumber | null, DayNumber, RecordGap["why"]] => [
        known[index] ?? null,
        day,
        "between",
      ]),
    [known.at(-1) ?? null, to, "since-the-last"],
  ];
  return edges.flatMap(([one, other, why]) => {
    const long = one === null ? 0 : other - one;
    if (one === null || long <= GAP_DAYS) return [];
    return [{ from: formatDay(one), to: formatDay(other), days: long, why }];
  });
}
