import {
  reckonBoard,
  reckonMachineBook,
  settingsOf,
  type BoardMachine,
  type Change,
  type DayNumber,
  type MachineId,
  type Settings,
} from "@yonderfell/core";
import type { BookStorage } from "../data/bookStorage.js";

/** What has become of the board: all of it, or only the machines a change touched. */
export interface BoardUpdate {
  readonly seq: number;
  readonly today: DayNumber;
  /** Whether `machines` is the whole board, in order, rather than the part that changed. */
  readonly isWhole: boolean;
  readonly machines: readonly BoardMachine[];
}

/** The machines whose records a change touches. */
export function machinesTouched(change: Change): Set<MachineId> {
  const touched = new Set<MachineId>();
  for (const { section, before, after } of change.records) {
    for (const record of [before, after]) {
      if (record === null) continue;
      touched.add(
        section === "machines"
          ? (record.id as MachineId)
          : (record as { machine: MachineId }).machine,
      );
    }
  }
  return touched;
}

/**
 * Keeps the board of a book current: reckons all of it once, then only the machines that the
 * changes since have touched. A new day reckons all again.
 */
export class BoardKeeper {
  private seq = -1;
  private today: DayNumber | null = null;
  private settings: Settings | null = null;

  constructor(private readonly storage: BookStorage) {}

  /** What has changed on the board since the last call; null where nothing has. */
  async refresh(today: DayNumber): Promise<BoardUpdate | null> {
    const lastSeq = await this.storage.lastSeq();
    if (this.today === today && this.seq === lastSeq) return null;
    const lines = this.today === today ? await this.storage.changesAfter(this.seq) : null;
    const touched = lines?.map((line) => machinesTouched(line.change)) ?? null;
    const addsMachines = lines?.some((line) =>
      line.change.records.some((record) => record.section === "machines"),
    );
    if (touched === null || addsMachines === true) return this.reckonAll(today, lastSeq);
    const ids = new Set(touched.flatMap((machines) => [...machines]));
    const update = await this.reckonSome(ids, today, lastSeq);
    this.seq = lastSeq;
    return update;
  }

  private async reckonAll(today: DayNumber, seq: number): Promise<BoardUpdate> {
    const book = await this.storage.everything();
    const machines = reckonBoard(book, today);
    this.settings = settingsOf(book);
    this.today = today;
    this.seq = seq;
    return { seq, today, isWhole: true, machines };
  }

  private async reckonSome(
    ids: ReadonlySet<MachineId>,
    today: DayNumber,
    seq: number,
  ): Promise<BoardUpdate> {
    const settings = this.settings ?? (await this.storage.settings());
    const machines: BoardMachine[] = [];
    for (const id of ids) {
      const book = await this.storage.machineBook(id);
      if (book !== null) machines.push(reckonMachineBook(book, settings, today));
    }
    return { seq, today, isWhole: false, machines };
  }
}
