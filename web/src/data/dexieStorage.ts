import {
  BOOK_FORMAT,
  BOOK_VERSION,
  SECTIONS,
  settingsOf,
  success,
  type Book,
  type Change,
  type Entry,
  type Machine,
  type MachineBook,
  type MachineId,
  type RecordChange,
  type RecordOf,
  type Result,
  type Section,
  type Settings,
} from "@yonderfell/core";
import type { Table } from "dexie";
import { BookDatabase, type Row } from "./bookDatabase.js";
import type {
  BookStorage,
  Draft,
  ExportNote,
  JournalLine,
  MachineCommand,
  MachineMissing,
  Saved,
  Surroundings,
} from "./bookStorage.js";
import { numbered } from "./numbered.js";
import { rowOf } from "./rows.js";

/** So many changes the journal goes back; records never depend on it. */
const JOURNAL_LENGTH = 5000;

/** Everything of the file that is not a section of records. */
type BookHead = Omit<Book, Section>;

/** A book in the browser's database. */
export class DexieStorage implements BookStorage {
  private readonly database: BookDatabase;

  /** `onTakenOver` is told when another tab needs a newer form of the database and this one has let go of it. */
  constructor(name: string, onTakenOver?: () => void) {
    this.database = new BookDatabase(name);
    if (onTakenOver === undefined) return;
    this.database.on("versionchange", () => {
      this.database.close();
      onTakenOver();
    });
  }

  async fill(book: Book): Promise<void> {
    const { database } = this;
    const { sections, head, lastRecordSeq } = numbered(book);
    await database.transaction("rw", database.tables, async () => {
      if ((await database.facts.get("head")) !== undefined) throw new Error("the store has a book");
      for (const section of SECTIONS) {
        await this.table(section).bulkAdd(
          sections[section].map((record, place) => rowOf(record, place, 1)),
        );
      }
      await database.facts.bulkPut([
        { key: "head", value: head },
        { key: "lastRecordSeq", value: lastRecordSeq },
      ]);
    });
  }

  async machines(): Promise<readonly Machine[]> {
    const rows = await this.database.machines.orderBy("place").toArray();
    return rows.map((row) => row.record);
  }

  async settings(): Promise<Settings> {
    return settingsOf(await this.head());
  }

  async machineBook(id: MachineId): Promise<MachineBook | null> {
    const { database } = this;
    return database.transaction(
      "r",
      SECTIONS.map((section) => this.table(section)),
      () => this.readMachineBook(id),
    );
  }

  async latestEntries(limit: number): Promise<readonly Entry[]> {
    const { entries } = this.database;
    const replacing = await entries.where("replaces").above("").toArray();
    const superseded = new Set(replacing.map((row) => row.replaces));
    const rows = await entries
      .orderBy("[date+place]")
      .reverse()
      .filter((row) => row.record.void !== true && !superseded.has(row.id))
      .limit(limit)
      .toArray();
    return rows.map((row) => row.record);
  }

  async everything(): Promise<Book> {
    const { database } = this;
    return database.transaction("r", database.tables, async () => {
      const book: Record<string, unknown> = { ...(await this.head()) };
      for (const section of SECTIONS) {
        const rows = await this.table(section).orderBy("place").toArray();
        book[section] = rows.map((row) => row.record);
      }
      return { format: BOOK_FORMAT, version: BOOK_VERSION, ...book } as unknown as Book;
    });
  }

  async perform<Issue>(
    machine: MachineId,
    command: MachineCommand<Issue>,
    surroundings: Surroundings,
  ): Promise<Result<Saved, Issue | MachineMissing>> {
    const { database } = this;
    return database.transaction("rw", database.tables, async () => {
      const book = await this.readMachineBook(machine);
      if (book === null)
        return { ok: false as const, issues: [{ code: "machine-missing" as const }] };
      let recordSeq = await this.number("lastRecordSeq");
      const nextSeq = (): number => (recordSeq += 1);
      const { today, newId, now } = surroundings;
      const result = command(book, { today, newId, nextSeq });
      if (!result.ok) return result;
      await database.facts.put({ key: "lastRecordSeq", value: recordSeq });
      return success({ seq: await this.write(result.value, now), change: result.value });
    });
  }

  async lastSeq(): Promise<number> {
    return (await this.database.journal.orderBy("seq").last())?.seq ?? 0;
  }

  async changesAfter(seq: number): Promise<readonly JournalLine[] | null> {
    const { journal } = this.database;
    const lines = await journal.where("seq").above(seq).sortBy("seq");
    const first = lines[0];
    return first === undefined || first.seq === seq + 1 ? lines : null;
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

  private table<S extends Section>(section: S): Table<Row<S>, string> {
    return this.database.table(section);
  }

  private async head(): Promise<BookHead> {
    return ((await this.database.facts.get("head"))?.value ?? {}) as BookHead;
  }

  private async number(key: string): Promise<number> {
    return Number((await this.database.facts.get(key))?.value ?? 0);
  }

  private async readMachineBook(id: MachineId): Promise<MachineBook | null> {
    const machine = (await this.database.machines.get(id))?.record;
    if (machine === undefined) return null;
    const own = async <S extends Section>(section: S): Promise<RecordOf[S][]> => {
      const rows = await this.table(section).where("machine").equals(id).sortBy("place");
      return rows.map((row) => row.record);
    };
    return {
      machines: [machine],
      tasks: await own("tasks"),
      readings: await own("readings"),
      meterChanges: await own("meterChanges"),
      entries: await own("entries"),
    };
  }

  /** Writes a change and its journal line within the running transaction; answers the line's number. */
  private async write(change: Change, now: string): Promise<number> {
    for (const record of change.records) await this.writeRecord(record);
    const seq = await this.database.journal.add({ at: now, change });
    await this.database.journal
      .where("seq")
      .belowOrEqual(seq - JOURNAL_LENGTH)
      .delete();
    return seq;
  }

  private async writeRecord({ section, id, after }: RecordChange): Promise<void> {
    const table = this.table(section);
    if (after === null) return table.delete(id);
    const stored = await table.get(id);
    const place = stored?.place ?? ((await table.orderBy("place").last())?.place ?? -1) + 1;
    await table.put(rowOf(after, place, (stored?.revision ?? 0) + 1));
  }
}
