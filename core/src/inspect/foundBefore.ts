import type { Finding } from "../book/records/finding.js";
import { dayOf } from "../calendar/dayNumber.js";

/** Two of one kind within so many days are said to be so. */
const YEAR = 365;

const kindOf = ({ kind, what }: Finding): string => (kind ?? what ?? "").trim().toLowerCase();

/**
 * What else of the same kind was found on the same machine in the year up to the day of a finding, open or closed, the latest first: the
 * same thing twice has a cause that was not cured. What was found in the same round is one finding in several places, and does not count.
 */
export function foundBefore(findings: readonly Finding[], finding: Finding): Finding[] {
  const kind = kindOf(finding);
  const day = dayOf(finding.found);
  const isBefore = (one: Finding): boolean =>
    one.found < finding.found || (one.found === finding.found && one.id < finding.id);
  return findings
    .filter(
      (one) =>
        one.id !== finding.id &&
        one.machine === finding.machine &&
        kind !== "" &&
        kindOf(one) === kind &&
        !(one.round && one.round === finding.round) &&
        isBefore(one) &&
        day - dayOf(one.found) <= YEAR,
    )
    .toSorted((one, other) => (one.found < other.found ? 1 : -1));
}
