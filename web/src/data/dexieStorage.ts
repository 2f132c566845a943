import {
  BOOK_NEEDS,
  EMPTY_PLATE,
  PLATE_SECTIONS,
  success,
  type Book,
  type Change,
  type CommandContext,
  type CommandResult,
  type Entry,
  type MachineBook,
  type MachineId,
  type MachinePlate,
  type Need,
  type RecordChange,
  type Result,
  type Section,
  type SharedBook,
  type SharedSlice,
  type Slice,
} from "@yonderfell/core";
import { newId } from "./newId.js";
import { Dexie, type Table } from "dexie";
import { readOwned, readSlices } from "./bookSlices.js";
import type {
  BookStorage,
  ChangeRefusal,
  Draft,
  ExportNote,
  Command,
  CommonRefusal,
  MachineCommand,
  MachineMissing,
  OnWritten,
  Saved,
  SavedEach,
  Surroundings,
  TakeBackRefusal,
} from "./bookStorage.js";
import { DexieBoardSource, type TakenOver } from "./dexieBoardSource.js";
import { changeOfEach, commandEach } from "./eachCommand.js";
import { BookGone } from "./bookGone.js";
import { isOfDisk, MACHINES_AT_ONCE, MISSING, Refused, type Numbering } from "./writing.js";
import type { StoredPicture } from "./picture.js";

/** What the first sight of a book does without: fetched when a book is open, before it is asked for. */
// eslint-disable-next-line @typescript-eslint/explicit-module-boundary-types -- the type of a module fetched later has no other name
export const laterCode = async () => import("./later.js");

type LaterCode = Awaited<ReturnType<typeof laterCode>>;

/** A book in the browser's database. */
export class DexieStorage extends DexieBoardSource implements BookStorage {
  /** The disk refused something: nothing is taken for saved before it was read back. */
  private isInDoubt = false;

  /** `onCommitted` is told of each change that this storage has made, and waited for before it is answered: whether it is certain to last. */
  constructor(
    name: string,
    onTakenOver?: (why: TakenOver) => void,
    private readonly onCommitted?: () => Promise<boolean>,
  ) {
    super(name, onTakenOver);
  }

  async fill(book: Book, onWritten?: OnWritten): Promise<void> {
    const { fillBook } = await laterCode();
    await fillBook(this.database, book, onWritten);
  }

  async machineBook(id: MachineId): Promise<MachineBook | null> {
    return (await this.machineBooks([id]))[0] ?? null;
  }

  async plate(id: MachineId): Promise<MachinePlate> {
    const { database } = this;
    const [plate] = await database.transaction("r", this.records(), () =>
      readOwned(database, PLATE_SECTIONS, [id]),
    );
    return plate ?? EMPTY_PLATE;
  }

  async shared(): Promise<SharedBook> {
    return this.reading(({ readShared }) => readShared(this.database));
  }

  async counts(): Promise<Readonly<Record<Section, number>>> {
    return this.reading(({ countRecords }) => countRecords(this.database));
  }

  async latestEntries(limit: number): Promise<readonly Entry[]> {
    return this.reading(({ readLatestEntries }) => readLatestEntries(this.database, limit));
  }

  async everything(): Promise<Book> {
    const { database } = this;
    const { wholeBook } = await laterCode();
    return database.transaction("r", this.records(), () => wholeBook(database));
  }

  async perform<Needed extends Need, Issue>(
    machine: MachineId,
    needs: readonly Needed[],
    command: Command<Slice<Needed>, Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | CommonRefusal>> {
    const onIt = ([slice]: readonly Slice<Needed>[], context: CommandContext) =>
      slice === undefined ? MISSING : command(slice, context);
    return this.performOn<Needed, Issue | MachineMissing>([machine], needs, onIt, surroundings);
  }

  async performOn<Needed extends Need, Issue>(
    machines: readonly MachineId[],
    needs: readonly Needed[],
    command: Command<readonly Slice<Needed>[], Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | CommonRefusal>> {
    const code = await laterCode();
    return this.refusable<Issue | MachineMissing>(async () => {
      const slices = await readSlices(this.database, machines, needs);
      if (slices.length < machines.length) {
        await this.copyHere();
        return MISSING;
      }
      return this.run((context) => command(slices, context), surroundings, code);
    });
  }

  async performEach<Issue>(
    commands: ReadonlyMap<MachineId, MachineCommand<Issue>>,
    name: string,
    surroundings: Surroundings,
  ): Promise<SavedEach<Issue>> {
    const { database } = this;
    const code = await laterCode();
    const made = await this.doubting(async () => {
      const refused = new Map<MachineId, Issue | MachineMissing>();
      const all = [...commands];
      const records: RecordChange[] = [];
      const numbering = await this.numbering();
      const context = { ...surroundings, nextSeq: numbering.next };
      for (let from = 0; from < all.length; from += MACHINES_AT_ONCE) {
        const some = all.slice(from, from + MACHINES_AT_ONCE);
        const ids = some.map(([id]) => id);
        const books = await readSlices(database, ids, BOOK_NEEDS);
        records.push(...commandEach(books, some, refused, context));
      }
      const change = changeOfEach(records, name);
      const result = await this.keep(change, numbering, surroundings.now, code);
      return { saved: result.ok ? result.value : null, refused };
    });
    return made.saved === null ? made : { ...made, saved: await this.committed(made.saved) };
  }

  async performShared<Needed extends Section, Issue>(
    needs: readonly Needed[],
    command: Command<SharedSlice<Needed>, Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | ChangeRefusal>> {
    const code = await laterCode();
    return this.refusable<Issue>(async () => {
      const given = await code.readSections(this.database, needs);
      return this.run((context) => command(given, context), surroundings, code);
    });
  }

  async apply(
    change: Change,
    now: string,
    isNew = false,
    onWritten?: OnWritten,
  ): Promise<Result<Saved, ChangeRefusal>> {
    const code = await laterCode();
    return this.refusable(async () => {
      const counted = isNew ? code.stamped(change, await this.copy()) : change;
      return this.applyNow(counted, now, code, onWritten);
    });
  }

  async takeBack(seq: number, now: string): Promise<Result<Saved, TakeBackRefusal>> {
    const code = await laterCode();
    return this.refusable<TakeBackRefusal>(async () => {
      const line = await this.database.journal.get(seq);
      if (line === undefined) {
        return { ok: false as const, issues: [{ code: "no-longer-known" as const }] };
      }
      const wasHandedOver = seq <= ((await this.lastExport())?.seq ?? 0);
      const back = code.takenBack(line.change, wasHandedOver, await this.copy(), {
        at: Date.parse(now),
        newId,
      });
      return this.applyNow(back, now, code);
    });
  }

  async keepPicture(picture: StoredPicture): Promise<void> {
    await this.database.pictures.put(picture);
  }

  async picture(hash: string): Promise<StoredPicture | null> {
    return (await this.database.pictures.get(hash)) ?? null;
  }

  async picturesInUse(): Promise<readonly StoredPicture[]> {
    const { database } = this;
    const { hashesInUse } = await laterCode();
    return database.transaction("r", [...this.records(), database.pictures], async () => {
      const hashes = await hashesInUse(database);
      return (await database.pictures.bulkGet([...hashes])).flatMap((one) => one ?? []);
    });
  }

  async dropUnusedPictures(keptBefore: string): Promise<number> {
    const { database } = this;
    if ((await database.pictures.count()) === 0) return 0;
    const { dropUnused } = await laterCode();
    const tables = [...this.records(), database.pictures, database.journal, database.drafts];
    return database.transaction("rw", tables, async () => dropUnused(database, keptBefore));
  }

  async draft(key: string): Promise<Draft | null> {
    return (await this.database.drafts.get(key)) ?? null;
  }

  async keepDraft(draft: Draft): Promise<void> {
    await this.database.drafts.put(draft);
  }

  async dropDraft(key: string): Promise<void> {
    await this.database.drafts.delete(key);
  }

  async lastExport(): Promise<ExportNote | null> {
    return ((await this.database.facts.get("lastExport"))?.value ?? null) as ExportNote | null;
  }

  async noteExport(note: ExportNote): Promise<void> {
    await this.database.facts.put({ key: "lastExport", value: note });
  }

  close(): void {
    this.database.close();
  }

  /**
   * Reads with code that is fetched later. The transaction is begun first and waits for it: a live
   * query that waited for the code outside one would not be told of changes any more.
   */
  private reading<Value>(read: (code: LaterCode) => Promise<Value>): PromiseLike<Value> {
    return this.database.transaction("r", this.records(), () =>
      Dexie.waitFor(laterCode()).then(read),
    );
  }

  /** The tables a change is written to. */
  private written(): Table[] {
    return [...this.records(), this.database.journal];
  }

  /** The numbers that new records get, within the running transaction. */
  private async numbering(): Promise<Numbering> {
    let last = Number((await this.database.facts.get("lastRecordSeq"))?.value ?? 0);
    return { next: () => (last += 1), last: () => last };
  }

  /** Runs a command within the running transaction and writes what it answers. */
  private async run<Issue>(
    command: (context: CommandContext) => CommandResult<Issue>,
    surroundings: Surroundings,
    code: LaterCode,
  ): Promise<Result<Saved, Issue>> {
    const numbering = await this.numbering();
    const result = command({ ...surroundings, nextSeq: numbering.next });
    return this.keep(result, numbering, surroundings.now, code);
  }

  /** Writes what a command has answered, within the running transaction. */
  private async keep<Issue>(
    result: CommandResult<Issue>,
    numbering: Numbering,
    now: string,
    { stamped, writeChange, isOnlyLogged, contradiction }: LaterCode,
  ): Promise<Result<Saved, Issue>> {
    const { database } = this;
    if (!result.ok) return result;
    const copy = await this.copyHere();
    const counted = stamped(result.value, copy);
    const { seq, change, machines } = await writeChange(database, counted, now, {
      lastSeq: numbering.last(),
    });
    if (!change.records.every(isOnlyLogged)) {
      const issue = await contradiction(database, change, machines);
      if (issue !== null) throw new Refused({ code: "still-needed", issue });
    }
    return success({ seq, change });
  }

  /** Makes a change within the running transaction; throws {@link Refused} where it may not be. */
  private async applyNow(
    change: Change,
    now: string,
    { changedElsewhere, contradiction, writeChange }: LaterCode,
    onWritten?: OnWritten,
  ): Promise<Result<Saved, ChangeRefusal>> {
    const { database } = this;
    await this.copyHere();
    const elsewhere = await changedElsewhere(database, change);
    if (elsewhere !== null) throw new Refused(elsewhere);
    const saved = await writeChange(database, change, now, { onWritten });
    const issue = await contradiction(database, change, saved.machines);
    if (issue !== null) throw new Refused({ code: "still-needed", issue });
    return success({ seq: saved.seq, change });
  }

  private async refusable<Issue>(
    run: () => Promise<Result<Saved, Issue>>,
  ): Promise<Result<Saved, Issue | ChangeRefusal>> {
    try {
      const made = await this.doubting(run);
      return made.ok ? success(await this.committed(made.value)) : made;
    } catch (error) {
      if (error instanceof Refused) return { ok: false, issues: [error.refusal] };
      throw error;
    }
  }

  /** Writes in one transaction; where the disk refuses, later writes are read back. */
  private async doubting<Value>(run: () => Promise<Value>): Promise<Value> {
    try {
      return await this.database.transaction("rw", this.written(), run);
    } catch (error) {
      this.isInDoubt ||= isOfDisk(error);
      throw error;
    }
  }

  /** A change is in the database: said so only where that can be believed, and once whoever waits for it has it too. */
  private async committed(saved: Saved): Promise<Saved> {
    if (this.isInDoubt) {
      const { readBack } = await laterCode();
      await readBack(this.database.name, saved.seq);
      this.isInDoubt = false;
    }
    const isCertain = (await this.onCommitted?.()) ?? true;
    return isCertain ? saved : { ...saved, isDoubtful: true };
  }

  /** Which copy it is; throws where the database holds no book any more: one that was cleared away comes back empty. */
  private async copyHere(): Promise<string> {
    const copy = await this.copy();
    if (copy === "") throw new BookGone();
    return copy;
  }
}
