import type { Draft, ExportNote, StoredBoard } from "../src/data/bookStorage.js";
import { follows } from "../src/data/storedBoard.js";

/** What a book in memory keeps beside its records: drafts, the last export, the board as last stored. */
export class MemoryBeside {
  protected readonly drafts = new Map<string, Draft>();
  protected exported: ExportNote | null = null;
  private board: StoredBoard | null = null;

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

  storedBoard(most?: number): Promise<StoredBoard | null> {
    const { board } = this;
    return Promise.resolve(
      board === null ? null : { ...board, machines: board.machines.slice(0, most) },
    );
  }

  storeBoard(board: StoredBoard, from: number | null): Promise<void> {
    if (from === null) this.board = board;
    if (from === null || this.board === null || !follows(board, this.board, from)) {
      return Promise.resolve();
    }
    const changed = new Map(board.machines.map((one) => [one.machine.id, one]));
    const machines = this.board.machines.map((one) => changed.get(one.machine.id) ?? one);
    this.board = { ...board, machines };
    return Promise.resolve();
  }

  close(): void {
    this.drafts.clear();
  }
}
