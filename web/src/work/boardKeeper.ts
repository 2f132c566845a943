import {
  machinesInOrder,
  reckonMachineBook,
  type BoardMachine,
  type DayNumber,
  type MachineId,
} from "@yonderfell/core";
import type { BoardSource, JournalLine } from "../data/bookStorage.js";
import { settingsMoved } from "./settingsMoved.js";

/** What has become of the board: all of it, or only the machines a change touched. */
export interface BoardUpdate {
  readonly seq: number;
  readonly today: DayNumber;
  /** Whether `machines` takes the place of all that stood, most pressing first; else they change or join it. */
  readonly isWhole: boolean;
  /** Whether the board now matches the book and the day; if not, another update follows. */
  readonly isCurrent: boolean;
  readonly machines: readonly BoardMachine[];
}

/** So many machines of a stored board are shown before the rest is read. */
const AT_ONCE = 20;
/** So many machines are read from the store at a time, so that a save need not wait for all of them. */
const READ_AT_ONCE = 20;

/**
 * Keeps the board of a book current. Begins with the board as it was last stored, then reckons only
 * the machines that the changes since have touched. A new day, another program, or a journal that
 * does not go back far enough reckons all again.
 */
export class BoardKeeper {
  private seq = -1;
  private today: DayNumber | null = null;
  private isBegun = false;
  private storing: Promise<void> = Promise.resolve();

  /** `program` names the code that reckons; a board stored by another is shown but not relied on. */
  constructor(
    private readonly storage: BoardSource,
    private readonly program: string,
  ) {}

  /** What has changed on the board since the last call, as it becomes known; nothing where nothing has. */
  async *refresh(today: DayNumber): AsyncGenerator<BoardUpdate, void, undefined> {
    if (!this.isBegun) {
      this.isBegun = true;
      yield* this.begin(today);
    }
    // Read first: what is written while reading is seen again at the next call.
    const lastSeq = await this.storage.lastSeq();
    if (this.today === today && this.seq === lastSeq) return;
    const lines = this.today === today ? await this.storage.changesAfter(this.seq) : null;
    const update =
      lines === null || lines.some(movesAll)
        ? await this.reckonAll(today, lastSeq)
        : await this.reckonSome(lines, today, lastSeq);
    this.store(update, update.isWhole ? null : this.seq);
    this.today = today;
    this.seq = lastSeq;
    yield update;
  }

  /** Resolves once the board is stored as far as it is known; rejects where it could not be. */
  stored(): Promise<void> {
    return this.storing;
  }

  private async *begin(today: DayNumber): AsyncGenerator<BoardUpdate, void, undefined> {
    const top = await this.storage.storedBoard(AT_ONCE);
    if (top === null) return;
    const { seq: seqThen, today: dayThen, machines: first } = top;
    yield { seq: seqThen, today: dayThen, isWhole: true, isCurrent: false, machines: first };
    const stored = await this.storage.storedBoard();
    if (stored === null) return;
    const { seq, machines } = stored;
    if (stored.program === this.program) {
      this.today = stored.today;
      this.seq = seq;
    }
    const isCurrent = this.today === today && seq === (await this.storage.lastSeq());
    const shown = new Set(first.map((one) => one.machine.id));
    const rest = machines.filter((one) => !shown.has(one.machine.id));
    yield { seq, today: stored.today, isWhole: false, isCurrent, machines: rest };
  }

  private async reckonAll(today: DayNumber, seq: number): Promise<BoardUpdate> {
    const settings = await this.storage.settings();
    const ids = (await this.storage.machines()).map((machine) => machine.id);
    const machines: BoardMachine[] = [];
    for (let from = 0; from < ids.length; from += READ_AT_ONCE) {
      const books = await this.storage.machineBooks(ids.slice(from, from + READ_AT_ONCE));
      for (const book of books) machines.push(reckonMachineBook(book, settings, today));
    }
    return { seq, today, isWhole: true, isCurrent: true, machines: machinesInOrder(machines) };
  }

  private async reckonSome(
    lines: readonly JournalLine[],
    today: DayNumber,
    seq: number,
  ): Promise<BoardUpdate> {
    const ids = new Set<MachineId>(lines.flatMap((line) => line.machines));
    const settings = await this.storage.settings();
    const books = await this.storage.machineBooks([...ids]);
    const machines = books.map((book) => reckonMachineBook(book, settings, today));
    return { seq, today, isWhole: false, isCurrent: true, machines };
  }

  private store({ seq, today, machines }: BoardUpdate, from: number | null): void {
    const board = { seq, today, program: this.program, machines };
    // What could not be stored before has been told by stored(); it does not keep this one from being tried.
    this.storing = this.storing
      .catch(() => undefined)
      .then(() => this.storage.storeBoard(board, from));
  }
}

/** Whether a change may move every machine, or adds or takes away one: then all is reckoned again. */
function movesAll({ change }: JournalLine): boolean {
  return (
    settingsMoved(change, ["dueWithinDays", "leadDays", "staleAfterDays"]) ||
    change.records.some(({ section }) => section === "machines" || section === "products")
  );
}
