import {
  applyChange,
  machineBookOf,
  settingsOf,
  success,
  supersededIds,
  type Book,
  type Entry,
  type Machine,
  type MachineBook,
  type MachineId,
  type Result,
  type Settings,
} from "@yonderfell/core";
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

/** A book in memory, for tests and for looking at a book without storing it. */
export class MemoryStorage implements BookStorage {
  private book: Book | null = null;
  private recordSeq = 0;
  private readonly journal: JournalLine[] = [];
  private readonly drafts = new Map<string, Draft>();
  private exported: ExportNote | null = null;

  fill(book: Book): Promise<void> {
    if (this.book !== null) return Promise.reject(new Error("the store has a book"));
    const { sections, head, lastRecordSeq } = numbered(book);
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

  machineBook(id: MachineId): Promise<MachineBook | null> {
    return Promise.resolve(this.book === null ? null : machineBookOf(this.book, id));
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
      : Promise.resolve(this.book);
  }

  perform<Issue>(
    machine: MachineId,
    command: MachineCommand<Issue>,
    { today, newId, now }: Surroundings,
  ): Promise<Result<Saved, Issue | MachineMissing>> {
    const slice = this.book === null ? null : machineBookOf(this.book, machine);
    if (this.book === null || slice === null) {
      return Promise.resolve({ ok: false, issues: [{ code: "machine-missing" }] });
    }
    let recordSeq = this.recordSeq;
    const result = command(slice, { today, newId, nextSeq: () => (recordSeq += 1) });
    if (!result.ok) return Promise.resolve(result);
    this.recordSeq = recordSeq;
    this.book = applyChange(this.book, result.value);
    const seq = this.journal.length + 1;
    this.journal.push({ seq, at: now, change: result.value });
    return Promise.resolve(success({ seq, change: result.value }));
  }

  lastSeq(): Promise<number> {
    return Promise.resolve(this.journal.length);
  }

  changesAfter(seq: number): Promise<readonly JournalLine[]> {
    return Promise.resolve(this.journal.filter((line) => line.seq > seq));
  }

  draft(key: string): Promise<Draft | null> {
    return Promise.resolve(this.drafts.get(key) ?? null);
  }

  keepDraft(draft: Draft): Promise<void> {
    this.drafts.set(draft.key, draft);
    return Promise.resolve();
  }

  dropDraft(key: string): Promise<void> {
    this.drafts.delete(key);
    return Promise.resolve();
  }

  lastExport(): Promise<ExportNote | null> {
    return Promise.resolve(this.exported);
  }

  noteExport(note: ExportNote): Promise<void> {
    this.exported = note;
    return Promise.resolve();
  }

  close(): void {
    this.drafts.clear();
  }
}
