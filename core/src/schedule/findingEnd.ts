import type { Entry } from "../book/records/entry.js";
import type { Finding } from "../book/records/finding.js";
import type { CurrentRecord } from "../book/slice/currentRecords.js";
import { dayOf, type DayNumber } from "../calendar/dayNumber.js";

/** How a finding ended. */
export interface FindingEnd {
  readonly on: DayNumber;
  /** The note of the work that closed it, or how a person says it is known; may be empty. */
  readonly how: string;
  /** Whether work closed it, or a person without work. */
  readonly isWork: boolean;
}

/** How a finding ended up to a day: by the earliest work that counts, else by a person; null where it is open (records §3). */
export function findingEnd(
  { id, closed }: Pick<Finding, "id" | "closed">,
  entries: readonly CurrentRecord<Entry>[],
  until: DayNumber,
): FindingEnd | null {
  const work = entries
    .filter(({ day, record }) => day <= until && (record.closes ?? []).includes(id))
    .toSorted((one, other) => one.day - other.day)[0];
  if (work !== undefined) return { on: work.day, how: work.record.note ?? "", isWork: true };
  if (!closed || dayOf(closed.on) > until) return null;
  return { on: dayOf(closed.on), how: closed.how, isWork: false };
}
