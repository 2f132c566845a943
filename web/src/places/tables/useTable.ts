import type {
  CsvColumns,
  CsvFormat,
  CsvGuess,
  CsvKind,
  CsvReading,
  Result,
} from "@yonderfell/core";
import { proxy } from "comlink";
import { useEffect, useState } from "react";
import { useBook } from "../../session/openBook.js";
import { useAppSelector } from "../../session/store.js";
import { errorWords } from "../../words/errorWords.js";
import { decimalSign } from "../../words/writing.js";
import { rememberedReading } from "./rememberedReadings.js";
import type { TablePlan } from "@yonderfell/core";
import type { OpenedTable } from "../../work/tables.js";
import { tables } from "../../work/tablesClient.js";

/** A table that was opened, and what it is taken for. */
export interface OpenTable {
  readonly file: string;
  readonly opened: OpenedTable;
  readonly reading: CsvReading;
  /** Whether dates and decimals can be read in one way only, or a person has said which. */
  readonly isSure: { readonly dates: boolean; readonly decimal: boolean };
  /** Whether it is taken for what a table of its headings was taken for before. */
  readonly isRemembered: boolean;
}

/** What has become of a file that was chosen. */
export type TableState =
  | { readonly code: "none" }
  | { readonly code: "opening"; readonly file: string }
  | { readonly code: "refused"; readonly file: string; readonly reasons: readonly string[] }
  | { readonly code: "open"; readonly table: OpenTable };

/** What bringing it in would do, as far as it is known. */
export type PlanState =
  | { readonly code: "planning"; readonly share: number }
  | { readonly code: "planned"; readonly plan: TablePlan }
  | { readonly code: "stopped" }
  | { readonly code: "failed"; readonly reason: string };

const NO_FEED_FILES =
  "(the folder): expected files that end in .csv, .jsonl, .ndjson, .json or .txt";

const habits = (): { dates: "dmy"; decimal: "." | "," } => ({
  dates: "dmy",
  decimal: decimalSign(),
});

type Told = Pick<CsvGuess, "dates" | "decimal" | "distance">;

function formatOf({ dates, decimal, distance }: Told): CsvFormat {
  return { dates: dates.value, decimal: decimal.value, distance };
}

function tableOf(file: string, opened: OpenedTable, guess: CsvGuess): OpenTable {
  const reading = { kind: guess.kind, columns: guess.columns, format: formatOf(guess) };
  const isSure = { dates: guess.dates.isSure, decimal: guess.decimal.isSure };
  return { file, opened, reading, isSure, isRemembered: false };
}

/** A table as one of its headings was taken before, else as it is guessed. */
function asRemembered(table: OpenTable): OpenTable {
  const reading = rememberedReading(table.opened.headings);
  if (reading === null) return table;
  return { ...table, reading, isSure: { dates: true, decimal: true }, isRemembered: true };
}

/** Columns with one taken for something; what it was taken from before is left out. */
function withColumn(columns: CsvColumns, index: number, key: string | null): CsvColumns {
  return columns.map((own, at) => {
    if (at === index) return key;
    return own === key ? null : own;
  });
}

/** A table that a person chooses, what it is taken for, and what it would do to the book; nothing is stored by looking. */
// eslint-disable-next-line @typescript-eslint/explicit-module-boundary-types -- the parts are named above
export function useTable() {
  const [state, setState] = useState<TableState>({ code: "none" });
  const open = async (
    name: string,
    look: () => Promise<Result<OpenedTable, string>>,
  ): Promise<void> => {
    setState({ code: "opening", file: name });
    try {
      const looked = await look();
      if (!looked.ok) return setState({ code: "refused", file: name, reasons: looked.issues });
      const { value } = looked;
      setState({ code: "open", table: asRemembered(tableOf(name, value, value.guess)) });
    } catch (error) {
      setState({ code: "refused", file: name, reasons: [errorWords(error)] });
    }
  };
  const choose = (file: File): Promise<void> =>
    open(file.name, () => tables().look(file, habits()));
  /** Files of a meter feed, as one table. */
  const chooseFeed = async (files: readonly File[]): Promise<void> => {
    const [first, ...others] = files;
    if (first === undefined) {
      setState({ code: "refused", file: "The folder", reasons: [NO_FEED_FILES] });
      return;
    }
    const name = others.length === 0 ? first.name : `${first.name} and ${others.length} more`;
    await open(name, () => tables().lookAtFeed(files, habits()));
  };
  const change = (patch: (table: OpenTable) => OpenTable): void =>
    setState((now) => (now.code === "open" ? { ...now, table: patch(now.table) } : now));
  const setKind = async (kind: CsvKind): Promise<void> => {
    const guess = await tables().guess(habits(), kind);
    change(({ file, opened }) => tableOf(file, opened, guess));
  };
  const setColumn = async (index: number, key: string | null): Promise<void> => {
    if (state.code !== "open") return;
    const { kind, columns } = state.table.reading;
    const changed = withColumn(columns, index, key);
    const told = await tables().guessFormat({ kind, columns: changed }, habits());
    change((table) => ({
      ...table,
      isRemembered: false,
      reading: { kind, columns: changed, format: formatOf(told) },
      isSure: { dates: told.dates.isSure, decimal: told.decimal.isSure },
    }));
  };
  const setFormat = (patch: Partial<CsvFormat>): void =>
    change((table) => ({
      ...table,
      reading: { ...table.reading, format: { ...table.reading.format, ...patch } },
      isSure: {
        dates: table.isSure.dates || patch.dates !== undefined,
        decimal: table.isSure.decimal || patch.decimal !== undefined,
      },
    }));
  const guessAnew = (): void => change(({ file, opened }) => tableOf(file, opened, opened.guess));
  const forget = (): void => setState({ code: "none" });
  return { state, choose, chooseFeed, setKind, setColumn, setFormat, guessAnew, forget };
}

/** What a table would do to the open book: reckoned beside the page, anew whenever what it is taken for changes. */
export function useTablePlan({ reading }: OpenTable): {
  readonly plan: PlanState;
  readonly stop: () => void;
  readonly again: () => void;
} {
  const { entry } = useBook();
  const today = useAppSelector((one) => one.session.today);
  const [round, setRound] = useState(0);
  const [known, setKnown] = useState<{
    readonly reading: CsvReading;
    readonly round: number;
    readonly plan: PlanState;
  } | null>(null);
  useEffect(() => {
    let isOpen = true;
    const say = (plan: PlanState): void => {
      if (isOpen) setKnown({ reading, round, plan });
      // How far it is comes by a way of its own, and may come after what it came to.
      isOpen = isOpen && plan.code === "planning";
    };
    const onProgress = (share: number): void => say({ code: "planning", share });
    tables()
      .planFor(entry.database, reading, today, proxy(onProgress))
      .then((plan) => say(plan === null ? { code: "stopped" } : { code: "planned", plan }))
      .catch((error: unknown) => say({ code: "failed", reason: errorWords(error) }));
    return () => {
      isOpen = false;
    };
  }, [entry.database, reading, round, today]);
  const isKnown = known?.reading === reading && known.round === round;
  return {
    plan: isKnown ? known.plan : { code: "planning", share: 0 },
    stop: () => void tables().cancel(),
    again: () => setRound((now) => now + 1),
  };
}
