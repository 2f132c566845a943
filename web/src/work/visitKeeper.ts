import {
  awayOn,
  EMPTY_PLATE,
  machineBooksOf,
  visitsOfMachine,
  planningOf,
  plateNow,
  RECKONED_SECTIONS,
  settingsOf,
  usualRate,
  weekHoursOf,
  type Book,
  type DayNumber,
  type Machine,
  type MachineBook,
  type MachinePlan,
  type MachinePlate,
  type Planning,
  type PlanSource,
  type RecordOf,
  type Section,
  type WeekHours,
} from "@yonderfell/core";
import { groupBy } from "es-toolkit";
import type { BoardSource, JournalLine } from "../data/bookStorage.js";
import { Keeper, type KeptUpdate, type Reads, type Since } from "./kept/keeper.js";

/** A machine with what is planned for it. */
export interface PlannedMachine {
  /** As it is planned for: the days of its journeys are among those it cannot be spared. */
  readonly machine: Machine;
  readonly plan: MachinePlan;
  /** The minutes each of its tasks is estimated at, where they are. */
  readonly minutes: Readonly<Record<string, number>>;
  /** The number of the last record of its log; null where it has none. */
  readonly since: number | null;
}

/** What has become of the visits, and what they are weighed by. */
export interface VisitsUpdate extends KeptUpdate<PlannedMachine> {
  readonly planning: Planning;
  /** The hours of work there are, week by week from this one on. */
  readonly weekHours: readonly WeekHours[];
}

/** What visits are planned from. */
export type VisitSource = Pick<
  BoardSource,
  "machineBooks" | "list" | "lastSeq" | "changesAfter"
> & {
  ownSettings(): Promise<Book["settings"]>;
};

/** The sections that are read whole and kept, beside the machines' own records. */
const KEPT = [
  "fluids",
  "fitments",
  "visits",
  "journeys",
  "parts",
  "products",
  "people",
  "bays",
  "closures",
] as const;
type Kept = (typeof KEPT)[number];

const READS: Reads = {
  settings: ["dueWithinDays", "leadDays", "staleAfterDays", "planning"],
  sections: [...RECKONED_SECTIONS, ...KEPT],
};

/** Keeps the visits of a book current: plans all machines once, then those again that a change since has touched. */
export class VisitKeeper extends Keeper<VisitsUpdate> {
  private readonly kept = new Map<Kept, readonly RecordOf[Kept][]>();

  constructor(private readonly storage: VisitSource) {
    super(storage, READS);
  }

  protected override async make({
    today,
    seq,
    lines,
    machines: ids,
  }: Since): Promise<VisitsUpdate> {
    await this.readAgain(lines);
    const own = await this.storage.ownSettings();
    const planning = planningOf({ settings: own, closures: this.list("closures") });
    const source: PlanSource = {
      settings: settingsOf({ settings: own }),
      planning,
      parts: this.list("parts"),
      products: this.list("products"),
      rate: usualRate(this.list("people")),
    };
    const isWhole = ids === null;
    const books = isWhole ? await this.readAll() : await this.storage.machineBooks(ids);
    const machines = this.plan(books, source, today);
    const workshop = {
      ...{ people: this.list("people"), bays: this.list("bays") },
      closures: this.list("closures"),
    };
    const weekHours = weekHoursOf(workshop, planning, today, planning.weeks + 1);
    return { seq, today, isWhole, isCurrent: true, planning, weekHours, machines };
  }

  private list<S extends Kept>(section: S): readonly RecordOf[S][] {
    return (this.kept.get(section) ?? []) as readonly RecordOf[S][];
  }

  /** Reads the sections again that changes have touched; all where it is not known which. */
  private async readAgain(lines: readonly JournalLine[] | null): Promise<void> {
    const touched = lines?.flatMap((line) => line.change.records.map(({ section }) => section));
    for (const section of KEPT) {
      if (touched?.includes(section) === false) continue;
      this.kept.set(section, await this.storage.list(section));
    }
  }

  private async readAll(): Promise<readonly MachineBook[]> {
    const read: Partial<Record<Section, readonly unknown[]>> = {};
    // Whole, which is far faster than machine by machine; one after the other, so that a save waits for one of them at most.
    for (const section of RECKONED_SECTIONS) {
      read[section] = this.kept.get(section as Kept) ?? (await this.storage.list(section));
    }
    return machineBooksOf(read as unknown as Book);
  }

  private plan(
    books: readonly MachineBook[],
    source: PlanSource,
    today: DayNumber,
  ): PlannedMachine[] {
    const fluids = groupBy(this.list("fluids"), ({ machine }) => machine);
    const fitments = groupBy(this.list("fitments"), ({ machine }) => machine);
    const visits = groupBy(this.list("visits"), ({ machine }) => machine);
    const journeys = groupBy(this.list("journeys"), ({ machine }) => machine);
    return books.map((book) => {
      const [machine] = book.machines;
      const { id } = machine;
      const plate: MachinePlate = {
        ...EMPTY_PLATE,
        fluids: fluids[id] ?? [],
        fitments: fitments[id] ?? [],
      };
      const held = { visits: visits[id] ?? [], journeys: journeys[id] ?? [] };
      const plan = visitsOfMachine(book, plateNow(plate, book, today), held, source, today);
      // What moves its visits must know when it is away, as the plan does.
      return {
        machine: awayOn(machine, held.journeys, today),
        plan,
        minutes: minutesOf(book),
        since: lastNumber(book),
      };
    });
  }
}

function minutesOf({ tasks }: MachineBook): Record<string, number> {
  return Object.fromEntries(tasks.flatMap(({ id, minutes }) => (minutes ? [[id, minutes]] : [])));
}

function lastNumber({ entries }: MachineBook): number | null {
  const numbers = entries.flatMap(({ seq }) => seq ?? []);
  return numbers.length === 0 ? null : Math.max(...numbers);
}
