import { findFleetPlan, type DayNumber, type FleetNews } from "@yonderfell/core";
import { expose } from "comlink";
import loadHighs from "highs";
import wasmUrl from "highs/runtime?url";
import { DexieStorage } from "../data/dexieStorage.js";
import { partOfBook } from "../data/partOfBook.js";
import { withStorage } from "../data/withStorage.js";

/** What the weeks of a fleet are shared from. */
const SHARED = [
  ...(["machines", "tasks", "readings", "meterChanges", "entries", "rounds", "findings"] as const),
  ...(["checklists", "visits", "journeys", "fluids", "servicePoints", "fitments"] as const),
  ...(["parts", "products", "people", "bays", "closures"] as const),
] as const;

/** Looks for the best weeks of all machines of a book, and tells of each better plan as it is found. */
async function find(
  database: string,
  today: DayNumber,
  tell: (news: FleetNews) => void,
): Promise<void> {
  const book = await withStorage(
    (name) => new DexieStorage(name),
    database,
    (storage) => partOfBook(storage, SHARED),
  );
  await findFleetPlan(book, today, () => loadHighs({ locateFile: () => wasmUrl }), tell);
}

const fleet = { find };

export type Fleet = typeof fleet;

expose(fleet);
