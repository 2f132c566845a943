import type { Book } from "./book.js";
import { currentRecords, type CurrentRecord } from "./currentRecords.js";
import type { Entry } from "./entry.js";
import type { MachineId } from "./ids.js";
import type { Machine } from "./machine.js";
import type { MeterChange } from "./meterChange.js";
import type { Reading } from "./reading.js";
import type { Task } from "./task.js";

/** All that the due rules need of one machine: its tasks and its records that count. */
export interface MachineRecords {
  readonly machine: Machine;
  readonly tasks: readonly Task[];
  readonly readings: readonly CurrentRecord<Reading>[];
  readonly meterChanges: readonly CurrentRecord<MeterChange>[];
  readonly entries: readonly CurrentRecord<Entry>[];
}

interface Gathering extends MachineRecords {
  readonly tasks: Task[];
  readonly readings: CurrentRecord<Reading>[];
  readonly meterChanges: CurrentRecord<MeterChange>[];
  readonly entries: CurrentRecord<Entry>[];
}

/** The records of a book by machine, machines in the order of the file. */
export function recordsByMachine(
  book: Pick<Book, "machines" | "tasks" | "readings" | "meterChanges" | "entries">,
): Map<MachineId, MachineRecords> {
  const byMachine = new Map<MachineId, Gathering>();
  for (const machine of book.machines ?? []) {
    byMachine.set(machine.id, { machine, tasks: [], readings: [], meterChanges: [], entries: [] });
  }
  for (const task of book.tasks ?? []) byMachine.get(task.machine)?.tasks.push(task);
  for (const current of currentRecords(book.readings ?? [])) {
    byMachine.get(current.record.machine)?.readings.push(current);
  }
  for (const current of currentRecords(book.meterChanges ?? [])) {
    byMachine.get(current.record.machine)?.meterChanges.push(current);
  }
  for (const current of currentRecords(book.entries ?? [])) {
    byMachine.get(current.record.machine)?.entries.push(current);
  }
  return byMachine;
}
