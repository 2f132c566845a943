import type { Book, RecordOf } from "./book.js";
import { crossingRecords } from "./crossing.js";
import type { DatedRecord } from "./dated.js";
import type { MachineId } from "./ids.js";
import type { Machine } from "./machine.js";

/**
 * The part of a book that belongs to one machine: what commands on it need, superseded records and
 * all. Where a record replaces one of another machine, both are in the part of either.
 */
export interface MachineBook {
  readonly machines: readonly [Machine];
  readonly tasks: readonly RecordOf["tasks"][];
  readonly readings: readonly RecordOf["readings"][];
  readonly meterChanges: readonly RecordOf["meterChanges"][];
  readonly entries: readonly RecordOf["entries"][];
}

/** The part of a book that belongs to a machine, or null where the book has no such machine. */
export function machineBookOf(book: Book, id: MachineId): MachineBook | null {
  const machine = (book.machines ?? []).find((candidate) => candidate.id === id);
  if (machine === undefined) return null;
  const own = <T extends DatedRecord>(records: readonly T[] = []): T[] => {
    const crossing = new Set(crossingRecords(records));
    return records.filter((record) => record.machine === id || crossing.has(record));
  };
  return {
    machines: [machine],
    tasks: (book.tasks ?? []).filter((task) => task.machine === id),
    readings: own(book.readings),
    meterChanges: own(book.meterChanges),
    entries: own(book.entries),
  };
}
