import type { Book } from "../file/book.js";
import {
  counts,
  currentAt,
  viewSection,
  type CurrentRecord,
  type SectionView,
} from "./currentRecords.js";
import type { DatedRecord } from "./dated.js";
import type { Checklist } from "../records/checklist.js";
import type { Entry } from "../records/entry.js";
import type { Finding } from "../records/finding.js";
import type { Fluid } from "../records/fluid.js";
import type { ChecklistId, MachineId, ProductId } from "../records/ids.js";
import type { Machine } from "../records/machine.js";
import type { MeterChange } from "../records/meterChange.js";
import type { Product } from "../records/product.js";
import type { Reading } from "../records/reading.js";
import type { Round } from "../records/round.js";
import type { Task } from "../records/task.js";
import type { Visit } from "../records/visit.js";

/** All that the due rules need of one machine: its tasks and its records that count. */
export interface MachineRecords {
  readonly machine: Machine;
  readonly tasks: readonly Task[];
  /** Readings need no order: of several on one date the largest stands. */
  readonly readings: readonly Reading[];
  readonly meterChanges: readonly CurrentRecord<MeterChange>[];
  readonly entries: readonly CurrentRecord<Entry>[];
  readonly rounds: readonly CurrentRecord<Round>[];
  /** Its fluid systems, as far as the book at hand has them. */
  readonly fluids: readonly Fluid[];
  /** What was found on it, and the visits decided on, as far as the book at hand has them. */
  readonly findings: readonly Finding[];
  readonly visits: readonly Visit[];
  /** What its records may name of what belongs to no one machine. */
  readonly shared: SharedNames;
}

/** The products and checklists of a book, by id. */
export interface SharedNames {
  readonly products: ReadonlyMap<ProductId, Product>;
  readonly checklists: ReadonlyMap<ChecklistId, Checklist>;
}

type Undated = "tasks" | "fluids" | "findings" | "visits";
type Dated = "readings" | "meterChanges" | "entries" | "rounds";
type Sections = Pick<Book, Undated | Dated | "machines" | "products" | "checklists">;

/** The positions of a machine's records in their sections. */
interface Positions {
  readonly machine: Machine;
  readonly tasks: Task[];
  readonly fluids: Fluid[];
  readonly findings: Finding[];
  readonly visits: Visit[];
  readonly readings: number[];
  readonly meterChanges: number[];
  readonly entries: number[];
  readonly rounds: number[];
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
  private readonly rounds: SectionView<Round>;
  private readonly shared: SharedNames;

  constructor(book: Sections) {
    for (const machine of book.machines ?? []) {
      this.positions.set(machine.id, {
        ...{ machine, tasks: [], fluids: [], findings: [], visits: [] },
        ...{ readings: [], meterChanges: [], entries: [], rounds: [] },
      });
    }
    for (const task of book.tasks ?? []) this.positions.get(task.machine)?.tasks.push(task);
    for (const fluid of book.fluids ?? []) this.positions.get(fluid.machine)?.fluids.push(fluid);
    for (const one of book.findings ?? []) this.positions.get(one.machine)?.findings.push(one);
    for (const visit of book.visits ?? []) this.positions.get(visit.machine)?.visits.push(visit);
    this.shared = {
      products: new Map((book.products ?? []).map((product) => [product.id, product])),
      checklists: new Map((book.checklists ?? []).map((checklist) => [checklist.id, checklist])),
    };
    this.readings = viewSection(book.readings ?? []);
    this.meterChanges = viewSection(book.meterChanges ?? []);
    this.entries = viewSection(book.entries ?? []);
    this.rounds = viewSection(book.rounds ?? []);
    this.place(this.readings, "readings");
    this.place(this.meterChanges, "meterChanges");
    this.place(this.entries, "entries");
    this.place(this.rounds, "rounds");
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

  private place(
    { records }: SectionView<Reading | MeterChange | Entry | Round>,
    section: Dated,
  ): void {
    for (let index = 0; index < records.length; index += 1) {
      const machine = (records[index] as Reading).machine;
      this.positions.get(machine)?.[section].push(index);
    }
  }

  private recordsAt(own: Positions): MachineRecords {
    return {
      machine: own.machine,
      ...{ tasks: own.tasks, fluids: own.fluids, findings: own.findings, visits: own.visits },
      shared: this.shared,
      readings: countingOf(this.readings, own.readings),
      meterChanges: currentOf(this.meterChanges, own.meterChanges),
      entries: currentOf(this.entries, own.entries),
      rounds: currentOf(this.rounds, own.rounds),
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
