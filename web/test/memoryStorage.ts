import {
  applyChange,
  crossingRecords,
  DECLARED,
  fieldsOf,
  headAfter,
  EMPTY_PLATE,
  machineBookOf,
  machinePlateOf,
  numbered,
  PICTURED_SECTIONS,
  pictureHashes,
  recordCount,
  referenceIssues,
  SECTIONS,
  settingsOf,
  sharedBookOf,
  sliceOf,
  success,
  supersededIds,
  takenBack,
  type Book,
  type Change,
  type CommandContext,
  type CommandResult,
  OWN_DATED_SECTIONS,
  type OwnedSection,
  type DatedOfMachine,
  type DatedRecord,
  type Entry,
  type Machine,
  type MachineBook,
  type MachineId,
  type MachinePlate,
  type Need,
  type RecordOf,
  type Result,
  type Section,
  type Settings,
  type SharedBook,
  type SharedSlice,
  type Slice,
} from "@yonderfell/core";
import { isEqual } from "es-toolkit";
import type {
  BookStorage,
  ChangeRefusal,
  JournalLine,
  Command,
  CommonRefusal,
  MachineCommand,
  MachineMissing,
  OnWritten,
  Saved,
  SavedEach,
  Surroundings,
  TakeBackRefusal,
} from "../src/data/bookStorage.js";
import { machinesNamed } from "../src/data/machinesNamed.js";
import { changeOfEach, commandEach, type NothingToWrite } from "../src/data/eachCommand.js";
import { isOnlyLogged } from "../src/data/isOnlyLogged.js";
import { newId } from "../src/data/newId.js";
import type { StoredPicture } from "../src/data/picture.js";
import { possibleHashes } from "../src/data/pictureHashes.js";
import { stamped } from "../src/data/stamped.js";
import { MemoryBeside } from "./memoryBeside.js";

const EMPTY: Book = { format: "yonderfell-book", version: 2 };

/** A book without the sections that are empty and may be absent. */
function withoutEmpty(book: Book): Book {
  const held = new Map<string, unknown>(Object.entries(book));
  for (const section of SECTIONS) {
    if (DECLARED[section].part !== "rules" && book[section]?.length === 0) held.delete(section);
  }
  return Object.fromEntries(held) as unknown as Book;
}

const MISSING = { ok: false, issues: [{ code: "machine-missing" }] } as const;

/** A book in memory, for tests and for looking at a book without storing it. */
export class MemoryStorage extends MemoryBeside implements BookStorage {
  private book: Book | null = null;
  private recordSeq = 0;
  private readonly name = newId();
  private readonly journal: JournalLine[] = [];
  private readonly pictures = new Map<string, StoredPicture>();

  async fill(book: Book, onWritten?: OnWritten): Promise<void> {
    if (this.book !== null) throw new Error("the store has a book");
    const { sections, head, lastRecordSeq } = numbered(book);
    onWritten?.(recordCount(sections));
    this.book = { ...head, ...sections };
    this.recordSeq = lastRecordSeq;
    return Promise.resolve();
  }

  machines(): Promise<readonly Machine[]> {
    return Promise.resolve(this.book?.machines ?? []);
  }

  settings(): Promise<Settings> {
    return Promise.resolve(settingsOf(this.book ?? {}));
  }

  ownSettings(): Promise<Book["settings"]> {
    return Promise.resolve(this.book?.settings);
  }

  machineBook(id: MachineId): Promise<MachineBook | null> {
    return Promise.resolve(this.book === null ? null : machineBookOf(this.book, id));
  }

  plate(id: MachineId): Promise<MachinePlate> {
    return Promise.resolve(this.book === null ? EMPTY_PLATE : machinePlateOf(this.book, id));
  }

  ofMachine<S extends OwnedSection>(
    id: MachineId,
    sections: readonly S[],
  ): Promise<{ readonly [K in S]: readonly RecordOf[K][] }> {
    const read = sections.map((section) => [
      section,
      (this.book?.[section] ?? []).filter(({ machine }) => machine === id),
    ]);
    return Promise.resolve(Object.fromEntries(read) as { readonly [K in S]: RecordOf[K][] });
  }

  list<S extends Section>(section: S): Promise<readonly RecordOf[S][]> {
    return Promise.resolve((this.book?.[section] ?? []) as readonly RecordOf[S][]);
  }

  shared(): Promise<SharedBook> {
    return Promise.resolve(sharedBookOf(this.book ?? EMPTY));
  }

  async machineBooks(ids: readonly MachineId[]): Promise<readonly MachineBook[]> {
    const books = await Promise.all(ids.map((id) => this.machineBook(id)));
    return books.filter((book) => book !== null);
  }

  counts(): Promise<Readonly<Record<Section, number>>> {
    const counts = SECTIONS.map((section) => [section, this.book?.[section]?.length ?? 0]);
    return Promise.resolve(Object.fromEntries(counts) as Record<Section, number>);
  }

  copy(): Promise<string> {
    return Promise.resolve(this.name);
  }

  latestEntries(limit: number): Promise<readonly Entry[]> {
    const all = this.book?.entries ?? [];
    const superseded = supersededIds(all);
    const entries = all
      .filter((entry) => entry.void !== true && !superseded.has(entry.id))
      .reverse();
    entries.sort((a, b) => (a.date === b.date ? 0 : a.date < b.date ? 1 : -1));
    return Promise.resolve(entries.slice(0, limit));
  }

  everything(): Promise<Book> {
    return this.book === null
      ? Promise.reject(new Error("the store is empty"))
      : Promise.resolve(withoutEmpty(this.book));
  }

  perform<Needed extends Need, Issue>(
    machine: MachineId,
    needs: readonly Needed[],
    command: Command<Slice<Needed>, Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | CommonRefusal>> {
    const onIt = ([slice]: readonly Slice<Needed>[], context: CommandContext) =>
      slice === undefined ? MISSING : command(slice, context);
    return this.performOn<Needed, Issue | MachineMissing>([machine], needs, onIt, surroundings);
  }

  performOn<Needed extends Need, Issue>(
    machines: readonly MachineId[],
    needs: readonly Needed[],
    command: Command<readonly Slice<Needed>[], Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | CommonRefusal>> {
    const book = this.book ?? EMPTY;
    const slices = machines.flatMap((id) => sliceOf(book, id, needs) ?? []);
    if (slices.length < machines.length) return Promise.resolve(MISSING);
    return Promise.resolve(this.run((context) => command(slices, context), surroundings));
  }

  async performEach<Issue>(
    commands: ReadonlyMap<MachineId, MachineCommand<Issue>>,
    name: string,
    surroundings: Surroundings,
  ): Promise<SavedEach<Issue>> {
    const refused = new Map<MachineId, Issue | MachineMissing>();
    const books = await this.machineBooks([...commands.keys()]);
    const result = this.run<NothingToWrite>(
      (context) => changeOfEach(commandEach(books, [...commands], refused, context), name),
      surroundings,
    );
    return { saved: result.ok ? result.value : null, refused };
  }

  performShared<Needed extends Section, Issue>(
    needs: readonly Needed[],
    command: Command<SharedSlice<Needed>, Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | ChangeRefusal>> {
    const given = needs.map((section) => [section, this.book?.[section] ?? []]);
    const slice = Object.fromEntries(given) as SharedSlice<Needed>;
    return Promise.resolve(this.run((context) => command(slice, context), surroundings));
  }

  async apply(
    change: Change,
    now: string,
    isNew = false,
    onWritten?: OnWritten,
  ): Promise<Result<Saved, ChangeRefusal>> {
    const counted = isNew ? stamped(change, this.name) : change;
    onWritten?.(change.records.length);
    return Promise.resolve(this.applyNow(counted, now));
  }

  takeBack(seq: number, now: string): Promise<Result<Saved, TakeBackRefusal>> {
    const line = this.journal[seq - 1];
    if (line === undefined) {
      return Promise.resolve({ ok: false, issues: [{ code: "no-longer-known" }] });
    }
    const wasHandedOver = seq <= (this.exported?.seq ?? 0);
    return Promise.resolve(
      this.applyNow(
        takenBack(line.change, wasHandedOver, this.name, { at: Date.parse(now), newId }),
        now,
      ),
    );
  }

  lastSeq(): Promise<number> {
    return Promise.resolve(this.journal.length);
  }

  changesAfter(seq: number): Promise<readonly JournalLine[]> {
    return Promise.resolve(this.journal.filter((line) => line.seq > seq));
  }

  keepPicture(picture: StoredPicture): Promise<void> {
    this.pictures.set(picture.hash, picture);
    return Promise.resolve();
  }

  picture(hash: string): Promise<StoredPicture | null> {
    return Promise.resolve(this.pictures.get(hash) ?? null);
  }

  picturesInUse(): Promise<readonly StoredPicture[]> {
    const used = this.hashesInUse();
    return Promise.resolve([...this.pictures.values()].filter(({ hash }) => used.has(hash)));
  }

  dropUnusedPictures(keptBefore: string): Promise<number> {
    const later = [...this.journal, ...this.drafts.values()].flatMap(possibleHashes);
    const used = new Set([...this.hashesInUse(), ...later]);
    const unused = [...this.pictures.values()].filter(
      ({ hash, keptAt }) => !used.has(hash) && keptAt < keptBefore,
    );
    for (const { hash } of unused) this.pictures.delete(hash);
    return Promise.resolve(unused.length);
  }

  private run<Issue>(
    command: (context: CommandContext) => CommandResult<Issue>,
    { today, newId, now }: Surroundings,
  ): Result<Saved, Issue | ChangeRefusal> {
    let recordSeq = this.recordSeq;
    const result = command({ today, newId, nextSeq: () => (recordSeq += 1) });
    if (!result.ok) return result;
    if (!result.value.records.every(isOnlyLogged)) {
      const [issue] = referenceIssues(applyChange(this.book ?? EMPTY, result.value));
      if (issue !== undefined) return { ok: false, issues: [{ code: "still-needed", issue }] };
    }
    this.recordSeq = recordSeq;
    return success(this.write(stamped(result.value, this.name), now));
  }

  private hashesInUse(): Set<string> {
    const book = this.book ?? EMPTY;
    const hashes = PICTURED_SECTIONS.map((section) =>
      (book[section] ?? []).flatMap((record) => pictureHashes(section, record)),
    );
    return new Set(hashes.flat());
  }

  private find(section: Section, id: string): unknown {
    const records: readonly { readonly id: string }[] = this.book?.[section] ?? [];
    return records.find((record) => record.id === id) ?? null;
  }

  private applyNow(change: Change, now: string): Result<Saved, ChangeRefusal> {
    const book = this.book as Book;
    for (const { section, id, before } of change.records) {
      if (!isEqual(this.find(section, id), before)) {
        return { ok: false, issues: [{ code: "changed-elsewhere", section, id }] };
      }
    }
    const head = new Map<string, unknown>(Object.entries(book));
    for (const { key, before } of fieldsOf(change)) {
      if (!isEqual(head.get(key) ?? null, before)) {
        return { ok: false, issues: [{ code: "changed-elsewhere", section: null, id: key }] };
      }
    }
    const [issue] = referenceIssues(applyChange(book, change));
    if (issue !== undefined) return { ok: false, issues: [{ code: "still-needed", issue }] };
    for (const { after } of change.records) {
      this.recordSeq = Math.max(this.recordSeq, (after as DatedRecord | null)?.seq ?? 0);
    }
    return success(this.write(change, now));
  }

  private write(change: Change, now: string): Saved {
    const before = this.book as Book;
    const { fields: _, ...records } = change;
    this.book = headAfter(applyChange(before, records), change, this.name);
    const seq = this.journal.length + 1;
    const machines = machinesNamed(change);
    for (const section of OWN_DATED_SECTIONS) {
      for (const book of [before, this.book]) {
        const crossing: readonly DatedOfMachine[] = crossingRecords<DatedOfMachine>(
          book[section] ?? [],
        );
        if (crossing.some((record) => machines.has(record.machine as MachineId))) {
          for (const record of crossing) machines.add(record.machine as MachineId);
        }
      }
    }
    this.journal.push({ seq, at: now, change, machines: [...machines] });
    return { seq, change };
  }
}
