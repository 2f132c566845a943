import {
  isShared,
  type Change,
  type DayNumber,
  type Machine,
  type MachineId,
  type Section,
} from "@yonderfell/core";
import type { BoardSource, JournalLine } from "../../data/bookStorage.js";
import { settingsMoved, type Setting } from "./settingsMoved.js";

/** Something kept of one machine. */
interface OfMachine {
  readonly machine: Pick<Machine, "id">;
}

/** What has become of what is kept: all of it, or only the machines a change touched. */
export interface KeptUpdate<Kept extends OfMachine = OfMachine> {
  /** The number of the last change it takes in. */
  readonly seq: number;
  readonly today: DayNumber;
  /** Whether `machines` takes the place of all that stood; else they change or join it. */
  readonly isWhole: boolean;
  /** Whether it now matches the book and the day; if not, another update follows. */
  readonly isCurrent: boolean;
  readonly machines: readonly Kept[];
}

/** What is kept is made of: the settings and sections of the book that are read for it. A change of any other leaves it as it is. */
export interface Reads {
  readonly settings: readonly Setting[];
  readonly sections: readonly Section[];
}

/** What has come since the last time: null where all is to be made anew and it is not known what has changed. */
export interface Since {
  readonly today: DayNumber;
  readonly seq: number;
  readonly lines: readonly JournalLine[] | null;
  /** The machines to be made again; null for all. */
  readonly machines: readonly MachineId[] | null;
}

/** What every keeper needs of a book. */
export type KeptSource = Pick<BoardSource, "lastSeq" | "changesAfter">;

/**
 * Keeps something that is computed of each machine of a book current: makes all of it once, then again only what the
 * changes since have touched. A new day, a journal that does not go back far enough, and a change of what all
 * machines are made of make all of it anew.
 */
export abstract class Keeper<Update extends KeptUpdate> {
  protected seq = -1;
  protected today: DayNumber | null = null;
  private isBegun = false;

  constructor(
    private readonly source: KeptSource,
    private readonly reads: Reads,
  ) {}

  /** What has changed since the last call, as it becomes known; nothing where nothing has. */
  async *refresh(today: DayNumber): AsyncGenerator<Update, void, undefined> {
    if (!this.isBegun) {
      this.isBegun = true;
      yield* this.begin(today);
    }
    // Read first: what is written while reading is seen again at the next call.
    const seq = await this.source.lastSeq();
    if (this.today === today && this.seq === seq) return;
    const lines = this.today === today ? await this.source.changesAfter(this.seq) : null;
    const isWhole = lines === null || lines.some(({ change }) => movesAll(change, this.reads));
    const machines = isWhole ? null : machinesMoved(lines, this.reads);
    const update = await this.make({ today, seq, lines, machines });
    this.today = today;
    this.seq = seq;
    yield update;
  }

  /** Resolves once what is kept is stored as far as it is known, where it is stored at all; rejects where it could not be. */
  stored(): Promise<void> {
    return Promise.resolve();
  }

  /** What there is to show before anything is made; nothing, unless it was stored. */
  protected async *begin(_today: DayNumber): AsyncGenerator<Update, void, undefined> {
    // Nothing is stored.
  }

  /** Makes all of it, or some machines again. */
  protected abstract make(since: Since): Promise<Update>;
}

/** The machines whose records that are read some changes have touched. */
function machinesMoved(lines: readonly JournalLine[], { sections }: Reads): MachineId[] {
  const moved = lines.filter(({ change }) =>
    change.records.some(({ section }) => sections.includes(section)),
  );
  return [...new Set(moved.flatMap(({ machines }) => machines))];
}

/** Whether a change may move every machine, or adds or takes away one. */
function movesAll(change: Change, { settings, sections }: Reads): boolean {
  if (settingsMoved(change, settings)) return true;
  return change.records.some(({ section, before, after }) =>
    section === "machines"
      ? before === null || after === null
      : isShared(section) && sections.includes(section),
  );
}
