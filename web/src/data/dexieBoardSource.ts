import {
  BOOK_NEEDS,
  SHARED_SECTIONS,
  settingsOf,
  type Book,
  type Machine,
  type MachineBook,
  type MachineId,
  type OwnedSection,
  type RecordOf,
  type Section,
  type Settings,
} from "@yonderfell/core";
import type { Table } from "dexie";
import { BookDatabase } from "./bookDatabase.js";
import { headOf, readOwned, readSlices, readSection, tableOf } from "./bookSlices.js";
import type { BoardSource, JournalLine, StoredBoard } from "./bookStorage.js";
import { follows } from "./storedBoard.js";

/** Why a tab had to let go of a book: another one has a newer version of the program, or has deleted it. */
export type TakenOver = "newer" | "deleted";

/** What the board worker needs of a book in the browser's database; it writes no records. */
export class DexieBoardSource implements BoardSource {
  protected readonly database: BookDatabase;

  /** `onTakenOver` is told when this tab has had to let go of the book. */
  constructor(name: string, onTakenOver?: (why: TakenOver) => void) {
    this.database = new BookDatabase(name);
    // Another tab needs a newer form of the database, or deletes the book: this one lets go of it.
    this.database.on("versionchange", (event) => {
      this.database.close();
      onTakenOver?.(event.newVersion === null || event.newVersion === 0 ? "deleted" : "newer");
      // Answered here: the library's own answer would only add a warning.
      return false;
    });
  }

  async machines(): Promise<readonly Machine[]> {
    const rows = await this.database.machines.orderBy("place").toArray();
    return rows.map((row) => row.record);
  }

  /** Which copy of the book it is; empty where the database holds none. */
  async copy(): Promise<string> {
    return ((await this.database.facts.get("copy"))?.value ?? "") as string;
  }

  async settings(): Promise<Settings> {
    return settingsOf({ settings: await this.ownSettings() });
  }

  async ownSettings(): Promise<Book["settings"]> {
    return (await headOf(this.database))["settings"] as Book["settings"];
  }

  async machineBooks(ids: readonly MachineId[]): Promise<readonly MachineBook[]> {
    const { database } = this;
    return database.transaction("r", this.records(), () => readSlices(database, ids, BOOK_NEEDS));
  }

  async list<S extends Section>(section: S): Promise<readonly RecordOf[S][]> {
    return readSection(this.database, section);
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

  async storedBoard(most?: number): Promise<StoredBoard | null> {
    const { database } = this;
    return database.transaction("r", [database.board, database.boardFacts], async () => {
      const fact = await database.boardFacts.get("board");
      if (fact === undefined) return null;
      const ordered = database.board.orderBy("place");
      const rows = await (most === undefined ? ordered : ordered.limit(most)).toArray();
      const head = fact.value as Omit<StoredBoard, "machines">;
      return { ...head, machines: rows.map((row) => row.board) };
    });
  }

  async storeBoard({ machines, ...head }: StoredBoard, from: number | null): Promise<void> {
    const { database } = this;
    const { board, boardFacts } = database;
    await database.transaction("rw", [board, boardFacts], async () => {
      const known = (await boardFacts.get("board"))?.value as typeof head | undefined;
      const isWhole = from === null;
      if (!isWhole && (known === undefined || !follows(head, known, from))) return;
      if (isWhole) await board.clear();
      const ids = machines.map((one) => one.machine.id as string);
      const stored = isWhole ? [] : await board.bulkGet(ids);
      const rows = machines.map((one, index) => {
        const place = stored[index]?.place ?? index;
        return { machine: one.machine.id, place, board: one };
      });
      await board.bulkPut(rows);
      await boardFacts.put({ key: "board", value: head });
    });
  }

  async ofMachine<S extends OwnedSection>(
    id: MachineId,
    sections: readonly S[],
  ): Promise<{ readonly [K in S]: readonly RecordOf[K][] }> {
    const { database } = this;
    const [read] = await database.transaction("r", this.records(), () =>
      readOwned(database, sections, [id]),
    );
    const none = sections.map((section) => [section, []]);
    return read ?? (Object.fromEntries(none) as { readonly [K in S]: readonly RecordOf[K][] });
  }

  /** The tables of the book's records. */
  protected records(): Table[] {
    const { machines, pages, facts } = this.database;
    return [machines, pages, facts, ...SHARED_SECTIONS.map((one) => tableOf(this.database, one))];
  }
}
