import { applyChange, type Change } from "../../book/change/change.js";
import type { Book } from "../../book/file/book.js";
import type { Entry } from "../../book/records/entry.js";
import type { MachineId } from "../../book/records/ids.js";
import { recordsByMachine } from "../../book/slice/machineRecords.js";
import { dayOf, type DayNumber } from "../../calendar/dayNumber.js";
import { assumedFollowUps, followUpsOwedBy, type OwedFollowUp } from "../../ledger/followUps.js";
import type { CsvNumbering } from "./csvPlan.js";

/** The follow-ups that a table of entries leaves owed on one machine. */
export interface CsvFollowUps {
  readonly machine: MachineId;
  readonly owed: readonly OwedFollowUp[];
}

/**
 * The follow-ups that bringing in a change's entries of days before `today` leaves to be done, though they may
 * have been done with them, machine by machine; asked about once for the whole table.
 */
export function csvFollowUps(book: Book, change: Change, today: DayNumber): CsvFollowUps[] {
  const entries = new Map<MachineId, Set<string>>();
  for (const { section, after } of change.records) {
    const entry = section === "entries" ? (after as Entry | null) : null;
    if (entry === null || dayOf(entry.date) >= today) continue;
    const own = entries.get(entry.machine) ?? new Set<string>();
    entries.set(entry.machine, own.add(entry.id));
  }
  if (entries.size === 0) return [];
  const records = recordsByMachine(applyChange(book, change));
  return [...entries].flatMap(([machine, ids]) => {
    const own = records.get(machine);
    const owed = own === undefined ? [] : followUpsOwedBy(own, ids, today);
    return owed.length === 0 ? [] : [{ machine, owed }];
  });
}

/** The change with the follow-ups taken as done with the work they follow. */
export function withFollowUps(
  change: Change,
  followUps: readonly CsvFollowUps[],
  context: CsvNumbering,
): Change {
  const assumed = followUps.flatMap(({ machine, owed }) =>
    assumedFollowUps(machine, owed, context),
  );
  return { ...change, records: [...change.records, ...assumed] };
}
