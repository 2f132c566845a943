import {
  csvChange,
  csvFollowUps,
  guessCsv,
  guessFormat,
  numbered,
  readCsv,
  writeCsv,
  withFollowUps,
  type Book,
  type Change,
  type CsvGuess,
  type CsvHabits,
  type CsvKind,
  type CsvNumbering,
  type CsvPlan,
  type CsvReading,
  type CsvTable,
  type DayNumber,
  type RecordChange,
  type Result,
  type Section,
} from "@yonderfell/core";
import { groupBy } from "es-toolkit";
import { withStorage } from "../data/withStorage.js";
import type { BookStorage } from "../data/bookStorage.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { newId } from "../data/newId.js";
import { PlanShown, type TableChoices, type TablePlan } from "@yonderfell/core";
import { tableOfFeed, tableOfFile, textOfTable } from "./csvText.js";
import type { TableRefusal, WrittenRecords } from "../data/takenIn.js";

/** A file as it was opened, for a person to say what its columns hold. */
export interface OpenedTable {
  readonly headings: readonly string[];
  /** What stands in each column first. */
  readonly samples: readonly (readonly string[])[];
  readonly rows: number;
  readonly guess: CsvGuess;
}

/** What was brought in. */
export interface BroughtIn {
  readonly seq: number;
  /** What was written, by section: how many records are new, and how many are changed or corrected. */
  readonly written: readonly WrittenRecords[];
}

/** A plan with what it was made from. */
interface Planned {
  readonly plan: CsvPlan;
  readonly shown: PlanShown;
  readonly book: Book;
  readonly seq: number;
  readonly last: number;
  readonly today: DayNumber;
}

/** Told how far something is, from 0 to 1. */
export type Progress = (share: number) => void;

const SAMPLES = 3;
/** So long the worker goes on before it listens again. */
const SLICE_MS = 40;
/** Reading goes through the rows, then twice through the records in them. */
const ROUNDS = 3;

const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));

/** Ends a transaction without a trace, as a person asked for it. */
class Cancelled extends Error {}

/**
 * Tables in and out, away from the page. Holds the table last opened and what it would do, so that
 * what is brought in is what was shown.
 */
export class Tables {
  private table: CsvTable | null = null;
  private plan: Planned | null = null;
  /** Grows with each run: one that is no longer the newest ends. */
  private run = 0;

  constructor(private readonly open: (database: string) => BookStorage) {}

  /** Opens a file and says what it is thought to be; refused where it is no table at all. */
  async look(file: Blob, habits: CsvHabits): Promise<Result<OpenedTable, string>> {
    this.cancel();
    this.table = null;
    const table = await tableOfFile(file);
    if (typeof table === "string") return { ok: false, issues: [table] };
    return this.opens(table, habits, null);
  }

  /** Opens what came from a meter feed, in one file or several, as readings; refused where one is no table at all. */
  async lookAtFeed(
    files: readonly Blob[],
    habits: CsvHabits,
  ): Promise<Result<OpenedTable, string>> {
    this.cancel();
    this.table = null;
    const tables: CsvTable[] = [];
    for (const file of files) {
      const table = await tableOfFile(file);
      if (typeof table === "string") return { ok: false, issues: [table] };
      tables.push(table);
    }
    return this.opens(tableOfFeed(tables), habits, "readings");
  }

  private opens(
    table: CsvTable,
    habits: CsvHabits,
    kind: CsvKind | null,
  ): Result<OpenedTable, string> {
    this.table = table;
    const headings = table.rows[0] ?? [];
    const samples = headings.map((_, index) =>
      table.rows
        .slice(1)
        .map((row) => row[index] ?? "")
        .filter((cell) => cell.trim() !== "")
        .slice(0, SAMPLES),
    );
    const rows = table.rows.slice(1).filter((row) => row.some((cell) => cell.trim() !== "")).length;
    return { ok: true, value: { headings, samples, rows, guess: this.guess(habits, kind) } };
  }

  /** What the table opened is thought to be, as one of a kind. */
  guess(habits: CsvHabits, kind: CsvKind | null): CsvGuess {
    return guessCsv(this.opened().rows, habits, kind);
  }

  /** How the table opened writes its dates, decimals and distances, by other columns. */
  guessFormat(
    { kind, columns }: Pick<CsvReading, "kind" | "columns">,
    habits: CsvHabits,
  ): Pick<CsvGuess, "dates" | "decimal" | "distance"> {
    return guessFormat(kind, columns, this.opened().rows, habits);
  }

  /** Ends what is under way: nothing is written. */
  cancel(): void {
    this.run += 1;
    this.plan = null;
  }

  /** What bringing the table opened into a book would do; null where it was cancelled, or another was asked for since. */
  async planFor(
    database: string,
    reading: CsvReading,
    today: DayNumber,
    onProgress: Progress,
  ): Promise<TablePlan | null> {
    this.cancel();
    const { run } = this;
    const table = this.opened();
    return withStorage(this.open, database, async (storage) => {
      const seq = await storage.lastSeq();
      const book = await storage.everything();
      const steps = readCsv(book, table, reading, { today, newId });
      const all = Math.max(1, table.rows.length * ROUNDS);
      let listened = performance.now();
      for (;;) {
        const step = steps.next();
        if (step.done === true) {
          if (run !== this.run) return null;
          const last = numbered(book).lastRecordSeq;
          const shown = new PlanShown(step.value, table);
          this.plan = { plan: step.value, shown, book, seq, last, today };
          return this.shown(this.plan);
        }
        if (performance.now() - listened < SLICE_MS) continue;
        onProgress(Math.min(1, step.value / all));
        await breath();
        if (run !== this.run) return null;
        listened = performance.now();
      }
    });
  }

  /** Brings in what was planned, as one change, all or nothing. */
  async keep(
    database: string,
    choices: TableChoices,
    now: string,
    onProgress: Progress,
  ): Promise<Result<BroughtIn, TableRefusal>> {
    const planned = this.plan;
    if (planned === null) return { ok: false, issues: [{ code: "cancelled" }] };
    const { run } = this;
    const { plan, seq, book, today } = planned;
    const refused = plan.items.filter(({ state }) => state === "refused").length;
    if (plan.issues.length > 0 || (refused > 0 && !choices.leavesRefused)) {
      const count = Math.max(refused, plan.issues.length);
      return { ok: false, issues: [{ code: "rows-refused", count }] };
    }
    const context = numberingAfter(planned);
    const taken = csvChange(plan, (item) => planned.shown.isTaken(item, choices), context);
    const followUps = csvFollowUps(book, taken, today);
    if (followUps.length > 0 && choices.followUpsDone === null) {
      return { ok: false, issues: [{ code: "follow-ups-not-said" }] };
    }
    const isDone = choices.followUpsDone === true;
    const change = isDone ? withFollowUps(taken, followUps, context) : taken;
    const onWritten = (count: number): void => {
      if (run !== this.run) throw new Cancelled();
      onProgress(count / change.records.length);
    };
    try {
      return await withStorage(this.open, database, async (storage) => {
        if ((await storage.lastSeq()) !== seq) {
          return { ok: false as const, issues: [{ code: "book-changed" as const }] };
        }
        const saved = await storage.apply(change, now, true, onWritten);
        if (!saved.ok) return saved;
        this.plan = null;
        const written = writtenBy(change);
        return { ok: true as const, value: { seq: saved.value.seq, written } };
      });
    } catch (error) {
      if (run !== this.run) return { ok: false, issues: [{ code: "cancelled" }] };
      throw error;
    }
  }

  /** The records of a kind as a file. */
  async file(database: string, kind: CsvKind): Promise<Blob> {
    return withStorage(this.open, database, async (storage) => {
      const rows = writeCsv(await storage.everything(), kind);
      return new Blob([textOfTable(rows)], { type: "text/csv;charset=utf-8" });
    });
  }

  private shown(planned: Planned): TablePlan {
    const { plan, shown, book, today } = planned;
    const all = csvChange(plan, () => true, numberingAfter(planned));
    const names = new Map<string, string>((book.tasks ?? []).map(({ id, name }) => [id, name]));
    return shown.shown(csvFollowUps(book, all, today), (task) => names.get(task) ?? task);
  }

  private opened(): CsvTable {
    if (this.table === null) throw new Error("no table has been opened");
    return this.table;
  }
}

function numberingAfter({ last }: Planned): CsvNumbering {
  let next = last;
  return { newId, nextSeq: () => (next += 1) };
}

/** How many records of each section a change writes; a correction counts as a change. */
function writtenBy({ records }: Change): WrittenRecords[] {
  const bySection = groupBy(records, ({ section }) => section);
  return Object.entries(bySection).map(([section, own]) => {
    const changed = own.filter(isChange).length;
    const aside = own.filter((one) => !isChange(one) && isVoid(one)).length;
    return { section: section as Section, added: own.length - changed - aside, changed };
  });
}

/** What is written as counting for nothing: figures of a feed that were set aside. */
const isVoid = ({ after }: RecordChange): boolean =>
  (after as { readonly void?: unknown } | null)?.void === true;

function isChange({ before, after }: RecordChange): boolean {
  const corrects = (after as { readonly replaces?: unknown } | null)?.replaces ?? null;
  return before !== null || corrects !== null;
}

/** The tables over the browser's databases. */
export const dexieTables = (): Tables => new Tables((name) => new DexieStorage(name));
