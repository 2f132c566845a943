import {
  catalogueOf,
  containersOn,
  needsAhead,
  shelfList,
  shoppingList,
  stockOn,
  wasteOfSpan,
  wasteOn,
  usedInYear,
  type ContainerStanding,
  type Finding,
  type MachineId,
  type NeedGap,
  type Part,
  type Product,
  type ShoppingList,
  type Task,
  type VisitAhead,
  type ShelfItem,
  type WasteOfSpan,
  type DayNumber,
  type StockList,
  type Container,
  type WasteStanding,
} from "@yonderfell/core";
import { expose } from "comlink";
import { DexieStorage } from "../data/dexieStorage.js";
import { partOfBook } from "../data/partOfBook.js";
import { withStorage } from "../data/withStorage.js";

/** What stands on the shelves and in the containers at the end of a day. */
export interface Shelves {
  readonly stock: StockList;
  readonly items: readonly ShelfItem[];
  readonly waste: readonly WasteStanding[];
  readonly containers: readonly Container[];
  readonly held: readonly ContainerStanding[];
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
      const shelf = { parts, products, entries, stockMoves };
      const waste = { entries, fluids, wasteMoves, containers };
      return {
        ...{ stock: stockOn(shelf, day), items: shelfList(shelf, day) },
        ...{ waste: wasteOn(waste, day), containers, held: containersOn(waste, day) },
      };
    },
  );
}

/** Over what a shopping list goes, and the visits ahead as they are planned. */
export interface ShoppingWanted {
  readonly until: DayNumber;
  /** Null for all machines. */
  readonly machines: readonly MachineId[] | null;
  /** The one source to buy from; null for the cheapest of each pack. */
  readonly source: string | null;
  readonly visits: readonly (readonly [MachineId, readonly VisitAhead[]])[];
}

/** A shopping list, what is not known of what is needed, and what its words are made from. */
export interface Shopping {
  readonly list: ShoppingList;
  readonly gaps: readonly NeedGap[];
  readonly parts: readonly Part[];
  readonly products: readonly Product[];
  readonly findings: readonly Finding[];
  readonly tasks: readonly Pick<Task, "id" | "machine" | "name">[];
}

/** The sections that a shopping list is made from. */
const SHOPPED = [
  ...(["machines", "tasks", "readings", "meterChanges", "entries", "rounds", "findings"] as const),
  ...(["visits", "journeys", "fluids", "servicePoints", "fitments", "parts", "products"] as const),
  ...(["people", "closures", "checklists", "stockMoves", "orders"] as const),
] as const;

/** What to buy for the work ahead. */
function shoppingFor(
  database: string,
  today: DayNumber,
  { until, machines, source, visits }: ShoppingWanted,
): Promise<Shopping> {
  return withStorage(
    (name) => new DexieStorage(name),
    database,
    async (storage) => {
      const book = await partOfBook(storage, SHOPPED);
      const chosen = machines === null ? null : new Set(machines);
      const { needs, gaps } = needsAhead(book, new Map(visits), { today, until, machines: chosen });
      const list = shoppingList(needs, {
        ...{ catalogue: catalogueOf(book), stock: stockOn(book, today), orders: book.orders },
        ...{ aYear: usedInYear(book, today), source },
      });
      const { parts, products, findings } = book;
      const tasks = book.tasks.map(({ id, machine, name }) => ({ id, machine, name }));
      return { ...{ list, gaps, parts, products, findings }, tasks };
    },
  );
}

/** What waste came together and was handed in over a span of days. */
function wasteBetween(
  database: string,
  from: DayNumber,
  to: DayNumber,
): Promise<readonly WasteOfSpan[]> {
  return withStorage(
    (name) => new DexieStorage(name),
    database,
    async (storage) => {
      const [entries, fluids, wasteMoves, containers] = await Promise.all([
        storage.list("entries"),
        storage.list("fluids"),
        storage.list("wasteMoves"),
        storage.list("containers"),
      ]);
      return wasteOfSpan({ entries, fluids, wasteMoves, containers }, from, to);
    },
  );
}

const shelves = { shelvesOn, shoppingFor, wasteBetween };

export type ShelvesWork = typeof shelves;

expose(shelves);
