import {
  besideKind,
  bookCosts,
  costGroups,
  logOf,
  logTable,
  onTime,
  spending,
  type BesideKind,
  type Book,
  type CostGroup,
  type CostGroupsAsked,
  type DayNumber,
  type Entry,
  type LogAsked,
  type LogList,
  type LogSums,
  type MachineId,
  type OnTime,
  type Place,
  type Spending,
  type YearAhead,
  yearAhead,
} from "@yonderfell/core";
import { expose } from "comlink";
import { DexieStorage } from "../data/dexieStorage.js";
import { withStorage } from "../data/withStorage.js";

/** What is asked for: whose costs, from which day to which. */
export interface SpendingAsked {
  readonly from: string;
  readonly to: string;
  readonly machine: MachineId | null;
}

/** The book as it was last read, and of which database after which change: another span is asked of the same one. */
let last: { readonly key: string; readonly book: Promise<Book> } | null = null;

function bookAt(database: string, seq: number): Promise<Book> {
  const key = `${database} ${seq}`;
  if (last?.key !== key) {
    const book = withStorage(
      (name) => new DexieStorage(name),
      database,
      (storage) => storage.everything(),
    );
    last = { key, book };
    // What could not be read is asked for anew.
    book.catch(() => {
      if (last?.book === book) last = null;
    });
  }
  return last.book;
}

async function spent(database: string, seq: number, asked: SpendingAsked): Promise<Spending> {
  return spending(await bookAt(database, seq), asked);
}

/** The days that are asked for, and the day it is. */
export interface OnTimeAsked {
  readonly from: DayNumber;
  readonly to: DayNumber;
  readonly today: DayNumber;
}

/** How well the machines of the book are kept in time. */
async function kept(database: string, seq: number, asked: OnTimeAsked): Promise<OnTime> {
  return onTime(await bookAt(database, seq), asked);
}

/** Costs told apart, and what a unit run of each machine cost beside its kind. */
export interface CostsTold {
  readonly groups: readonly CostGroup[];
  readonly beside: readonly BesideKind[];
  /** What the places of the book are called. */
  readonly places: readonly Pick<Place, "id" | "name">[];
}

async function told(database: string, seq: number, asked: CostGroupsAsked): Promise<CostsTold> {
  const book = await bookAt(database, seq);
  const { machines = [], places = [] } = book;
  return {
    groups: costGroups(book, asked),
    beside:
      asked.by === "machine" ? besideKind(bookCosts(book, asked.from, asked.to), machines) : [],
    places: places.map(({ id, name }) => ({ id, name })),
  };
}

async function ahead(database: string, seq: number, today: DayNumber): Promise<YearAhead> {
  return yearAhead(await bookAt(database, seq), today);
}

/** So many entries of the log are handed over at a time. */
const LOG_PAGE = 100;

/** The log as it was made ready, and what it was last asked: its pages are of one answer. */
let lastLog: { readonly book: Book; readonly ask: ReturnType<typeof logOf> } | null = null;
let lastList: { readonly key: string; readonly list: LogList } | null = null;

async function listed(database: string, seq: number, asked: LogAsked): Promise<LogList> {
  const book = await bookAt(database, seq);
  const key = JSON.stringify([database, seq, asked]);
  if (lastLog?.book !== book) lastLog = { book, ask: logOf(book) };
  if (lastList?.key !== key) lastList = { key, list: lastLog.ask(asked) };
  return lastList.list;
}

/** What was asked of the log comes to. */
async function logSums(database: string, seq: number, asked: LogAsked): Promise<LogSums> {
  return (await listed(database, seq, asked)).sums;
}

/** A page of what was asked of the log, the first being 0. */
async function logPage(
  database: string,
  seq: number,
  asked: LogAsked,
  page: number,
): Promise<readonly Entry[]> {
  const { entries } = await listed(database, seq, asked);
  return entries.slice(page * LOG_PAGE, (page + 1) * LOG_PAGE);
}

/** All that was asked of the log, as a table. */
async function logAsTable(database: string, seq: number, asked: LogAsked): Promise<string[][]> {
  const { entries } = await listed(database, seq, asked);
  return logTable(await bookAt(database, seq), entries);
}

const costs = { spent, kept, told, ahead, logSums, logPage, logAsTable };

export type Costs = typeof costs;

expose(costs);
