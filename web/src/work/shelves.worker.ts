import {
  stockOn,
  wasteOn,
  type DayNumber,
  type StockList,
  type Container,
  type WasteStanding,
} from "@yonderfell/core";
import { expose } from "comlink";
import { DexieStorage } from "../data/dexieStorage.js";
import { withStorage } from "../data/withStorage.js";

/** What stands on the shelves and in the containers at the end of a day. */
export interface Shelves {
  readonly stock: StockList;
  readonly waste: readonly WasteStanding[];
  readonly containers: readonly Container[];
}

/** What there is, from all entries of a book. */
function shelvesOn(database: string, day: DayNumber): Promise<Shelves> {
  return withStorage(
    (name) => new DexieStorage(name),
    database,
    async (storage) => {
      const [parts, products, entries, stockMoves] = await Promise.all([
        storage.list("parts"),
        storage.list("products"),
        storage.list("entries"),
        storage.list("stockMoves"),
      ]);
      const [fluids, wasteMoves, containers] = await Promise.all([
        storage.list("fluids"),
        storage.list("wasteMoves"),
        storage.list("containers"),
      ]);
      const stock = stockOn({ parts, products, entries, stockMoves }, day);
      return {
        stock,
        waste: wasteOn({ entries, fluids, wasteMoves, containers }, day),
        containers,
      };
    },
  );
}

const shelves = { shelvesOn };

export type ShelvesWork = typeof shelves;

expose(shelves);
