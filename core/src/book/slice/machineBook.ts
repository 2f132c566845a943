import type { Book } from "../file/book.js";
import type { RecordOf } from "../records/recordSchemas.js";
import { crossingRecords } from "./crossing.js";
import type { DatedOfMachine } from "./dated.js";
import type { Entry } from "../records/entry.js";
import type { Fluid } from "../records/fluid.js";
import type { ChecklistId, MachineId, ProductId } from "../records/ids.js";
import type { LimitRecord } from "../records/limitRecord.js";
import { ownerOf } from "../references/ownerOf.js";
import { isDated, isOwned, type Section } from "../records/sections.js";
import { BOOK_NEEDS, type Inside, type MachineBook, type Need, type Slice } from "./slice.js";
import type { Task } from "../records/task.js";

const limitsIn = (tasks: readonly Task[]): readonly LimitRecord[] =>
  tasks.flatMap((task) => Object.values(task.regimes ?? {}).flat());

/** Whether a limit of any of some tasks depends on the product that is in a fluid system. */
export function dependOnProducts(tasks: readonly Task[]): boolean {
  return limitsIn(tasks).some((limit) => (limit.for ?? []).length > 0);
}

/** The products that may be in the fluids of a machine: those its plate names, and those its entries put in. */
export function productsNamed(
  fluids: readonly Fluid[],
  entries: readonly Entry[],
): ReadonlySet<ProductId> {
  const used = entries.flatMap((entry) => entry.fluids ?? []);
  return new Set([...fluids, ...used].flatMap(({ product }) => product ?? []));
}

/** The checklists that limits of some tasks are measured by. */
export function checklistsNamed(tasks: readonly Task[]): ReadonlySet<ChecklistId> {
  return new Set(
    limitsIn(tasks).flatMap((limit) => ("checklist" in limit ? (limit.checklist ?? []) : [])),
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
    if (need === "inside") return inside(book, id, tasks, ownRecords(book, id, "entries"));
    return { [need]: ownRecords(book, id, need) };
  });
  return Object.assign({ machines: [machine] }, ...parts) as Slice<Needed>;
}

function ownRecords<S extends Exclude<Section, "machines">>(
  book: Book,
  id: MachineId,
  section: S,
): readonly RecordOf[S][] {
  const records = (book[section] ?? []) as readonly RecordOf[S][];
  if (!isOwned(section)) return records;
  const crossing = new Set<unknown>(
    isDated(section) ? crossingRecords(records as readonly DatedOfMachine[]) : [],
  );
  return records.filter((record) => ownerOf(section, record) === id || crossing.has(record));
}

/** The part of a book that belongs to a machine, or null where the book has no such machine. */
export function machineBookOf(book: Book, id: MachineId): MachineBook | null {
  return sliceOf(book, id, BOOK_NEEDS);
}

function inside(
  book: Book,
  id: MachineId,
  tasks: readonly Task[],
  entries: readonly Entry[],
): Inside {
  const lists = checklistsNamed(tasks);
  const measured =
    lists.size === 0
      ? {}
      : { checklists: (book.checklists ?? []).filter((list) => lists.has(list.id)) };
  if (!dependOnProducts(tasks)) return measured;
  const fluids = (book.fluids ?? []).filter((fluid) => fluid.machine === id);
  const named = productsNamed(fluids, entries);
  const products = (book.products ?? []).filter((product) => named.has(product.id));
  return { ...measured, fluids, products };
}

/** The parts of a book of all of its machines, in the order of the file; each as {@link machineBookOf} has it, in one pass over the book. */
export function machineBooksOf(book: Book): MachineBook[] {
  const tasks = byMachine(book.tasks ?? []);
  const readings = partsOf(book.readings);
  const meterChanges = partsOf(book.meterChanges);
  const entries = partsOf(book.entries);
  const rounds = partsOf(book.rounds);
  const findings = byMachine(book.findings ?? []);
  const visits = byMachine(book.visits ?? []);
  return (book.machines ?? []).map((machine) => {
    const own = tasks.get(machine.id) ?? [];
    const work = entries(machine.id);
    return {
      machines: [machine],
      tasks: own,
      readings: readings(machine.id),
      meterChanges: meterChanges(machine.id),
      entries: work,
      rounds: rounds(machine.id),
      findings: findings.get(machine.id) ?? [],
      visits: visits.get(machine.id) ?? [],
      ...inside(book, machine.id, own, work),
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
function partsOf<T extends DatedOfMachine>(records: readonly T[] = []): (id: MachineId) => T[] {
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
