import {
  machinesInOrder,
  reckonMachineBook,
  RECKONED_SECTIONS,
  type BoardMachine,
  type DayNumber,
} from "@yonderfell/core";
import type { BoardSource } from "../data/bookStorage.js";
import { Keeper, type KeptUpdate, type Reads, type Since } from "./kept/keeper.js";

/** What has become of the board; where it is whole, most pressing first. */
export type BoardUpdate = KeptUpdate<BoardMachine>;

/** What the board is made of. */
const READS: Reads = {
  settings: ["dueWithinDays", "leadDays", "staleAfterDays"],
  sections: RECKONED_SECTIONS,
};

/** So many machines of a stored board are shown before the rest is read. */
const AT_ONCE = 20;
/** So many machines are read from the store at a time, so that a save need not wait for all of them. */
const READ_AT_ONCE = 20;

/** A machine as an earlier program may have stored it: without what was found. */
const withFindings = (machine: BoardMachine): BoardMachine => {
  const { findings = [] } = machine as Partial<BoardMachine>;
  return { ...machine, findings };
};

/**
 * Keeps the board of a book current. Begins with the board as it was last stored, then reckons only
 * the machines that the changes since have touched. Another program reckons all again.
 */
export class BoardKeeper extends Keeper<BoardUpdate> {
  private storing: Promise<void> = Promise.resolve();

  /** `program` names the code that reckons; a board stored by another is shown but not relied on. */
  constructor(
    private readonly storage: BoardSource,
    private readonly program: string,
  ) {
    super(storage, READS);
  }

  override stored(): Promise<void> {
    return this.storing;
  }

  protected override async *begin(today: DayNumber): AsyncGenerator<BoardUpdate, void, undefined> {
    const top = await this.storage.storedBoard(AT_ONCE);
    if (top === null) return;
    const { seq: seqThen, today: dayThen } = top;
    const first = top.machines.map(withFindings);
    yield { seq: seqThen, today: dayThen, isWhole: true, isCurrent: false, machines: first };
    const stored = await this.storage.storedBoard();
    if (stored === null) return;
    const { seq } = stored;
    const machines = stored.machines.map(withFindings);
    if (stored.program === this.program) {
      this.today = stored.today;
      this.seq = seq;
    }
    const isCurrent = this.today === today && seq === (await this.storage.lastSeq());
    const shown = new Set(first.map((one) => one.machine.id));
    const rest = machines.filter((one) => !shown.has(one.machine.id));
    yield { seq, today: stored.today, isWhole: false, isCurrent, machines: rest };
  }

  protected override async make({ today, seq, machines: ids }: Since): Promise<BoardUpdate> {
    const all = ids ?? (await this.storage.machines()).map((machine) => machine.id);
    const settings = await this.storage.settings();
    const reckoned: BoardMachine[] = [];
    for (let from = 0; from < all.length; from += READ_AT_ONCE) {
      const books = await this.storage.machineBooks(all.slice(from, from + READ_AT_ONCE));
      for (const book of books) reckoned.push(reckonMachineBook(book, settings, today));
    }
    const isWhole = ids === null;
    const machines = isWhole ? machinesInOrder(reckoned) : reckoned;
    const update = { seq, today, isWhole, isCurrent: true, machines };
    this.store(update, isWhole ? null : this.seq);
    return update;
  }

  private store({ seq, today, machines }: BoardUpdate, from: number | null): void {
    const board = { seq, today, program: this.program, machines };
    // What could not be stored before has been told by stored(); it does not keep this one from being tried.
    this.storing = this.storing
      .catch(() => undefined)
      .then(() => this.storage.storeBoard(board, from));
  }
}
