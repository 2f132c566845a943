import {
  onTime,
  spending,
  type Book,
  type DayNumber,
  type MachineId,
  type OnTime,
  type Spending,
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

const costs = { spent, kept };

export type Costs = typeof costs;

expose(costs);
