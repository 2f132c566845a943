import type { Book } from "../file/book.js";
import type { RecordOf } from "../records/recordSchemas.js";
import { crossingRecords } from "./crossing.js";
import type { DatedRecord } from "./dated.js";
import type { MachineId } from "../records/ids.js";
import { ownerOf } from "../references/ownerOf.js";
import { isDated, isOwned, type Section } from "../records/sections.js";
import { BOOK_NEEDS, type Inside, type MachineBook, type Need, type Slice } from "./slice.js";
import type { Task } from "../records/task.js";

/** Whether a limit of any of some tasks depends on the product that is in a fluid system. */
export function dependOnProducts(tasks: readonly Task[]): boolean {
  return tasks.some((task) =>
    Object.values(task.regimes ?? {}).some((limits) =>
      limits.some((limit) => (limit.for ?? []).length > 0),
    ),
  );
}

/** What of a book a command on a machine is given that has declared its needs; null where the book has no such machine. */
export function sliceOf<Needed extends Need>(
  book: Book,
  id: MachineId,
  needs: readonly Needed[],
): Slice<Needed> | null {
  const machine = (book.machines ?? []).find((candidate) => candidate.id === id);
  if (machine === undefined) return null;
  const tasks = (book.tasks ?? []).filter((task) => task.machine === id);
  const parts = needs.map((need: Need): object => {
    if (need === "inside") return dependOnProducts(tasks) ? inside(book, id) : {};
    return { [need]: ownRecords(book, id, need) };
  });
  return Object.assign({ machines: [machine] }, ...parts) as Slice<Needed>;
}

function ownRecords(
  book: Book,
  id: MachineId,
  section: Exclude<Section, "machines">,
): readonly RecordOf[Section][] {
  const records: readonly RecordOf[Section][] = book[section] ?? [];
  if (!isOwned(section)) return records;
  const crossing = new Set<unknown>(
    isDated(section) ? crossingRecords(records as readonly DatedRecord[]) : [],
  );
  return records.filter((record) => ownerOf(section, record) === id || crossing.has(record));
}

/** The part of a book that belongs to a machine, or null where the book has no such machine. */
export function machineBookOf(book: Book, id: MachineId): MachineBook | null {
  return sliceOf(book, id, BOOK_NEEDS);
}

function inside(book: Book, id: MachineId): Inside {
  const fluids = (book.fluids ?? []).filter((fluid) => fluid.machine === id);
  const named = new Set(fluids.map(({ product }) => product));
  return { fluids, products: (book.products ?? []).filter((product) => named.has(product.id)) };
}

/** The parts of a book of all of its machines, in the order of the file; each as {@link machineBookOf} has it, in one pass over the book. */
export function machineBooksOf(book: Book): MachineBook[] {
  const tasks = byMachine(book.tasks ?? []);
  const readings = partsOf(book.readings);
  const meterChanges = partsOf(book.meterChanges);
  const entries = partsOf(book.entries);
  return (book.machines ?? []).map((machine) => {
    const own = tasks.get(machine.id) ?? [];
    return {
      machines: [machine],
      tasks: own,
      readings: readings(machine.id),
      meterChanges: meterChanges(machine.id),
      entries: entries(machine.id),
      ...(dependOnProducts(own) ? inside(book, machine.id) : {}),
    };
  });
}

function byMachine<T extends { readonly machine: string }>(
  records: readonly T[],
): Map<string, T[]> {
  const found = new Map<string, T[]>();
  for (const record of records) {
    const list = found.get(record.machine);
    if (list === undefined) found.set(record.machine, [record]);
    else list.push(record);
  }
  return found;
}

/** The records of a section that belong in the part of a machine, in their order. */
function partsOf<T extends DatedRecord>(records: readonly T[] = []): (id: MachineId) => T[] {
  const crossing = crossingRecords(records);
  const own = byMachine(records);
  if (crossing.length === 0) return (id) => own.get(id) ?? [];
  const place = new Map(records.map((record, index) => [record, index]));
  const placeOf = (record: T): number => place.get(record) ?? 0;
  return (id) => {
    const foreign = crossing.filter(({ machine }) => machine !== id);
    return [...(own.get(id) ?? []), ...foreign].sort((one, other) => placeOf(one) - placeOf(other));
  };
}
