import {
  besideKind,
  bookCosts,
  costGroups,
  learning,
  logOf,
  onTime,
  spending,
  type BesideKind,
  type Book,
  type CostGroup,
  type CostGroupsAsked,
  type DayNumber,
  type Entry,
  type EntryNames,
  type Learning,
  type Part,
  type LogAsked,
  type LogList,
  type LogSums,
  type MachineId,
  type OnTime,
  type Place,
  type WorkLog,
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

/** The log as it was made ready, and what it was last asked: its pages are of one answer. */
let lastLog: { readonly book: Book; readonly log: WorkLog } | null = null;
let lastList: { readonly key: string; readonly list: LogList } | null = null;

async function logAt(database: string, seq: number): Promise<WorkLog> {
  const book = await bookAt(database, seq);
  if (lastLog?.book !== book) lastLog = { book, log: logOf(book) };
  return lastLog.log;
}

async function listed(database: string, seq: number, asked: LogAsked): Promise<LogList> {
  const log = await logAt(database, seq);
  const key = JSON.stringify([database, seq, asked]);
  if (lastList?.key !== key) lastList = { key, list: log.ask(asked) };
  return lastList.list;
}

/** What was asked of the log comes to. */
async function logSums(database: string, seq: number, asked: LogAsked): Promise<LogSums> {
  return (await listed(database, seq, asked)).sums;
}

/** Some entries of the log, with what their ids stand for. */
export interface LogPart {
  readonly entries: readonly Entry[];
  readonly names: EntryNames;
}

/** A part of what was asked of the log: from a place on, the first being 0, so many. */
async function logPart(
  database: string,
  seq: number,
  asked: LogAsked,
  [from, count]: readonly [from: number, count: number],
): Promise<LogPart> {
  const entries = (await listed(database, seq, asked)).entries.slice(from, from + count);
  return { entries, names: (await logAt(database, seq)).names(entries) };
}

/** All that was asked of the log, as a table. */
async function logAsTable(database: string, seq: number, asked: LogAsked): Promise<string[][]> {
  const { entries } = await listed(database, seq, asked);
  return (await logAt(database, seq)).table(entries);
}

/** What the book teaches, with what its parts are called. */
export interface Learned {
  readonly learning: Learning;
  readonly parts: readonly Pick<Part, "id" | "name" | "number">[];
}

async function learned(
  database: string,
  seq: number,
  today: DayNumber,
  machine: MachineId | null,
): Promise<Learned> {
  const book = await bookAt(database, seq);
  const found = learning(book, today, machine);
  const wanted = new Set(found.lives.map(({ part }) => part));
  const parts = (book.parts ?? [])
    .filter(({ id }) => wanted.has(id))
    .map(({ id, name, number }) => ({ id, name, number }));
  return { learning: found, parts };
}

const costs = { spent, kept, told, ahead, learned, logSums, logPart, logAsTable };

export type Costs = typeof costs;

expose(costs);
