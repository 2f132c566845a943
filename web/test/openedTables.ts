import { type Book, type CsvHabits, type CsvKind, type CsvReading } from "@yonderfell/core";
import { TODAY } from "./skarrowVale.js";
import { MemoryStorage } from "./memoryStorage.js";
import type { TableChoices, TablePlan } from "@yonderfell/core";
import { Tables, type BroughtIn } from "../src/work/tables.js";

/** How a person here writes. */
export const HABITS: CsvHabits = { dates: "dmy", decimal: "." };
/** When all of this is. */
export const NOW = "2026-11-23T09:00:00.000Z";
/** All that can be taken is. */
export const ALL: TableChoices = {
  codes: ["figure-in-doubt", "differs", "in-future", "row-short", "repeated", "work-unknown"],
  answers: new Map(),
  leavesRefused: false,
  followUpsDone: false,
};
/** Nothing in doubt is taken. */
export const NONE: TableChoices = { ...ALL, codes: [] };
/** How many records were brought in. */
export const recordsOf = ({ written }: BroughtIn): number =>
  written.reduce((sum, { added, changed }) => sum + added + changed, 0);
/** Told how far it is, and says nothing. */
export const silent = (): void => undefined;

/** Tables brought into a book in memory. */
export class Opened {
  readonly storage = new MemoryStorage();
  readonly tables = new Tables(() => this.storage);

  static async with(book: Book): Promise<Opened> {
    const opened = new Opened();
    await opened.storage.fill(book);
    return opened;
  }

  /** What a file would do, taken for what it is thought to be. */
  async plan(file: string | Uint8Array<ArrayBuffer>, kind?: CsvKind): Promise<TablePlan | string> {
    const looked = await this.tables.look(new Blob([file]), HABITS);
    if (!looked.ok) return looked.issues.join();
    const { guess } = looked.value;
    const own = kind === undefined ? guess : this.tables.guess(HABITS, kind);
    const { columns, distance } = own;
    const format = { dates: own.dates.value, decimal: own.decimal.value, distance };
    const reading: CsvReading = { kind: own.kind, columns, format };
    const plan = await this.tables.planFor("book", reading, TODAY, silent);
    if (plan === null) throw new Error("not cancelled");
    return plan;
  }
}

/** A text as a file has it. */
export const bytes = (text: string): Uint8Array<ArrayBuffer> => new TextEncoder().encode(text);
