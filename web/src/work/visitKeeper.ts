import {
  EMPTY_PLATE,
  visitsOfMachine,
  planningOf,
  settingsOf,
  SHARED_SECTIONS,
  usualRate,
  workHoursOf,
  type Book,
  type DayNumber,
  type Machine,
  type MachineBook,
  type MachineId,
  type MachinePlan,
  type MachinePlate,
  type Planning,
  type PlanSource,
  type RecordOf,
  type Section,
  type WorkHours,
} from "@yonderfell/core";
import { groupBy } from "es-toolkit";
import { settingsMoved } from "./settingsMoved.js";
import type { BoardSource, JournalLine } from "../data/bookStorage.js";

/** A machine with what is planned for it. */
export interface PlannedMachine {
  readonly machine: Machine;
  readonly plan: MachinePlan;
  /** The minutes each of its tasks is estimated at, where they are. */
  readonly minutes: Readonly<Record<string, number>>;
  /** The number of the last record of its log; null where it has none. */
  readonly since: number | null;
}

/** What has become of the visits: all machines, or only those a change touched. */
export interface VisitsUpdate {
  readonly seq: number;
  readonly today: DayNumber;
  readonly isWhole: boolean;
  readonly planning: Planning;
  readonly hours: WorkHours;
  readonly machines: readonly PlannedMachine[];
}

/** What visits are planned from. */
export type VisitSource = Pick<
  BoardSource,
  "machines" | "machineBooks" | "list" | "lastSeq" | "changesAfter"
> & {
  ownSettings(): Promise<Book["settings"]>;
};

/** So many machines are read from the store at a time, so that a save need not wait for all of them. */
const READ_AT_ONCE = 20;
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
] as const;
type Kept = (typeof KEPT)[number];

/**
 * Keeps the visits of a book current: plans all machines once, then those again that a change since
 * has touched; a new day, a change of the settings or of what machines share plans all anew.
 */
export class VisitKeeper {
  private seq = -1;
  private today: DayNumber | null = null;
  private readonly kept = new Map<Kept, readonly RecordOf[Kept][]>();

  constructor(private readonly storage: VisitSource) {}

  /** What has changed since the last call; null where nothing has. */
  async refresh(today: DayNumber): Promise<VisitsUpdate | null> {
    // Read first: what is written while reading is seen again at the next call.
    const seq = await this.storage.lastSeq();
    if (this.today === today && this.seq === seq) return null;
    const lines = this.today === today ? await this.storage.changesAfter(this.seq) : null;
    const isWhole = lines === null || lines.some(movesAll);
    await this.readAgain(lines);
    const own = await this.storage.ownSettings();
    const planning = planningOf({ settings: own });
    const source: PlanSource = {
      settings: settingsOf({ settings: own }),
      planning,
      parts: this.list("parts"),
      products: this.list("products"),
      rate: usualRate(this.list("people")),
    };
    const ids = isWhole
      ? (await this.storage.machines()).map(({ id }) => id)
      : [...new Set(lines.flatMap((line) => line.machines))];
    const machines = await this.plan(ids, source, today);
    this.today = today;
    this.seq = seq;
    const hours = workHoursOf(this.list("people"), this.list("bays"));
    return { seq, today, isWhole, planning, hours, machines };
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

  private async plan(
    ids: readonly MachineId[],
    source: PlanSource,
    today: DayNumber,
  ): Promise<PlannedMachine[]> {
    const fluids = groupBy(this.list("fluids"), ({ machine }) => machine);
    const fitments = groupBy(this.list("fitments"), ({ machine }) => machine);
    const visits = groupBy(this.list("visits"), ({ machine }) => machine);
    const journeys = groupBy(this.list("journeys"), ({ machine }) => machine);
    const planned: PlannedMachine[] = [];
    for (let from = 0; from < ids.length; from += READ_AT_ONCE) {
      for (const book of await this.storage.machineBooks(ids.slice(from, from + READ_AT_ONCE))) {
        const [machine] = book.machines;
        const { id } = machine;
        const plate: MachinePlate = {
          ...EMPTY_PLATE,
          fluids: fluids[id] ?? [],
          fitments: fitments[id] ?? [],
        };
        const held = { visits: visits[id] ?? [], journeys: journeys[id] ?? [] };
        const plan = visitsOfMachine(book, plate, held, source, today);
        planned.push({ machine, plan, minutes: minutesOf(book), since: lastNumber(book) });
      }
    }
    return planned;
  }
}

function minutesOf({ tasks }: MachineBook): Record<string, number> {
  return Object.fromEntries(tasks.flatMap(({ id, minutes }) => (minutes ? [[id, minutes]] : [])));
}

function lastNumber({ entries }: MachineBook): number | null {
  const numbers = entries.flatMap(({ seq }) => seq ?? []);
  return numbers.length === 0 ? null : Math.max(...numbers);
}

/** Whether a change may move the visits of every machine, or adds or takes away one. */
function movesAll({ change }: JournalLine): boolean {
  const shared: readonly Section[] = SHARED_SECTIONS;
  return (
    settingsMoved(change, ["dueWithinDays", "leadDays", "staleAfterDays", "planning"]) ||
    change.records.some(
      ({ section, before, after }) =>
        shared.includes(section) || (section === "machines" && (before === null || after === null)),
    )
  );
}
