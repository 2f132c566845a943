import {
  csvChange,
  CSV_DOUBTS,
  guessCsv,
  guessFormat,
  numbered,
  readCsv,
  writeCsv,
  writes,
  type CsvDoubt,
  type CsvGuess,
  type CsvHabits,
  type CsvIssue,
  type CsvItem,
  type CsvKind,
  type CsvPlan,
  type CsvReading,
  type CsvTable,
  type DayNumber,
  type DifferingField,
  type Result,
} from "@yonderfell/core";
import { withStorage } from "../data/withStorage.js";
import type { BookStorage, ChangeRefusal } from "../data/bookStorage.js";
import { DexieStorage } from "../data/dexieStorage.js";
import { newId } from "../data/newId.js";
import { tableOfFile, textOfTable } from "./csvText.js";

/** A file as it was opened, for a person to say what its columns hold. */
export interface OpenedTable {
  readonly headings: readonly string[];
  /** What stands in each column first. */
  readonly samples: readonly (readonly string[])[];
  readonly rows: number;
  readonly guess: CsvGuess;
}

/** One item of a plan as it is shown. */
export interface ShownItem {
  readonly row: number;
  /** What stands in its first row, without empty cells. */
  readonly cells: readonly string[];
  readonly doubts: readonly CsvDoubt[];
  readonly fields: readonly DifferingField[];
}

/** Items in doubt for one reason. */
export interface DoubtGroup {
  readonly code: CsvDoubt["code"];
  readonly count: number;
  /** The first of them. */
  readonly items: readonly ShownItem[];
}

/** What bringing in a table would do, as far as it is shown. */
export interface TablePlan {
  readonly kind: CsvKind;
  readonly counts: Readonly<Record<CsvItem["state"], number>>;
  /** What cannot be read; the first of them, with how many there are. */
  readonly issues: readonly CsvIssue[];
  readonly issueCount: number;
  /** Whether the table as a whole cannot be read. */
  readonly isRefused: boolean;
  readonly groups: readonly DoubtGroup[];
  /** The first that are changed without a doubt, and the first that are new. */
  readonly changed: readonly ShownItem[];
  readonly fresh: readonly ShownItem[];
  /** How many are written without a word of the person's. */
  readonly sure: number;
}

/** What a person has said of the items in doubt. */
export interface TableChoices {
  /** The reasons that are put up with. */
  readonly codes: readonly CsvDoubt["code"][];
  /** What was said of single rows, by their number. */
  readonly rows: ReadonlyMap<number, boolean>;
  /** Whether rows that cannot be read are left out; else nothing is brought in while there are any. */
  readonly leavesRefused: boolean;
}

/** Why a table was not brought in. */
export type TableRefusal =
  | ChangeRefusal
  | { readonly code: "cancelled" }
  | { readonly code: "rows-refused"; readonly count: number }
  /** The book was changed after the plan was made. */
  | { readonly code: "book-changed" };

/** What was brought in. */
export interface BroughtIn {
  readonly seq: number;
  readonly records: number;
}

/** Told how far something is, from 0 to 1. */
export type Progress = (share: number) => void;

const SHOWN = 60;
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
  private plan: { readonly plan: CsvPlan; readonly seq: number; readonly last: number } | null =
    null;
  /** Grows with each run: one that is no longer the newest ends. */
  private run = 0;

  constructor(private readonly open: (database: string) => BookStorage) {}

  /** Opens a file and says what it is thought to be; refused where it is no table at all. */
  async look(file: Blob, habits: CsvHabits): Promise<Result<OpenedTable, string>> {
    this.cancel();
    this.table = null;
    const table = await tableOfFile(file);
    if (typeof table === "string") return { ok: false, issues: [table] };
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
    return { ok: true, value: { headings, samples, rows, guess: this.guess(habits, null) } };
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
          this.plan = { plan: step.value, seq, last: numbered(book).lastRecordSeq };
          return this.shown(step.value);
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
    const { plan, seq, last } = planned;
    const refused = plan.items.filter(({ state }) => state === "refused").length;
    if (plan.issues.length > 0 || (refused > 0 && !choices.leavesRefused)) {
      const count = Math.max(refused, plan.issues.length);
      return { ok: false, issues: [{ code: "rows-refused", count }] };
    }
    let next = last;
    const change = csvChange(plan, (item) => isTaken(item, choices), {
      newId,
      nextSeq: () => (next += 1),
    });
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
        return {
          ok: true as const,
          value: { seq: saved.value.seq, records: change.records.length },
        };
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

  private shown({ kind, items, issues }: CsvPlan): TablePlan {
    const counts = { new: 0, same: 0, changed: 0, refused: 0 };
    for (const { state } of items) counts[state] += 1;
    const found = [...issues, ...items.flatMap((item) => item.issues)];
    const sure = items.filter((item) => writes(item) && item.doubts.length === 0);
    const groups = CSV_DOUBTS.flatMap((code): DoubtGroup[] => {
      const own = items.filter((item) => writes(item) && firstDoubt(item) === code);
      if (own.length === 0) return [];
      return [{ code, count: own.length, items: this.show(own) }];
    });
    return {
      ...{ kind, counts, groups, sure: sure.length },
      issues: found.slice(0, SHOWN),
      issueCount: found.length,
      isRefused: issues.length > 0,
      changed: this.show(sure.filter(({ state }) => state === "changed")),
      fresh: this.show(sure.filter(({ state }) => state === "new")),
    };
  }

  private show(items: readonly CsvItem[]): ShownItem[] {
    return items.slice(0, SHOWN).map(({ rows, doubts, fields }) => {
      const row = rows[0] ?? 1;
      const cells = (this.table?.rows[row - 1] ?? []).filter((cell) => cell.trim() !== "");
      return { row, cells, doubts, fields };
    });
  }

  private opened(): CsvTable {
    if (this.table === null) throw new Error("no table has been opened");
    return this.table;
  }
}

/** The reason under which an item in doubt is shown: the weightiest. */
function firstDoubt(item: CsvItem): CsvDoubt["code"] | null {
  return CSV_DOUBTS.find((code) => item.doubts.some((doubt) => doubt.code === code)) ?? null;
}

function isTaken(item: CsvItem, { codes, rows }: TableChoices): boolean {
  const first = firstDoubt(item);
  if (first === null) return true;
  return rows.get(item.rows[0] ?? 0) ?? codes.includes(first);
}

/** The tables over the browser's databases. */
export const dexieTables = (): Tables => new Tables((name) => new DexieStorage(name));
