import type { Book, RecordOf } from "./book.js";
import type { MachineId } from "./ids.js";
import type { Machine } from "./machine.js";

/** The part of a book that belongs to one machine: what commands on it need, superseded records and all. */
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
  const own = <T extends { readonly machine: MachineId }>(records: readonly T[] | undefined): T[] =>
    (records ?? []).filter((record) => record.machine === id);
  return {
    machines: [machine],
    tasks: own(book.tasks),
    readings: own(book.readings),
    meterChanges: own(book.meterChanges),
    entries: own(book.entries),
  };
}
