import type { Book } from "../file/book.js";
import {
  counts,
  currentAt,
  viewSection,
  type CurrentRecord,
  type SectionView,
} from "./currentRecords.js";
import type { DatedRecord } from "./dated.js";
import type { Entry } from "../records/entry.js";
import type { FluidId, MachineId } from "../records/ids.js";
import type { Machine } from "../records/machine.js";
import type { MeterChange } from "../records/meterChange.js";
import type { Reading } from "../records/reading.js";
import type { Task } from "../records/task.js";

/** All that the due rules need of one machine: its tasks and its records that count. */
export interface MachineRecords {
  readonly machine: Machine;
  readonly tasks: readonly Task[];
  /** Readings need no order: of several on one date the largest stands. */
  readonly readings: readonly Reading[];
  readonly meterChanges: readonly CurrentRecord<MeterChange>[];
  readonly entries: readonly CurrentRecord<Entry>[];
  /** The kinds of the product in each of its fluid systems (oil base, coolant family), where one is recorded. */
  readonly inside: ReadonlyMap<FluidId, readonly string[]>;
}

type Sections = Pick<
  Book,
  "machines" | "tasks" | "readings" | "meterChanges" | "entries" | "fluids" | "products"
>;

/** The positions of a machine's records in their sections. */
interface Positions {
  readonly machine: Machine;
  readonly tasks: Task[];
  readonly readings: number[];
  readonly meterChanges: number[];
  readonly entries: number[];
  readonly inside: Map<FluidId, readonly string[]>;
}

/**
 * A book by machine. Holds positions only and makes a machine's records when they are asked for,
 * so that going through a large book keeps little in memory at a time.
 */
export class RecordsByMachine {
  private readonly positions = new Map<MachineId, Positions>();
  private readonly readings: SectionView<Reading>;
  private readonly meterChanges: SectionView<MeterChange>;
  private readonly entries: SectionView<Entry>;

  constructor(book: Sections) {
    for (const machine of book.machines ?? []) {
      this.positions.set(machine.id, {
        ...{ machine, tasks: [], readings: [], meterChanges: [], entries: [] },
        inside: new Map(),
      });
    }
    for (const task of book.tasks ?? []) this.positions.get(task.machine)?.tasks.push(task);
    this.fill(book);
    this.readings = viewSection(book.readings ?? []);
    this.meterChanges = viewSection(book.meterChanges ?? []);
    this.entries = viewSection(book.entries ?? []);
    this.place(this.readings, "readings");
    this.place(this.meterChanges, "meterChanges");
    this.place(this.entries, "entries");
  }

  /** The records of a machine, or undefined where the book has no such machine. */
  get(id: MachineId): MachineRecords | undefined {
    const own = this.positions.get(id);
    return own === undefined ? undefined : this.recordsAt(own);
  }

  /** The records of each machine in turn, in the order of the file. */
  *values(): Generator<MachineRecords> {
    for (const own of this.positions.values()) yield this.recordsAt(own);
  }

  /** What is in each fluid system, where it tells anything. */
  private fill({ fluids = [], products = [] }: Sections): void {
    const kinds = new Map(
      products.map(({ id, base, coolantFamily }) => [
        id as string,
        [base, coolantFamily].flatMap((kind) => kind ?? []),
      ]),
    );
    for (const { id, machine, product } of fluids) {
      const own = kinds.get(product ?? "") ?? [];
      if (own.length > 0) this.positions.get(machine)?.inside.set(id, own);
    }
  }

  private place(
    { records }: SectionView<Reading | MeterChange | Entry>,
    section: "readings" | "meterChanges" | "entries",
  ): void {
    for (let index = 0; index < records.length; index += 1) {
      const machine = (records[index] as Reading).machine;
      this.positions.get(machine)?.[section].push(index);
    }
  }

  private recordsAt(own: Positions): MachineRecords {
    return {
      machine: own.machine,
      tasks: own.tasks,
      inside: own.inside,
      readings: countingOf(this.readings, own.readings),
      meterChanges: currentOf(this.meterChanges, own.meterChanges),
      entries: currentOf(this.entries, own.entries),
    };
  }
}

function currentOf<T extends DatedRecord>(
  view: SectionView<T>,
  positions: readonly number[],
): CurrentRecord<T>[] {
  const current: CurrentRecord<T>[] = [];
  for (const index of positions) {
    const record = currentAt(view, index);
    if (record !== null) current.push(record);
  }
  return current;
}

function countingOf<T extends DatedRecord>(
  view: SectionView<T>,
  positions: readonly number[],
): T[] {
  const counting: T[] = [];
  for (const index of positions) if (counts(view, index)) counting.push(view.records[index] as T);
  return counting;
}

/** The records of a book by machine, machines in the order of the file. */
export function recordsByMachine(book: Sections): RecordsByMachine {
  return new RecordsByMachine(book);
}
