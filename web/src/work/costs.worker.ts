import { spending, type Book, type MachineId, type Spending } from "@yonderfell/core";
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

async function spent(database: string, seq: number, asked: SpendingAsked): Promise<Spending> {
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
  return spending(await last.book, asked);
}

const costs = { spent };

export type Costs = typeof costs;

expose(costs);
